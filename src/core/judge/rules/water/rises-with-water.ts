import { type Conclusion, reason, suspicion } from '../conclusion';
import type { Rule } from '../rule';
import { runsOf, standingOf } from '../scene';

export const risesWithWater: Rule = {
  number: 18,
  id: 'rises-with-water',
  when: 'added water rises or drains slowly',
  then: 'there is a blockage ahead, unless our own head pushed the plug there: then say so',
  because: 'water that cannot pass climbs back to where it came in',
  conclude: (scene) => {
    const ours = runsOf(scene).some(({ log }) =>
      log.standing.some((entry) => entry.kind === 'defect' && entry.ourDoing === true),
    );
    return standingOf(scene, 'flow-test')
      .filter(({ entry }) => entry.result === 'backs-up' || entry.result === 'slow')
      .map(({ axis, entry }): Conclusion => {
        const saw = entry.result === 'slow' ? 'drained slowly' : 'backed up';
        return ours
          ? reason(null, `Water from the ${entry.fixture} ${saw} in run ${axis.run.id}. Our own head moved debris in this line, which may be why.`)
          : suspicion(null, 'debris', `Water from the ${entry.fixture} ${saw} in run ${axis.run.id}: something blocks the way ahead.`, 'clear the line, then run the fixture again');
      });
  },
}; // prettier-ignore
