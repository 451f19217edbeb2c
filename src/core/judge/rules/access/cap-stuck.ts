import { troubleOf } from '../../../model/job/access-point';
import { advice } from '../conclusion';
import type { Rule } from '../rule';

export const capStuck: Rule = {
  number: 1,
  id: 'cap-stuck',
  when: 'a cap will not come without force',
  then: 'go in elsewhere, and advise freeing the cap',
  because: 'forcing a stuck cap may break the line that it closes',
  conclude: ({ inspection }) =>
    inspection.accessPoints
      .filter((access) => troubleOf(access) === 'stuck-cap')
      .map(({ id, label = id, place }) =>
        advice(
          null,
          `Have the cap of access ${label} (${place}) freed with care. It would not come without force, and force may break the line.`,
        ),
      ),
};
