import { isCloseBy, SPACING_FT } from '../../../lateral/close-by';
import { advice } from '../conclusion';
import type { Rule } from '../rule';
import { readSurface } from '../scene';

export const burstSpacing: Rule = {
  number: 60,
  id: 'burst-spacing',
  when: 'a buried utility or a footing lies close by the line',
  then: 'no bursting there before the spacing was measured',
  because: 'bursting pushes the ground aside, and what lies in it',
  conclude: (scene) => {
    const near = readSurface(scene)
      .filter(({ what, entry, offsetFt }) =>
        isCloseBy(entry ? entry.entry : { what, ...(offsetFt === null ? {} : { offsetFt }) }),
      )
      .map(({ what }) => (what === 'footing' ? 'A footing' : 'A buried utility'));
    return [...new Set(near)].map((what) =>
      advice(
        null,
        `${what} lies close by the line. Nobody should burst the pipe there before the space between them was measured: at least ${SPACING_FT} feet.`,
      ),
    );
  },
};
