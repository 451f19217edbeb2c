import { sayFt, sayIn, sayPercent } from '../../base/numbers';
import type { Entry, EntryDraft } from '../log/entry';
import { MOST, possibleBoreIn, possibleDepthIn } from '../log/possible';
import type { Inspection } from './inspection';
import type { Run } from './run';

/** A value that cannot be: asked about, graded as not logged and never printed as a fact. */
export type Impossible = {
  readonly runId: string | null;
  readonly entryId: string | null;
  /** What is said and why it cannot be, to follow its place ("a depth of 70 ft, deeper than any sewer"). */
  readonly text: string;
};

type Cleaned<T> = { readonly value: T; readonly why: readonly string[] };

/** An entry, or one about to be logged, with what cannot be taken out of it, and why. The same entry where everything can be. */
export function cleanEntry<E extends Entry | EntryDraft>(entry: E): Cleaned<E> {
  const why: string[] = [];
  const wrong: Record<string, unknown> = {};
  const drop = (field: string, text: string, value?: null) => {
    wrong[field] = value;
    why.push(text);
  };
  if ((entry.readingFt ?? 0) > MOST.rodFt)
    drop(
      'readingFt',
      `a footage of ${sayFt(entry.readingFt!)} ft, farther than any rod goes`,
      null,
    );
  if ('toReadingFt' in entry && (entry.toReadingFt ?? 0) > MOST.rodFt)
    drop('toReadingFt', `an end at ${sayFt(entry.toReadingFt)} ft, farther than any rod goes`);
  if (entry.kind === 'defect') {
    for (const field of ['fillRatio', 'extentRatio'] as const) {
      const share = entry[field] ?? 0;
      if (share > 1 + 1e-9)
        drop(field, `${sayPercent(share)} of the pipe, more than the whole of it`);
    }
    for (const field of ['depthIn', 'offsetIn', 'gapIn', 'lipIn'] as const) {
      const size = entry[field] ?? 0;
      if (size > (field === 'gapIn' ? MOST.gapIn : MOST.boreIn.to))
        drop(field, `a size of ${sayIn(size)} in, larger than any pipe`);
    }
  }
  if (
    entry.kind === 'material' &&
    entry.diameterIn !== undefined &&
    possibleBoreIn(entry) === undefined
  )
    drop('diameterIn', `a pipe of ${sayIn(entry.diameterIn)} in, which nobody makes`);
  if (entry.kind === 'locate' && entry.depthIn !== undefined && possibleDepthIn(entry) === null) {
    drop(
      'depthIn',
      `a depth of ${sayFt(Math.max(entry.depthIn, entry.depthToIn ?? 0) / 12)} ft, deeper than a house sewer is located`,
    );
    if (entry.depthToIn !== undefined) wrong['depthToIn'] = undefined;
  }
  if (why.length === 0) return { value: entry, why };
  const kept = Object.entries({ ...entry, ...wrong }).filter(([, value]) => value !== undefined);
  return { value: Object.fromEntries(kept) as unknown as E, why };
}

function cleanRun(run: Run): Cleaned<Run> & { readonly found: readonly Impossible[] } {
  const found: Impossible[] = [];
  const entries = run.entries.map((entry) => {
    const { value, why } = cleanEntry(entry);
    for (const text of why) found.push({ runId: run.id, entryId: entry.id, text });
    return value;
  });
  return { value: found.length === 0 ? run : { ...run, entries }, why: [], found };
}

/**
 * An inspection with every value that cannot be taken out, and what was taken. Values that only the pipe
 * round them makes impossible (water deeper than its pipe) are judged where the pipe is known.
 *
 * @returns the inspection itself where everything can be.
 */
export function saneInspection(inspection: Inspection): {
  readonly inspection: Inspection;
  readonly impossible: readonly Impossible[];
} {
  const runs = inspection.runs.map(cleanRun);
  const impossible: Impossible[] = runs.flatMap(({ found }) => found);
  const { yearBuilt } = inspection.property;
  const isToCome =
    yearBuilt !== undefined && yearBuilt > Number(inspection.job.scheduledFor.slice(0, 4));
  if (isToCome)
    impossible.push({ runId: null, entryId: null, text: `built in ${yearBuilt}, a year to come` });
  if (impossible.length === 0) return { inspection, impossible };
  const { yearBuilt: _yearBuilt, ...property } = inspection.property;
  return {
    inspection: {
      ...inspection,
      property: isToCome ? property : inspection.property,
      runs: runs.map(({ value }) => value),
    },
    impossible,
  };
}
