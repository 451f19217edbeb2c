import { type Check, perRun } from '../check';

/** A run that never says how far it went. An abandoned run needs no end. */
export const runNoEnd: Check = {
  code: 'run-no-end',
  level: 'blocker',
  stand: 'reel',
  find: (context) =>
    perRun(context, ({ name, run, log }) =>
      run.outcome === 'abandoned' || log.of('end').length > 0
        ? []
        : [
            {
              message: `Run ${name} has no end: nobody said how far it went or why it stopped.`,
              action: 'Log the end: main reached or not reached, and the reason.',
              runIds: [run.id],
              entryIds: [],
            },
          ],
    ),
};
