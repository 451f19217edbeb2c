import { advice } from '../conclusion';
import type { Rule } from '../rule';

const STUCK =
  /forc|stuck|seiz|frozen|rusted (?:in|shut)|(?:would|will|does) not (?:come|turn|open|move)/i;

export const capStuck: Rule = {
  number: 1,
  id: 'cap-stuck',
  when: 'a cap will not come without force',
  then: 'go in elsewhere, and advise freeing the cap',
  because: 'forcing a stuck cap may break the line that it closes',
  conclude: ({ inspection }) =>
    inspection.accessPoints
      .filter(({ usable, obstacle }) => !usable && obstacle !== null && STUCK.test(obstacle))
      .map(({ id, label = id, place }) =>
        advice(
          null,
          `Have the cap of access ${label} (${place}) freed with care. It would not come without force, and force may break the line.`,
        ),
      ),
};
