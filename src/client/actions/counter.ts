import type { Pass } from '#core/catalogue/vocabulary';
import type { Run } from '#core/model/job/run';
import type { Entry } from '#core/model/log/entry';

/** Where the camera is: the counter, feet, and the pass. */
export type Place = { readonly counterFt: number; readonly pass: Pass };

/** Where a run stands: the counter and the pass as the log left them. */
export function resumeAt(run: Run): Place {
  const last = run.entries.findLast((entry) => readingAfter(entry) !== null);
  if (!last) return { counterFt: run.zero.readingFt, pass: 'out' };
  return { counterFt: readingAfter(last)!, pass: passAfter(last, last.pass) };
}

/** The place after entries were logged one after the other. */
export const placeAfter = (entries: readonly Entry[], place: Place): Place =>
  entries.reduce(
    ({ counterFt, pass }, entry) => ({
      counterFt: readingAfter(entry) ?? counterFt,
      pass: passAfter(entry, pass),
    }),
    place,
  );

/** The counter after an entry was logged: at the far end of what was said. */
export function readingAfter(entry: Entry): number | null {
  if (entry.kind === 'retract' || entry.kind === 'surface') return null;
  const toFt = entry.kind === 'defect' || entry.kind === 'unseen' ? entry.toReadingFt : undefined;
  // A correction is about where the camera was, not about where it is.
  return toFt ?? (entry.replaces === undefined ? entry.readingFt : null);
}

/** The pass after an entry: from the end on the camera comes back. */
export function passAfter(entry: Entry, pass: Pass): Pass {
  return entry.kind === 'end' || entry.kind === 'home' ? 'back' : pass;
}
