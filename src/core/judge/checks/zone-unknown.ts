import { sayFt } from '../../base/numbers';
import { segmentsOver } from '../../lateral/segments';
import { type Check, nameLinesOf } from '../check';

/** Work that may be dug for under ground that nobody named: its price is a range until somebody does. */
export const zoneUnknown: Check = {
  code: 'zone-unknown',
  level: 'warning',
  stand: 'surface',
  find: (context) =>
    context.findings
      .filter(({ placed, action }) => placed && (action === 'repair' || action === 'urgent'))
      .filter(({ lineId, span }) => {
        const lateral = context.laterals.find((one) => one.lineId === lineId)!;
        return segmentsOver(lateral.segments, span).some(({ zone }) => zone === null);
      })
      .map(({ number, kind, span, lineId, runIds, runNames, entryIds }) => ({
        message: `Run ${runNames.join(' and ')}: nobody said what lies over finding ${number}, ${kind} at ${sayFt(span.fromFt)} ft${nameLinesOf(context).on(lineId)}.`,
        action: 'Say the zone there: yard, driveway, walk, street or under the house.',
        runIds,
        entryIds,
      })),
};
