/** The tie that an entry is a sighting of. */
export type EntryTie = {
  readonly id: string;
  /** `null` while nothing joins the tie to the line. */
  readonly stationFt: number | null;
  readonly sigmaFt: number | null;
};

/** What somebody said of entries beyond what they say themselves. */
export type EntryWords = {
  readonly tieOf: (entryId: string) => EntryTie | null;
  /** Entries that share a bond are one thing, whatever their footages. */
  readonly bondsOf: (entryId: string) => readonly string[];
  /** Entries that share a rift are two things, however near. */
  readonly riftsOf: (entryId: string) => readonly string[];
};
