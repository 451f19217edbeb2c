import { advice } from '../conclusion';
import type { Rule } from '../rule';
import { findNear } from '../scene';
import { GIVING_WAY } from '../structure/fiber-deforms';
import { stretchesOf } from '../structure/stretches';

export const fiberServes: Rule = {
  number: 53,
  id: 'fiber-serves',
  when: 'tar-paper fiber pipe still holds its shape',
  then: 'it serves today and is near its end: plan for replacing it, and count it when the price is talked about',
  because: 'fiber gives way all along once it begins, and nobody can say when',
  conclude: (scene) =>
    stretchesOf(
      scene,
      ({ material, certainty }) => material === 'bituminous-fiber' && certainty === 'confirmed',
    )
      .filter(
        (stretch) =>
          findNear(scene, { lineId: stretch.lineId, span: stretch }, 0, GIVING_WAY).length === 0,
      )
      .slice(0, 1)
      .map(() =>
        advice(
          null,
          'Where it was seen, the tar-paper fiber pipe serves today and is near its end. Plan for replacing it, and count that when you talk about the price.',
        ),
      ),
};
