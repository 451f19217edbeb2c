/**
 * Characters that change how others are read and are not seen themselves: controls, bidirectional marks,
 * embeddings, overrides and isolates, invisible spaces. Tabs and line breaks are none, nor are the joiners
 * that some scripts and pictures are written with.
 */
const HIDDEN =
  // eslint-disable-next-line no-control-regex -- these are the controls
  /[\u0000-\u0008\u000b\u000c\u000e-\u001f\u007f-\u009f\u00ad\u061c\u180e\u200b\u200e\u200f\u2028-\u202e\u2060-\u206f\ufeff\ufff9-\ufffb]/g;

/** Text in which what is hidden is shown and not obeyed: a right-to-left override reads "[U+202E]". */
export function plainText(text: string): string {
  return text
    .replace(/\r\n?/g, '\n')
    .replace(
      HIDDEN,
      (sign) => `[U+${sign.charCodeAt(0).toString(16).toUpperCase().padStart(4, '0')}]`,
    );
}

/** Fields that name something else. */
const IDS = /^(id|replaces|closes|retracts|entryIds|.*Ids?)$/;

/** What was found to be plain already: data is never changed in place, so it stays so. */
const known = new WeakMap<object, unknown>();

/**
 * A value with all text in it plain, however deep, names of fields included. Where all is plain already it
 * is the very same value. Ids stay as they are: they are compared, and not read.
 */
export function plainData<T>(value: T): T {
  return plainOf(value) as T;
}

function plainOf(value: unknown): unknown {
  if (typeof value === 'string') return plainText(value);
  if (typeof value !== 'object' || value === null) return value;
  const before = known.get(value);
  if (before !== undefined) return before;
  const plain = Array.isArray(value) ? plainList(value) : plainObject(value);
  known.set(value, plain);
  if (plain !== value) known.set(plain, plain);
  return plain;
}

function plainList(list: readonly unknown[]): object {
  const plain = list.map(plainOf);
  return plain.every((one, index) => one === list[index]) ? list : plain;
}

function plainObject(object: object): object {
  const given: readonly (readonly [string, unknown])[] = Object.entries(object);
  const fields = given.map(
    ([name, value]) => [plainText(name), IDS.test(name) ? value : plainOf(value)] as const,
  );
  const isSame = fields.every(
    ([name, value], at) => name === given[at]![0] && value === given[at]![1],
  );
  return isSame ? object : Object.fromEntries(fields);
}
