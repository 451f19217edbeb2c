import { gapBetweenFt, interval, type Interval } from '../../base/interval';
import { TOLERANCES } from '../../base/tolerances';
import type { Lateral } from '../../lateral/lateral';
import { type Check, sayAt } from '../check';

/** Something that may be dug for, with no locate near it. */
export const noLocate: Check = {
  code: 'no-locate',
  level: 'warning',
  stand: 'surface',
  find: (context) => {
    const { findings, laterals } = context;
    const locates = new Map(laterals.map((lateral) => [lateral.lineId, locatesOf(lateral)]));
    return findings
      .filter(({ action, placed }) => placed && (action === 'repair' || action === 'urgent'))
      .filter(
        ({ lineId, span }) =>
          !locates.get(lineId)?.some((at) => gapBetweenFt(span, at) <= TOLERANCES.locateReachFt),
      )
      .map((finding) => ({
        message: `Finding ${finding.number}, ${finding.kind} ${sayAt(context, finding)}, may be dug for and has no locate within ${TOLERANCES.locateReachFt} ft.`,
        action: 'Locate it: depth, mark, and a reference that will not move.',
        runIds: finding.runIds,
        entryIds: finding.entryIds,
      }));
  },
};

function locatesOf(lateral: Lateral): Interval[] {
  return lateral.axes.flatMap((axis) =>
    axis.log.standing.flatMap((entry) => {
      if (entry.kind !== 'locate' || entry.depthIn === undefined) return [];
      const { from, to } = axis.placeOfEntry(entry);
      return [interval(from.stationFt, to.stationFt)];
    }),
  );
}
