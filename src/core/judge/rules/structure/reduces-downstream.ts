import { sayFt } from '../../../base/numbers';
import { findReductions } from '../../../lateral/reductions';
import type { Conclusion } from '../conclusion';
import type { Rule } from '../rule';
import { oldestOf } from '../scene';

export const reducesDownstream: Rule = {
  number: 39,
  id: 'reduces-downstream',
  when: 'the pipe gets smaller in the direction of flow',
  then: 'a fault in the layout, whatever the condition of the pipe',
  because: 'what passes the larger pipe can stop at the smaller',
  conclude: (scene) =>
    scene.laterals.flatMap((lateral) =>
      findReductions(lateral.segments).map(({ before, after, entryIds }): Conclusion => {
        const span = { fromFt: after.fromFt, toFt: after.fromFt };
        return {
          kind: 'finding',
          of: 'layout',
          key: `reduces-${oldestOf(scene, after.entryIds) ?? sayFt(after.fromFt)}`,
          lineId: lateral.lineId,
          span,
          sigmaFt: 0,
          material: after.material,
          boreIn: after.diameterIn,
          severity: 'moderate',
          action: 'monitor',
          says: `The pipe narrows from ${before.diameterIn} to ${after.diameterIn} in in the direction of flow. That is a fault of the layout and not of the pipe’s condition.`,
          advice: [
            'No work for this alone. When the smaller pipe is replaced, have it laid in the larger size.',
          ],
          provisos: [before, after].every(({ certainty }) => certainty === 'confirmed')
            ? []
            : [
                {
                  text: 'a size rests on a pipe that is only suspected',
                  settledBy: 'size both pipes at the change',
                },
              ],
          runIds: [],
          entryIds,
        };
      }),
    ),
};
