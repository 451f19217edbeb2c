import { segmentsOver } from '../../lateral/segments';
import { type Check, sayAt } from '../check';

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
      .map((finding) => ({
        message: `Nobody said what lies over finding ${finding.number}, ${finding.kind} ${sayAt(context, finding)}.`,
        action: 'Say the zone there: yard, driveway, walk, street or under the house.',
        runIds: finding.runIds,
        entryIds: finding.entryIds,
      })),
};
