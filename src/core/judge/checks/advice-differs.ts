import { overlaps } from '../../base/interval';
import type { Action } from '../../catalogue/severity/grade';
import { readAdvice } from '../../lateral/advice';
import { type Check, sayAt } from '../check';

/** What an advice asks of the buyer, by what it says to do: nothing, upkeep or work. */
const ASKS: Readonly<Record<string, 'watch' | 'upkeep' | 'work' | 'look'>> = {
  monitor: 'watch',
  cut: 'upkeep',
  jet: 'upkeep',
  'treat-roots': 'upkeep',
  descale: 'upkeep',
  'look-again': 'look',
  'second-opinion': 'look',
  'ramp-lip': 'work',
  'patch-liner': 'work',
  liner: 'work',
  dig: 'work',
  'replace-exposed': 'work',
  'slab-break': 'work',
  reroute: 'work',
  burst: 'work',
};
const OF_ACTION: Record<Action, 'watch' | 'upkeep' | 'work' | 'look'> = {
  none: 'watch',
  monitor: 'watch',
  upkeep: 'upkeep',
  repair: 'work',
  urgent: 'work',
  'look-again': 'look',
};

/** The inspector's advice for a place asks for something else than Chert's action there. */
export const adviceDiffers: Check = {
  code: 'advice-differs',
  level: 'warning',
  stand: 'desk',
  find: (context) =>
    context.laterals.flatMap((lateral) =>
      readAdvice(lateral).flatMap(({ axis, entry, span }) => {
        const asks = ASKS[entry.does];
        // What is advised against asks for nothing that Chert could differ from.
        if (asks === undefined || span === null || entry.not) return [];
        return context.findings
          .filter(
            (finding) =>
              finding.placed && finding.lineId === lateral.lineId && overlaps(finding.span, span),
          )
          .filter(({ action }) => OF_ACTION[action] !== asks)
          .map((finding) => ({
            message: `Run ${axis.name}: the inspector advises “${entry.text}” for finding ${finding.number}, ${finding.kind} ${sayAt(context, finding)}, where Chert has “${finding.action}”.`,
            action: 'On Findings, let one of them stand and say why.',
            runIds: [axis.run.id],
            entryIds: [entry.id, ...finding.entryIds],
          }));
      }),
    ),
};
