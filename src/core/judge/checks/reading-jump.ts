import { sayFt } from '../../base/numbers';
import { TOLERANCES } from '../../base/tolerances';
import type { Entry } from '../../log/entry';
import { type Check, perRun, sayReading } from '../check';

/** A counter that ran against the direction of the pass. Corrections are no new looks. */
export const readingJump: Check = {
  code: 'reading-jump',
  level: 'warning',
  stand: 'desk',
  find: (context) =>
    perRun(context, ({ name, run, log }) => {
      const last: Partial<Record<Entry['pass'], Entry & { readingFt: number }>> = {};
      return log.standing.flatMap((entry) => {
        if (entry.readingFt === null || entry.replaces !== undefined || entry.kind === 'home')
          return [];
        const before = last[entry.pass];
        last[entry.pass] = entry as Entry & { readingFt: number };
        if (!before) return [];
        const against = (before.readingFt - entry.readingFt) * (entry.pass === 'out' ? 1 : -1);
        if (against < TOLERANCES.readingJumpFt - 1e-9) return [];
        return [
          {
            message: `Run ${name}: the counter went from ${sayReading(before.readingFt)} to ${sayReading(entry.readingFt)} on the way ${entry.pass}, ${sayFt(against)} ft the wrong way.`,
            action: 'Check both footages; correct the one that was said wrongly.',
            runIds: [run.id],
            entryIds: [before.id, entry.id],
          },
        ];
      });
    }),
};
