import { overlaps } from '../../../base/interval';
import { hasTrait } from '../../../catalogue/defects/kinds';
import type { Finding } from '../../finding';
import { advice, reason } from '../conclusion';
import type { Rule } from '../rule';
import { findingsOf, nameOf, sayIn } from '../scene';

export const residueLine: Rule = {
  number: 13,
  id: 'residue-line',
  when: 'residue lies above the water line',
  then: 'the line has surcharged before; look for the blockage downstream',
  because: 'water leaves its mark where it stood, and something below held it there',
  conclude: (scene) =>
    findingsOf(scene, 'residue-line').flatMap((mark) => {
      const below = scene.findings.find(
        (other: Finding) =>
          other.lineId === mark.lineId &&
          other.placed &&
          (other.kind === 'lip' || hasTrait(other.kind, 'narrows')) &&
          (other.span.fromFt >= mark.span.fromFt || overlaps(other.span, mark.span)),
      );
      return [
        reason(mark, 'the line has stood fuller than it does today'),
        advice(
          mark,
          below
            ? `Look to ${nameOf(below)} ${sayIn(scene, below)} first: it lies downstream and narrows the pipe.`
            : 'Look for what held the water farther down the line.',
        ),
      ];
    }),
};
