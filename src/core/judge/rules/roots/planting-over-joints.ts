import { isPipeOf } from '../../../catalogue/materials/kinds';
import { segmentAt } from '../../../lateral/segments';
import { advice, reason } from '../conclusion';
import type { Rule } from '../rule';
import { findNear, lineOf, readSurface, sayIn, spotUnder } from '../scene';

const PLANTS: readonly string[] = ['tree', 'hedge', 'shrub', 'bush', 'planting'];
/** Roots this far along the line from a tree are that tree's, feet. */
const REACH_FT = 10;

export const plantingOverJoints: Rule = {
  number: 29,
  id: 'planting-over-joints',
  when: 'a tree or a hedge stands over a line with joints',
  then: 'with roots under it, it is named as their source, and taking it out or a barrier is weighed; else a future risk even where the line is clean today, and no action for roots in the ground alone',
  because: 'roots find joints in time, and none has found these yet',
  conclude: (scene) =>
    readSurface(scene).flatMap(({ what, entry }) => {
      // A tree that nobody gave a footage stands nowhere in particular.
      const spot = PLANTS.includes(what) && entry ? spotUnder(scene, entry) : null;
      if (!spot) return [];
      const plant = what.replace(/-/g, ' ');
      const over = findNear(scene, spot, REACH_FT, ['roots']);
      if (over.length > 0)
        return over.flatMap((roots) => [
          reason(roots, `the ${plant} over the line ${sayIn(scene, spot)} is the likely source`),
          advice(
            roots,
            `The ${plant} over the line ${sayIn(scene, spot)} is the likely source: weigh taking it out, or a root barrier, beside any repair.`,
          ),
        ]);
      const segment = segmentAt(lineOf(scene, spot.lineId).segments, spot.span.fromFt);
      if (!segment || segment.lined || !isPipeOf('jointed', segment.material)) return [];
      return [
        reason(
          null,
          `The ${plant} over the line ${sayIn(scene, spot)} is a risk for later: the pipe under it has joints. No action, because no roots are in the pipe there.`,
        ),
      ];
    }),
};
