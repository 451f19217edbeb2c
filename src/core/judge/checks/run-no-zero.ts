import { type Check, perRun } from '../check';

/** A run whose counter was never set to a known place. */
export const runNoZero: Check = {
  code: 'run-no-zero',
  level: 'blocker',
  stand: 'reel',
  find: (context) =>
    perRun(context, ({ name, run }) =>
      run.zero.at === 'unknown'
        ? [
            {
              message: `Run ${name} has no known zero: its footages start nowhere.`,
              action:
                'Say where the counter was set to zero: rim, base of the riser or horizontal.',
              runIds: [run.id],
              entryIds: [],
            },
          ]
        : [],
    ),
};
