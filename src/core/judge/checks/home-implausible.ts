import { sayFt } from '../../base/numbers';
import { type Check, perRun, sayReading } from '../check';

/** A homecoming so far from the zero that no slip explains it: one wrong key must not bend a line. */
export const homeImplausible: Check = {
  code: 'home-implausible',
  level: 'blocker',
  stand: 'reel',
  find: (context) =>
    perRun(context, ({ name, run, home }) =>
      home.implausible === null
        ? []
        : [
            {
              message: `Run ${name} is said to be home at ${sayReading(home.homeFt)}, ${sayFt(Math.abs(home.misclosureFt))} ft from its zero of ${sayReading(home.zeroFt)}: more than a counter slips. No footage was moved for it.`,
              action: 'Correct the homecoming reading; if it is right, accept it.',
              runIds: [run.id],
              entryIds: [home.implausible.id],
            },
          ],
    ),
};
