import { adviceWith, type Conclusion, reason } from '../conclusion';
import type { Rule } from '../rule';

export const publicSide: Rule = {
  number: 50,
  id: 'public-side',
  when: 'a defect lies on the public side of the responsibility line',
  then: 'report it to the authority; it is not among the owner’s works',
  because: 'local rules give that part of the line to the authority',
  conclude: (scene) =>
    scene.findings
      .filter(({ responsibleSide, placed }) => responsibleSide === 'public' && placed)
      .flatMap((finding): Conclusion[] => [
        reason(finding, 'it lies on the public side'),
        ...(finding.severity === 'slight'
          ? []
          : [adviceWith(['notify-authority'], finding, 'It is theirs to repair, not yours.')]),
      ]),
};
