/** Ids that can stand in an address as they are. */
export const SAFE_ID = /^[A-Za-z0-9][A-Za-z0-9._-]{0,99}$/;

export const isSafeId = (id: string): boolean => SAFE_ID.test(id);

/** What is expected of such an id, in words. */
export const SAFE_ID_WORDS =
  'letters, digits, dots, dashes and underscores, at most 100, beginning with a letter or a digit';
