/** The header by which a device says for which installation its changes are. */
export const MEANT_FOR = 'x-chert-installation';
/** The header by which a device says whose changes it brings: the id of their account. */
export const MEANT_BY = 'x-chert-person';
/** The header by which a device says how much it holds that was not sent, and since when. */
export const HELD_HEADER = 'x-chert-held';
