import { NEW_PIPE } from '../../../catalogue/method-ids';
import { adviceWith, type AnyConclusion } from '../conclusion';
import type { Rule } from '../rule';
import { findingsOf } from '../scene';

/** Signs that a pipe gives way: how much they matter hangs on what it is made of. */
export const GIVING_WAY = [
  'deformation',
  'hole',
  'break',
  'collapse',
  'crack',
  'wall-loss',
  'spalling',
] as const;

export const fiberDeforms: Rule = {
  number: 35,
  turns: true,
  id: 'fiber-deforms',
  when: 'bituminous fiber is humped, blistered or holed',
  then: 'replace it, once the material is certain; no cutters and no high pressure in it',
  because: 'layered paper and pitch that has begun to give way goes on until it closes',
  conclude: (scene) =>
    findingsOf(scene, ...GIVING_WAY)
      .filter(({ material }) => material === 'bituminous-fiber')
      .flatMap((finding): AnyConclusion[] => [
        {
          kind: 'action',
          on: finding.id,
          action: 'repair',
          text: 'bituminous fiber that has begun to give way will fail',
        },
        adviceWith(NEW_PIPE, finding, 'Replace this pipe: it will fail.'),
      ]),
};
