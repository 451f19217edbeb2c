import { roundTo, sayFt } from '../../../base/numbers';
import type { RunCause } from './cause';

/** Shallower than the shallowest riser, and deeper than the highest roof vent, feet. */
const DROP_FT = [0.7, 40] as const;

/**
 * The counter was set to zero above the pipe and the drop was not taken off (or too little of it).
 * The run is given an origin of its own; how far that lies from its access is the drop.
 */
export const dropForgotten: RunCause = {
  cause: 'drop-forgotten',
  alternative: (network, axis) => {
    const accessId = axis.run.accessPointId;
    const ownId = `${accessId} by ${axis.run.id}`;
    const own = { ...axis, run: { ...axis.run, accessPointId: ownId } };
    return {
      network: { ...network, runs: new Map(network.runs).set(axis.run.id, own) },
      tell: (originFtOf) => {
        const [accessFt, ownFt] = [originFtOf(accessId), originFtOf(ownId)];
        if (accessFt === null || ownFt === null) return null;
        const missingFt = axis.direction * (accessFt - ownFt);
        if (missingFt < DROP_FT[0] || missingFt > DROP_FT[1]) return null;
        const taken = axis.run.zero.at === 'rim' ? axis.run.zero.dropFt : 0;
        return {
          text: `Everything fits if ${axis.run.id} was zeroed ${sayFt(taken + missingFt)} ft above the pipe${taken > 0 ? `, not ${sayFt(taken)}` : ''}.`,
          remedy: {
            do: 'set-drop',
            runId: axis.run.id,
            dropFt: roundTo(taken + missingFt, 1),
          },
        };
      },
    };
  },
};
