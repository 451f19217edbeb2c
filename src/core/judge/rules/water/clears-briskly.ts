import { sayList } from '../../../base/numbers';
import { sayFixture } from '../../../model/log/kinds/seeing';
import { proviso, reason } from '../conclusion';
import type { Rule } from '../rule';
import { findingsOf, standingOf } from '../scene';

const SETTLED_BY = 'look again once the house has been lived in for some weeks';

export const clearsBriskly: Rule = {
  number: 19,
  id: 'clears-briskly',
  when: 'a fixture’s water clears briskly',
  then: 'the grade works today; in a vacant house that proves little',
  because: 'clean water finds its way where waste would stay',
  conclude: (scene) => {
    const clears = standingOf(scene, 'flow-test').filter(({ entry }) => entry.result === 'clears');
    const isVacant = scene.inspection.property.occupancy === 'vacant';
    const fixtures = [...new Set(clears.map(({ entry }) => sayFixture(entry.fixture)))];
    const works =
      clears.length > 0
        ? [reason(null, `Water from ${sayList(fixtures)} clears: the grade works today.`)]
        : [];
    if (!isVacant) return works;
    const quiet = findingsOf(scene, 'standing-water').filter(
      ({ verified, severity, facts }) => verified && severity === 'slight' && !facts.holdsDebris,
    );
    return [
      ...works,
      ...(scene.inspection.runs.length > 0
        ? [
            proviso(
              null,
              'The house is vacant: a line that nobody uses shows little of how it serves.',
              SETTLED_BY,
            ),
          ]
        : []),
      ...quiet.map((pool) =>
        proviso(
          pool,
          'nothing is caught, but the house is vacant, which proves little',
          SETTLED_BY,
        ),
      ),
    ];
  },
};
