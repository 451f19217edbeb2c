import { sayFt, sayIn, sayPercent } from '../../../base/numbers';
import type { Lateral } from '../../../lateral/lateral';
import { type Conclusion, question, reason } from '../conclusion';
import type { Rule } from '../rule';
import { findWetRun } from './grade-failed';

/** The fall there is against the fall that is needed, in words. */
export function sayFall({ grade }: Lateral): string {
  if (!grade.whole) return 'The fall was not measured.';
  const { availableIn, requiredIn, sigmaIn } = grade.whole;
  return `The pipe falls ${sayIn(availableIn)} in where ${sayIn(requiredIn)} in are needed, ±${sayIn(2 * sigmaIn)} in.`;
}

const EJECTOR =
  'New pipe on the same fall would hold water again. Ask about pumped ejection, or about another way to the main.';

export const runGradeFailed: Rule = {
  number: 14,
  id: 'run-grade-failed',
  when: 'there are several pools, or most of the run is wet',
  then: 'the run’s grade has failed: compare the fall there is with the fall it needs; if the fall is not there, pumped ejection',
  because: 'one pool is a dip; many are a pipe without fall, and replacing pipe makes no fall',
  conclude: (scene) =>
    scene.laterals.flatMap((lateral): Conclusion[] => {
      const wet = findWetRun(scene, lateral);
      if (!wet) return [];
      const { verdict } = lateral.grade;
      const about = {
        runIds: [...new Set(wet.pools.flatMap(({ runIds }) => runIds))],
        entryIds: wet.pools.flatMap(({ entryIds }) => entryIds),
      };
      const measure = 'Locate two places far apart, each with its ground level.';
      return [
        {
          kind: 'finding',
          of: 'layout',
          key: 'run-grade',
          lineId: lateral.lineId,
          span: wet.span,
          sigmaFt: Math.max(...wet.pools.map(({ sigmaFt }) => sigmaFt)),
          material: wet.pools[0]!.material,
          boreIn: wet.pools[0]!.facts.boreIn,
          severity: 'moderate',
          action: verdict === 'cannot' ? 'repair' : 'monitor',
          says: `The grade of the run has failed: ${wet.count === 1 ? 'one pool' : `${wet.count} pools`} over ${sayFt(wet.wetFt)} ft, ${sayPercent(wet.wetRatio)} of the line. ${sayFall(lateral)}`,
          advice:
            verdict === 'cannot'
              ? [EJECTOR]
              : verdict === 'can'
                ? ['The fall is there: replacing the wet length to grade would cure it.']
                : [
                    'Measure the fall before anyone prices new pipe: without fall, new pipe cures nothing.',
                  ],
          provisos:
            verdict === 'cannot-be-told'
              ? [{ text: 'whether gravity can serve the house is not known', settledBy: measure }]
              : [],
          ...about,
        },
        ...wet.pools.map((pool) =>
          reason(pool, 'it is one of several: the grade of the whole run has failed'),
        ),
        ...(verdict === 'cannot-be-told'
          ? [
              question(
                null,
                'surface',
                'Whether the line has the fall it needs cannot be told.',
                measure,
                about,
              ),
            ]
          : []),
      ];
    }),
};
