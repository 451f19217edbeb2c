export type StoredRecord = 'access-point' | 'run' | 'entry';
type Fields = Readonly<Record<string, unknown>>;

/**
 * How a record that was stored by an older Chert becomes what is written today. A lift knows an old record by
 * its shape, so that a file needs no version of each record in it, and lifting twice changes nothing.
 */
export type Lift = {
  readonly record: StoredRecord;
  /** Year and month from which on it is written otherwise. */
  readonly since: string;
  readonly isOld: (record: Fields) => boolean;
  readonly lift: (record: Fields) => Fields;
};
