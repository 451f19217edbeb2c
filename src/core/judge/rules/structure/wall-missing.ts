import { TOLERANCES } from '../../../base/tolerances';
import { WALL_GONE } from '../../../catalogue/forms';
import { NEW_PIPE } from '../../../catalogue/method-ids';
import { showsSoil } from '../../../catalogue/severity/bounds';
import { nearestLocate } from '../../../lateral/near-locate';
import type { EntryOf } from '../../../model/log/entry';
import type { Finding } from '../../finding';
import { adviceWith, type Conclusion, question, reason } from '../conclusion';
import type { Rule } from '../rule';
import { findingsOf, lineOf, runsOf, sayIn, type Scene, standingOf } from '../scene';

/** How a place was marked and what it was measured from, to follow it. */
function sayMarks(locate: EntryOf<'locate'> | undefined): string {
  const said = [locate?.mark ? `marked ${locate.mark}` : null, locate?.reference || null].filter(
    (one) => one !== null,
  );
  return said.length > 0 ? `, ${said.join(', ')}` : '';
}

/** The line that runs name, where they name one. */
const lineIdOf = (scene: Scene, { runIds }: Finding) =>
  runsOf(scene).find(({ run }) => runIds.includes(run.id))?.run.lineId;

export const wallMissing: Rule = {
  number: 31,
  id: 'wall-missing',
  when: 'wall is missing at the invert, or soil or a void is visible',
  then: 'failed: replace the section; give station, depth and mark',
  because: 'the pipe no longer carries the flow nor holds the ground out',
  conclude: (scene) =>
    findingsOf(scene, 'break', 'hole', 'crack', 'wall-loss', 'coupling-failed', 'offset', 'gap')
      .filter(
        ({ severity, facts }) =>
          severity === 'failed' && (showsSoil(facts) || WALL_GONE.includes(facts.form)),
      )
      .flatMap((open): Conclusion[] => {
        const middleFt = (open.span.fromFt + open.span.toFt) / 2;
        const locate = open.placed
          ? nearestLocate(lineOf(scene, open.lineId).grade.located, middleFt)
          : null;
        const isLocated = locate !== null && Math.abs(locate.offFt) <= TOLERANCES.locateReachFt;
        const marked = standingOf(scene, 'locate').find(
          ({ axis, entry }) =>
            axis.placed &&
            axis.run.lineId === lineIdOf(scene, open) &&
            Math.abs(axis.placeOfEntry(entry).from.stationFt - middleFt) <=
              TOLERANCES.locateReachFt,
        )?.entry;
        const found = sayMarks(marked);
        const where = open.placed ? sayIn(scene, open) : 'there';
        return [
          reason(open, 'the section can no longer do its work'),
          adviceWith(
            NEW_PIPE,
            open,
            isLocated
              ? `Replace the section ${where}: ${Math.round(locate.depthIn)} in down to the bottom of the pipe${found}.`
              : `Replace the section ${where}. Its depth was not measured${found}.`,
          ),
          ...(isLocated || !open.placed
            ? []
            : [
                question(
                  open,
                  'surface',
                  `The section ${where} will be dug for, and nobody located it.`,
                  'Locate it: depth, mark, and a reference that will not move.',
                ),
              ]),
        ];
      }),
};
