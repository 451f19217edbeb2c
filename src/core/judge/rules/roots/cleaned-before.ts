import { kindsWith } from '../../../catalogue/defects/kinds';
import { type Conclusion, proviso, question, reason } from '../conclusion';
import type { Rule } from '../rule';
import { findingsOf, runsOf } from '../scene';

const SETTLED_BY = 'look again after some months of use, without cleaning first';

export const cleanedBefore: Rule = {
  number: 26,
  id: 'cleaned-before',
  when: 'the line was cleaned before the look',
  then: 'grade by what remains, and say that it understates',
  because: 'a cut line shows the stubs of what was there',
  conclude: (scene) => {
    const runs = runsOf(scene);
    const cleaned = new Set(
      runs
        .filter(({ run }) => run.cleanedBefore === 'cut' || run.cleanedBefore === 'jetted')
        .map(({ run }) => run.id),
    );
    const asked = runs
      .filter(({ run }) => run.cleanedBefore === 'unknown')
      .map(({ run }): Conclusion =>
        question(
          null,
          'desk',
          `Nobody knows whether the line was cleaned before run ${run.id}.`,
          'Ask the seller or the agent, and set it on the run.',
          { runIds: [run.id] },
        ),
      );
    const understated = findingsOf(scene, 'roots', ...kindsWith('deposit')).filter(({ runIds }) =>
      runIds.every((id) => cleaned.has(id)),
    );
    return [
      ...asked,
      ...(cleaned.size > 0
        ? [
            proviso(
              null,
              'The line was cleaned before this look, so what was seen understates what grows and settles in it.',
              SETTLED_BY,
            ),
          ]
        : []),
      ...understated.flatMap((finding) => [
        reason(finding, 'the line was cleaned before this look: what remains understates it'),
        proviso(finding, 'the line was cleaned before this look, so there was more', SETTLED_BY),
      ]),
    ];
  },
};
