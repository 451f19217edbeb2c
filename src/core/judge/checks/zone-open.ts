import { sayFt } from '../../base/numbers';
import { nameZone } from '../../catalogue/zones';
import { type Check, nameLinesOf } from '../check';
import { runsOf } from './material-conflict';

/** An indoor zone that nobody said the end of: without it no ground beyond is known, and nothing is out of scope. */
export const zoneOpen: Check = {
  code: 'zone-open',
  level: 'blocker',
  stand: 'reel',
  find: (context) =>
    context.laterals.flatMap((lateral) =>
      lateral.openZones.map(({ fromFt, zone, entryIds }) => {
        const runIds = runsOf(lateral.axes, entryIds);
        const names = lateral.axes
          .filter(({ run }) => runIds.length === 0 || runIds.includes(run.id))
          .map(({ name }) => name);
        return {
          message: `Run ${names.join(' and ')}: ${nameZone(zone).toLowerCase()} from ${sayFt(fromFt)} ft${nameLinesOf(context).on(lateral.lineId)}, and nobody said where the building ends.`,
          action: 'Log the wall, or the zone that begins outside it.',
          runIds: runIds.length > 0 ? runIds : lateral.axes.map(({ run }) => run.id),
          entryIds: [...entryIds],
        };
      }),
    ),
};
