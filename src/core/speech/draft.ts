import type { Facing, Pass } from '../catalogue/vocabulary';
import type { Entry, EntryDraft } from '../model/log/entry';

/** One of an inspector's own words for a thing, and what it stands for in Chert's words. */
export type OwnWord = { readonly says: string; readonly means: string };

/** What the call-out line knows of the run it writes to. */
export type CalloutContext = {
  /** The counter now; `null` when there is none. */
  readonly counterFt: number | null;
  /** What a counter that runs by itself reads now; absent where the counter is kept by hand. */
  readonly liveCounterFt?: number | null;
  /** The reading to which the counter was set at the start; absent: 0. */
  readonly zeroFt?: number;
  readonly pass: Pass;
  /** Which way the camera looks; absent: not known. */
  readonly facing?: Facing;
  /** Bore of the pipe at the counter, inches; `null` when not known. */
  readonly boreHereIn: number | null;
  /** Standing entries of the run, oldest first. */
  readonly standing: readonly Entry[];
  /** Ids of stretches without an end. */
  readonly openIds: ReadonlySet<string>;
  readonly ownWords?: readonly OwnWord[];
};

/** Stretches of a standing log that nobody has given their other end, by id. */
export function openIdsOf(standing: readonly Entry[]): ReadonlySet<string> {
  const closed = new Set(
    standing.flatMap((entry) => (entry.kind === 'close' ? [entry.closes] : [])),
  );
  return new Set(
    standing
      .filter((entry) => 'open' in entry && entry.open && !closed.has(entry.id))
      .map(({ id }) => id),
  );
}

/** What a frame made of a call-out. */
export type Reading = {
  readonly drafts: readonly EntryDraft[];
  /** What is still wanted, in a few words each. */
  readonly missing: readonly string[];
  /** Other readings that the words allow as well, each with what sets it apart. */
  readonly others?: readonly OtherReading[];
};

export type OtherReading = { readonly label: string; readonly drafts: readonly EntryDraft[] };
