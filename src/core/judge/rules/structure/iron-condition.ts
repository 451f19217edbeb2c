import { isPipeOf } from '../../../catalogue/materials/kinds';
import { NEW_PIPE } from '../../../catalogue/method-ids';
import type { Finding } from '../../finding';
import { adviceWith, type Conclusion, reason } from '../conclusion';
import type { Rule } from '../rule';
import { findingsOf, findNear, type Scene } from '../scene';

function concludeOf(scene: Scene, finding: Finding): Conclusion[] {
  const { kind, severity } = finding;
  const isThin = severity === 'major' || severity === 'failed';
  switch (kind) {
    case 'break':
    case 'hole':
    case 'collapse':
      return [adviceWith(NEW_PIPE, finding, 'Broken iron is replaced.')];
    case 'wall-loss':
    case 'deformation':
      if (isThin) return [adviceWith(NEW_PIPE, finding, 'Replace this stretch.')];
      return [
        reason(finding, 'corroded but flowing: it is ageing'),
        ...(finding.facts.inStandingWater
          ? [reason(finding, 'water that stands on iron speeds its rusting')]
          : []),
        adviceWith([], finding, 'Look at it again in some years.'),
      ];
    case 'scale': {
      if (severity === 'slight') return [];
      const thin = findNear(scene, finding, 0, ['wall-loss', 'deformation', 'break', 'hole']);
      return thin.length > 0
        ? [reason(finding, 'the pipe under this scale is worn')]
        : [adviceWith(['descale'], finding, 'Heavily scaled but whole: descaling holds it.')];
    }
    default:
      return [];
  }
}

export const ironCondition: Rule = {
  number: 34,
  id: 'iron-condition',
  when: 'iron is broken, worn thin, scaled or corroded',
  then: 'broken: replace; invert gone, pitted or flattened: replace, never a mechanical descaling; heavily scaled but whole: cleanout and descale; corroded but flowing: monitor',
  because: 'scale is the old wall: taking it off sound pipe helps, off thin pipe it leaves nothing',
  conclude: (scene) =>
    findingsOf(scene, 'break', 'hole', 'collapse', 'wall-loss', 'deformation', 'scale')
      .filter(({ material }) => isPipeOf('iron', material))
      .flatMap((finding) => concludeOf(scene, finding)),
};
