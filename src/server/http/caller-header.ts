import type { Caller } from '../security/caller';

/** The header by which the front tells the app who asks. What came from outside under its name is dropped there. */
export const CALLER_HEADER = 'x-chert-caller';
/** The header by which the front tells the app from where: behind a proxy, the address that it names. */
export const ADDRESS_HEADER = 'x-chert-address';

export const writeCaller = (caller: Caller): string => encodeURIComponent(JSON.stringify(caller));

/** Who asks, as the front said; `null` for nobody. */
export const readCaller = (text: string | null | undefined): Caller | null =>
  text ? (JSON.parse(decodeURIComponent(text)) as Caller) : null;
