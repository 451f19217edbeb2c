import { sayList } from '../../../base/numbers';
import { NEW_PIPE } from '../../../catalogue/method-ids';
import { groundOf } from '../../../lateral/zones';
import { adviceWith } from '../conclusion';
import type { Rule } from '../rule';
import { groupClose } from '../structure/close-together';

/** Of many works in a row so many are named on each side: a pit is no longer than that. */
const NEIGHBOURS = 8;

export const sharedPit: Rule = {
  number: 51,
  id: 'shared-pit',
  when: 'two repairs lie close together',
  then: 'in one kind of ground they share a pit; exposed pipe, pipe under a slab and pipe in the ground are three jobs, and pavement is another price',
  because: 'the pit is most of the price, and what must be opened and put back is most of the pit',
  conclude: (scene) => {
    const works = scene.findings.filter(
      ({ action, placed, courtesy, responsibleSide }) =>
        placed &&
        !courtesy &&
        responsibleSide === 'owner' &&
        (action === 'repair' || action === 'urgent'),
    );
    return groupClose(works, scene.thresholds.closeTogetherFt)
      .filter((group) => group.length > 1)
      .flatMap((group) =>
        group.flatMap((finding, index) => {
          const near = group.slice(Math.max(0, index - NEIGHBOURS), index + NEIGHBOURS + 1);
          const others = near.filter((one) => one !== finding);
          const alike = others.filter(({ zone }) => groundOf(zone) === groundOf(finding.zone));
          const unlike = others.length - alike.length;
          const name = (list: readonly { readonly number: number }[]) =>
            `finding${list.length > 1 ? 's' : ''} ${sayList(list.map(({ number }) => String(number)))}`;
          return [
            ...(alike.length > 0
              ? [adviceWith(NEW_PIPE, finding, `Can share one pit with ${name(alike)}.`)]
              : []),
            ...(unlike > 0
              ? [
                  adviceWith(
                    NEW_PIPE,
                    finding,
                    `Lies close to ${name(others.filter((one) => !alike.includes(one)))}, but in other ground: two jobs at two prices.`,
                  ),
                ]
              : []),
          ];
        }),
      );
  },
};
