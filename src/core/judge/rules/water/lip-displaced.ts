import { readLips } from '../../lips';
import { advice, type Conclusion, reason } from '../conclusion';
import type { Rule } from '../rule';
import { featuresNear, findingsOf, findNear, lineOf, standingOf } from '../scene';

/** A lip, a coupling and displaced pipe this near to one another are at one joint, feet. */
const ONE_JOINT_FT = 1;

export const lipDisplaced: Rule = {
  number: 12,
  id: 'lip-displaced',
  when: 'a lip stands at a coupling and the pipe there is displaced',
  then: 'poor bedding let the pipe move',
  because: 'a coupling bends where the ground under one of its pipes gave way',
  conclude: (scene) => {
    const changes = standingOf(scene, 'material').filter(({ entry }) => entry.joint === 'coupling');
    const hasAny =
      changes.length > 0 ||
      scene.findings.some(({ kind }) => kind === 'coupling-failed') ||
      scene.laterals.some(({ features }) => features.some(({ feature }) => feature === 'coupling'));
    if (!hasAny) return [];
    return findingsOf(scene, 'offset')
      .filter(({ placed }) => placed)
      .flatMap((offset): Conclusion[] => {
        const { lineId, span } = offset;
        const isNear = (atFt: number) =>
          atFt >= span.fromFt - ONE_JOINT_FT && atFt <= span.toFt + ONE_JOINT_FT;
        const hasLip = readLips(lineOf(scene, lineId)).some(({ stationFt }) => isNear(stationFt));
        const hasCoupling =
          featuresNear(scene, offset, ONE_JOINT_FT).some(({ feature }) => feature === 'coupling') ||
          findNear(scene, offset, ONE_JOINT_FT, ['coupling-failed']).length > 0 ||
          changes.some(
            ({ axis, entry }) => axis.placed && isNear(axis.placeOfEntry(entry).from.stationFt),
          );
        if (!hasLip || !hasCoupling) return [];
        return [
          reason(
            offset,
            'a lip at a coupling with the pipe out of line: the pipe was poorly bedded',
          ),
          advice(offset, 'Whoever repairs this joint should bed the pipe on both sides of it.'),
        ];
      });
  },
};
