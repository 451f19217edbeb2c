import { interval, type Interval } from '../../base/interval';
import { layOut, type Near } from '../../base/near';
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
        ({ lineId, span }) => locates.get(lineId)!(span, TOLERANCES.locateReachFt).length === 0,
      )
      .map((finding) => ({
        message: `Finding ${finding.number}, ${finding.kind} ${sayAt(context, finding)}, may be dug for and has no locate within ${TOLERANCES.locateReachFt} ft.`,
        action: 'Locate it: depth, mark, and a reference that will not move.',
        runIds: finding.runIds,
        entryIds: finding.entryIds,
      }));
  },
};

function locatesOf(lateral: Lateral): Near<Interval> {
  const located = lateral.axes.flatMap((axis) =>
    axis.log.of('locate').flatMap((entry) => {
      if (entry.depthIn === undefined) return [];
      const { from, to } = axis.placeOfEntry(entry);
      return [interval(from.stationFt, to.stationFt)];
    }),
  );
  return layOut(located, (at) => at);
}
