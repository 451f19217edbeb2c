import { overlaps } from '../../../base/interval';
import { layOut } from '../../../base/near';
import { kindsWith } from '../../../catalogue/defects/kinds';
import { isPipeOf } from '../../../catalogue/materials/kinds';
import { depthInOf, fillRatioOf } from '../../../catalogue/severity/water-depth';
import type { Finding } from '../../finding';
import { cause, type Conclusion, suspicion } from '../conclusion';
import type { Rule } from '../rule';
import { findingsOf, findNear, sayIn, type Scene } from '../scene';

const SETTLED_BY = 'clean the line, let it drain, and look again';

const hasNoDepth = ({ facts }: Finding) => depthInOf(facts) === null && fillRatioOf(facts) === null;

/** Murky or submerged stretches that no other run saw. */
function murkOf(scene: Scene) {
  return scene.laterals.flatMap(({ lineId, coverage }) => {
    const obscuredNear = layOut(coverage.obscured, (part) => part);
    return coverage.unseen
      .filter(({ cause: why }) => why === 'murky' || why === 'submerged')
      .filter((stretch) => obscuredNear(stretch).some((part) => overlaps(part, stretch)))
      .map((stretch) => ({ lineId, stretch }));
  });
}

export const openCauses: Rule = {
  number: 15,
  turns: true,
  id: 'open-causes',
  when: 'water is not verified, or the head was submerged or in murk and no depth is known; or water stands on worn iron',
  then: 'debris, roots and belly all stay possible: clean and look again; never pick one. On worn iron, the wear and a belly compete',
  because: 'each of the three looks the same from above the water',
  conclude: (scene) => {
    const murk = murkOf(scene);
    const pools = findingsOf(scene, 'standing-water');
    const murkNear = layOut(murk, ({ stretch }) => stretch);
    const isMurky = (pool: Finding) =>
      murkNear(pool.span).some(
        ({ lineId, stretch }) => lineId === pool.lineId && overlaps(stretch, pool.span),
      );
    const poolsNear = layOut(pools, ({ span }) => span);
    const open = pools.filter(
      (pool) =>
        pool.provisos.some(({ rule }) => rule === 'water-unverified') ||
        // What calls for more than a look keeps its call: hiding a thing takes no action away.
        (hasNoDepth(pool) &&
          isMurky(pool) &&
          ['none', 'monitor', 'look-again'].includes(pool.action)),
    );
    const bare = murk.filter(
      ({ lineId, stretch }) =>
        !poolsNear(stretch).some(
          (pool) =>
            pool.lineId === lineId &&
            !hasNoDepth(pool) &&
            pool.verified &&
            overlaps(pool.span, stretch),
        ),
    );
    const inWornIron = pools.filter(
      (pool) =>
        pool.verified &&
        isPipeOf('iron', pool.material) &&
        findNear(scene, pool, 0, ['wall-loss']).some(({ span }) => overlaps(span, pool.span)),
    );
    return [
      ...inWornIron.flatMap((pool) => [
        cause(
          pool,
          'wall-loss',
          'look whether the bottom of the pipe is worn away under the water',
        ),
        cause(pool, 'belly', 'locate both ends of the water and compare the depths'),
      ]),
      ...open.flatMap((pool) => [
        cause(pool, 'debris', SETTLED_BY),
        cause(pool, 'roots', SETTLED_BY),
        cause(pool, 'belly', 'let the line drain, and look again'),
      ]),
      ...bare.flatMap(({ lineId, stretch }): Conclusion[] =>
        kindsWith('hides-in-murk')
          .toReversed()
          .map((defect) =>
            suspicion(
              null,
              defect,
              `nobody could see ${sayIn(scene, { lineId, span: stretch })} (${stretch.cause}): debris, roots and a low stretch are all possible`,
              SETTLED_BY,
            ),
          ),
      ),
    ];
  },
};
