import { TOLERANCES } from '../../base/tolerances';
import type { Entry } from '../../model/log/entry';
import { type Check, perRun, sayReading } from '../check';

/** What is not said where the head is: a zone and a missed change of pipe are filled in from anywhere. */
const SAID_FROM_ELSEWHERE: readonly Entry['kind'][] = [
  'home',
  'zone',
  'material',
  'close',
  'retract',
  'note',
  'surface',
  'clear',
  'advice',
];

/** The two ends of an entry on the counter: a stretch may be said at either. */
function endsOf(entry: Entry & { readonly readingFt: number }): readonly [number, number] {
  const otherFt = 'toReadingFt' in entry ? (entry.toReadingFt ?? entry.readingFt) : entry.readingFt;
  return [Math.min(entry.readingFt, otherFt), Math.max(entry.readingFt, otherFt)];
}

/** A counter that ran against the direction of the pass. Corrections are no new looks. */
export const readingJump: Check = {
  code: 'reading-jump',
  level: 'warning',
  stand: 'desk',
  find: (context) =>
    perRun(context, ({ name, run, log }) => {
      const last: Partial<Record<Entry['pass'], { entry: Entry; atFt: number }>> = {};
      return log.standing.flatMap((entry) => {
        if (entry.readingFt === null || entry.replaces !== undefined) return [];
        if (SAID_FROM_ELSEWHERE.includes(entry.kind)) return [];
        const [lowFt, highFt] = endsOf(entry as Entry & { readingFt: number });
        const isOut = entry.pass === 'out';
        const before = last[entry.pass];
        // The end that lies the way of the pass is where the head was at the latest.
        const reachedFt = isOut ? highFt : lowFt;
        const against = before ? (before.atFt - reachedFt) * (isOut ? 1 : -1) : 0;
        last[entry.pass] = { entry, atFt: entry.readingFt };
        if (!before || against < TOLERANCES.readingJumpFt - 1e-9) return [];
        return [
          {
            message: `Run ${name}: the counter went from ${sayReading(before.atFt)} to ${sayReading(entry.readingFt)} on the way ${entry.pass}.`,
            action: 'Check both footages; correct the one that was said wrongly.',
            runIds: [run.id],
            entryIds: [before.entry.id, entry.id],
          },
        ];
      });
    }),
};
