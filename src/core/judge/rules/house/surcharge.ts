import type { Finding } from '../../finding';
import { advice } from '../conclusion';
import type { Rule } from '../rule';
import { findingsOf } from '../scene';

export const surcharge: Rule = {
  number: 55,
  id: 'surcharge',
  when: 'marks of high water have a cause on the public side, or none in this line',
  then: 'the main may fill in wet weather: ask the authority',
  because: 'what rises from the main is no fault of this line, and no work on it helps',
  conclude: (scene) => {
    const marks = findingsOf(scene, 'residue-line').filter(({ placed }) => placed);
    if (marks.length === 0) return [];
    const isBelow = (mark: Finding) =>
      scene.findings.some(
        (one) =>
          one.kind !== 'residue-line' &&
          one.placed &&
          one.lineId === mark.lineId &&
          one.responsibleSide === 'owner' &&
          one.severity !== 'slight' &&
          one.span.toFt >= mark.span.fromFt,
      );
    return marks.some((mark) => !isBelow(mark))
      ? [
          advice(
            null,
            'Water stood high in this line, and no cause of it was logged below on the owner’s side. Ask the sewer authority whether the main fills in wet weather.',
          ),
        ]
      : [];
  },
};
