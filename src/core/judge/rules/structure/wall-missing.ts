import { sayFt, sayIn } from '../../../base/numbers';
import { TOLERANCES } from '../../../base/tolerances';
import { nearestLocate } from '../../../lateral/near-locate';
import { showsSoil } from '../../severity/bounds';
import { advice, type Conclusion, question, reason } from '../conclusion';
import type { Rule } from '../rule';
import { findingsOf, lineOf, standingOf } from '../scene';

export const wallMissing: Rule = {
  number: 31,
  id: 'wall-missing',
  when: 'wall is missing at the invert, or soil or a void is visible',
  then: 'failed: replace the section; give station, depth and mark',
  because: 'the pipe no longer carries the flow nor holds the ground out',
  conclude: (scene) =>
    findingsOf(scene, 'break', 'hole', 'crack', 'wall-loss', 'coupling-failed', 'offset', 'gap')
      .filter(({ severity, facts }) => severity === 'failed' && (showsSoil(facts) || /invert|gone|missing/.test(facts.form ?? '')))
      .flatMap((open): Conclusion[] => {
        const middleFt = (open.span.fromFt + open.span.toFt) / 2;
        const locate = open.placed ? nearestLocate(lineOf(scene, open.lineId).grade.located, middleFt) : null;
        const isLocated = locate !== null && Math.abs(locate.offFt) <= TOLERANCES.locateReachFt;
        const mark = standingOf(scene, 'locate').find(
          ({ axis, entry }) =>
            entry.mark !== undefined && axis.placed &&
            Math.abs(axis.placeOfEntry(entry).from.stationFt - middleFt) <= TOLERANCES.locateReachFt,
        )?.entry.mark;
        const where = `at ${sayFt(middleFt)} ft`;
        return [
          reason(open, 'the section can no longer do its work'),
          advice(
            open,
            isLocated
              ? `Replace the section ${where}: ${sayIn(locate.depthIn)} in down${mark ? `, marked ${mark}` : ''}.`
              : `Replace the section ${where}. Its depth was not measured.`,
          ),
          ...(isLocated || !open.placed
            ? []
            : [question(open, 'surface', `The section ${where} will be dug for, and nobody located it.`, 'Locate it: depth, mark, and a reference that will not move.')]),
        ];
      }),
}; // prettier-ignore
