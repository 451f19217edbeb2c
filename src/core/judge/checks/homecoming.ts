import { sayFt } from '../../base/numbers';
import { type Check, perRun, sayReading } from '../check';

/** A counter that came home too far from its zero. */
export const homecoming: Check = {
  code: 'homecoming',
  level: 'warning',
  stand: 'reel',
  find: (context) =>
    perRun(context, ({ name, run, home, log }) =>
      home.excessive
        ? [
            {
              message: `Run ${name} came home reading ${sayReading(home.homeFt)} from a zero of ${sayReading(home.zeroFt)}: ${sayFt(Math.abs(home.misclosureFt))} ft out.`,
              action:
                'Check the zero and the homecoming reading; locate anything that will be dug for.',
              runIds: [run.id],
              entryIds: log.of('home').map(({ id }) => id),
            },
          ]
        : [],
    ),
};
