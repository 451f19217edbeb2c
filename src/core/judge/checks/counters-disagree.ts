import { gapBetweenFt } from '../../base/interval';
import { sayFt } from '../../base/numbers';
import { TOLERANCES } from '../../base/tolerances';
import { nameMaterial } from '../../catalogue/materials/kinds';
import { type Change, changesOf } from '../../lateral/changes';
import type { Lateral } from '../../lateral/lateral';
import { type Check, nameLinesOf } from '../check';

/** Pairs of runs that saw the same change of pipe, once each, too far apart to be slip. */
function disagreements({ axes }: Lateral): (readonly [Change, Change])[] {
  return axes.flatMap((axis, index) =>
    axes.slice(index + 1).flatMap((other) =>
      changesOf(axis).flatMap((change) => {
        const like = (one: Change) => one.from === change.from && one.to === change.to;
        const mine = changesOf(axis).filter(like);
        const theirs = changesOf(other).filter(like);
        const [their] = theirs;
        // Of several alike nobody can say which is which.
        if (mine.length !== 1 || theirs.length !== 1 || !their) return [];
        const isShared = gapBetweenFt(change.reach, their.reach) === 0;
        const apartFt = Math.abs(change.stationFt - their.stationFt);
        const sigmaFt = Math.hypot(change.sigmaFt, their.sigmaFt);
        return isShared && apartFt > TOLERANCES.misfitSigmas * sigmaFt
          ? [[change, their] as const]
          : [];
      }),
    ),
  );
}

/** Two joined runs that put one change of pipe at two places: one of them is badly placed. */
export const countersDisagree: Check = {
  code: 'counters-disagree',
  level: 'blocker',
  stand: 'desk',
  find: (context) =>
    context.laterals.flatMap((lateral) =>
      disagreements(lateral).map(([a, b]) => ({
        message: `Runs ${a.axis.name} and ${b.axis.name} put the change from ${nameMaterial(a.from)} to ${nameMaterial(a.to)} at ${sayFt(a.stationFt)} and ${sayFt(b.stationFt)} ft${nameLinesOf(context).on(lateral.lineId)}: farther apart than two counters of one line read.`,
        action: 'Check the ties and the footages of both; tie the change itself if it is one.',
        runIds: [a.axis.run.id, b.axis.run.id],
        entryIds: [a.entryId, b.entryId],
      })),
    ),
};
