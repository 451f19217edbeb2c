/**
 * Records that have the same keys, as JSON text in which each key is said once: a quarter of what objects take where
 * the text stands in a page, whose quotes are written as six letters each.
 *
 * @throws when a record has other keys than the first: it would come back as another.
 */
export function writeTable(records: readonly object[]): string {
  const keys = Object.keys(records[0] ?? {});
  const rows = records.map((record) => {
    const values = Object.entries(record);
    if (values.length !== keys.length || values.some(([key], at) => key !== keys[at]))
      throw new Error(`Expected the keys ${keys.join()}, got ${Object.keys(record).join()}.`);
    return values.map(([, value]: [string, unknown]) => value);
  });
  return JSON.stringify([keys, ...rows]);
}

/** The records of such a text. */
export function readTable<T extends object>(text: string): T[] {
  const [keys, ...rows] = JSON.parse(text) as [string[], ...unknown[][]];
  return rows.map((row) => Object.fromEntries(keys.map((key, at) => [key, row[at]])) as T);
}
