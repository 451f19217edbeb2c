import { totalFt } from '../../../base/interval';
import type { Conclusion } from '../conclusion';
import type { Rule } from '../rule';
import { findWetRun } from '../water/grade-failed';
import { sayFall } from '../water/run-grade-failed';

export const wrongLayout: Rule = {
  number: 40,
  id: 'wrong-layout',
  when: 'the pipe is sound but lies with too little fall',
  then: 'the layout is wrong, and no repair of the pipe puts it right',
  because: 'a building set too low for its sewer drains badly through perfect pipe',
  conclude: (scene) =>
    scene.laterals.flatMap((lateral): Conclusion[] => {
      const { whole, verdict } = lateral.grade;
      if (verdict !== 'cannot' || whole === null || totalFt([whole]) === 0) return [];
      if (findWetRun(scene, lateral)) return [];
      const segment = lateral.segments[0];
      return [
        {
          kind: 'finding',
          of: 'layout',
          key: 'no-fall',
          lineId: lateral.lineId,
          span: { fromFt: whole.fromFt, toFt: whole.toFt },
          sigmaFt: 0,
          material: segment?.material ?? 'unknown',
          boreIn: segment?.diameterIn ?? null,
          severity: 'moderate',
          action: 'monitor',
          says: `The line lies with too little fall for gravity. ${sayFall(lateral)} That is a fault of the layout, even where the pipe is sound.`,
          advice: [
            'No repair of the pipe cures this. Should it serve badly, ask about pumped ejection.',
          ],
          provisos: [],
          runIds: lateral.axes.map(({ run }) => run.id),
          entryIds: lateral.grade.points.flatMap(({ entryIds }) => entryIds),
        },
      ];
    }),
};
