import type { FindingKind } from '../../finding';
import { proviso } from '../conclusion';
import type { Rule } from '../rule';
import { pipeAt, type Scene } from '../scene';

/** Kinds whose grade rests on the bore, which comes with the pipe: also where no pipe was logged. */
const REST_ON_BORE: readonly FindingKind[] = ['standing-water', 'roots', 'offset', 'lip'];
/** Kinds that mean one thing in one material and another in another. */
const REST_ON_MATERIAL: readonly FindingKind[] = [
  'wall-loss',
  'spalling',
  'deformation',
  'scale',
  'hole',
  'break',
  'collapse',
  'crack',
];

const SETTLED_BY = 'look at a cut end or a joint, and confirm or correct the material';

function restsOnDoubt(scene: Scene, finding: Scene['findings'][number]): boolean {
  const pipe = pipeAt(scene, finding);
  if (pipe === null || pipe.certainty === 'confirmed' || finding.ourDoing) return false;
  if (REST_ON_BORE.includes(finding.kind)) return true;
  return REST_ON_MATERIAL.includes(finding.kind) && pipe.material !== 'unknown';
}

export const materialSuspected: Rule = {
  number: 46,
  id: 'material-suspected',
  when: 'the material is only suspected',
  then: 'every conclusion that rests on it is provisional; a corrected material re-judges them all',
  because: 'the same sight means upkeep in one pipe and replacement in another',
  conclude: (scene) =>
    scene.findings
      .filter((finding) => restsOnDoubt(scene, finding))
      .map((finding) =>
        proviso(finding, 'the pipe here is not certain, and the judgement rests on it', SETTLED_BY),
      ),
};
