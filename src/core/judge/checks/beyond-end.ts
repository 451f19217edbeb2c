import { TOLERANCES } from '../../base/tolerances';
import { readingsOf } from '../../measure/reading';
import { type Check, perRun, sayReading } from '../check';

/** A thing logged farther out than the run went. */
export const beyondEnd: Check = {
  code: 'beyond-end',
  level: 'blocker',
  stand: 'desk',
  find: (context) =>
    perRun(context, ({ name, run, log, home }) => {
      if (!log.of('end').some(({ readingFt }) => readingFt !== null)) return [];
      return log.standing.flatMap((entry) => {
        const beyond = readingsOf(entry).find(
          (reading) => reading > home.farthestFt + TOLERANCES.beyondEndFt,
        );
        if (beyond === undefined) return [];
        return [
          {
            message: `Run ${name} ends at ${sayReading(home.farthestFt)}, but the log has a ${entry.kind} at ${sayReading(beyond)}.`,
            action: 'Correct the footage, or correct the end.',
            runIds: [run.id],
            entryIds: [entry.id],
          },
        ];
      });
    }),
};
