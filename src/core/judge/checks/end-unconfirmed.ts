import { endsLine } from '../../lateral/terminus';
import { type Check, perRun, sayReading } from '../check';

/** An end called main or tank that nobody confirmed by sight or by a locate. */
export const endUnconfirmed: Check = {
  code: 'end-unconfirmed',
  level: 'blocker',
  stand: 'surface',
  find: (context) =>
    perRun(context, ({ name, run, log }) =>
      log.of('end').flatMap((entry) =>
        endsLine(entry.reason) && entry.confirmedBy === 'none'
          ? [
              {
                message: `Run ${name} ends at ${sayReading(entry.readingFt)} as the ${entry.reason}, not confirmed.`,
                action: 'Confirm it: see the larger pipe or the tank, or locate the head.',
                runIds: [run.id],
                entryIds: [entry.id],
              },
            ]
          : [],
      ),
    ),
};
