import type { Assessment } from '../judge/assessment';
import { stopsOver } from '../judge/stops';
import { type PlacedAdvice, readAdvice } from '../lateral/advice';
import type { Lateral } from '../lateral/lateral';
import { sayOnLine } from '../lateral/say-place';
import type { Block } from './block';

/** Whether a stop forbids what is advised: that is not passed on. */
function isForbidden({ entry, span }: PlacedAdvice, { stops }: Assessment, { lineId }: Lateral) {
  const holding = span
    ? stopsOver(stops, { lineId, span })
    : stops.filter((stop) => stop.lineId === lineId);
  const does: readonly string[] = holding.flatMap(({ forbids }) => forbids);
  return entry.not !== true && does.includes(entry.does);
}

/** What the inspector advises, in the inspector's own words and where; beside what Chert works out. */
export function composeOwnAdvice(assessment: Assessment): Block[] {
  const { lateral, branches, names } = assessment;
  const items = [lateral, ...branches].flatMap((line) =>
    readAdvice(line).flatMap((advice) => {
      if (isForbidden(advice, assessment, line)) return [];
      const { entry, span } = advice;
      const feet = span ? sayOnLine({ lineId: line.lineId, ...span }, names) : null;
      const where =
        feet === null ? 'On the line' : feet.includes(' to ') ? `From ${feet}` : `At ${feet}`;
      return [`${where}: “${entry.text.replace(/[“”"]/g, '’')}”.`];
    }),
  );
  return items.length > 0 ? [{ kind: 'list', title: 'What the inspector advises', items }] : [];
}
