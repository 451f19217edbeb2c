import { hasTrait } from '../../../catalogue/defects/kinds';
import { proviso } from '../conclusion';
import type { Rule } from '../rule';
import { pipeAt, type Scene } from '../scene';

const SETTLED_BY = 'look at a cut end or a joint, and confirm or correct the material';

function restsOnDoubt(scene: Scene, finding: Scene['findings'][number]): boolean {
  const pipe = pipeAt(scene, finding);
  if (pipe === null || pipe.certainty === 'confirmed' || finding.ourDoing) return false;
  if (hasTrait(finding.kind, 'rests-on-bore')) return true;
  return hasTrait(finding.kind, 'rests-on-material') && pipe.material !== 'unknown';
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
