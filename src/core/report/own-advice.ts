import { overlaps } from '../base/interval';
import type { Assessment } from '../judge/assessment';
import type { StopId } from '../judge/stops';
import { type PlacedAdvice, readAdvice } from '../lateral/advice';
import type { Lateral } from '../lateral/lateral';
import { sayOnLine } from '../lateral/say-place';
import type { Block } from './block';

/** Works that a stop forbids: advice to do them is not passed on. */
const FORBIDDEN: Readonly<Record<StopId, readonly string[]>> = {
  utility: ['cut', 'jet', 'descale', 'liner', 'patch-liner', 'burst', 'treat-roots'],
  asbestos: ['cut', 'descale', 'burst', 'ramp-lip'],
  fiber: ['cut', 'jet', 'descale'],
  'thin-iron': ['descale'],
};

function isForbidden({ entry, span }: PlacedAdvice, { stops }: Assessment, line: Lateral): boolean {
  return (
    entry.not !== true &&
    stops.some(
      (stop) =>
        stop.lineId === line.lineId &&
        FORBIDDEN[stop.id].includes(entry.does) &&
        (stop.span === null || span === null || overlaps(stop.span, span)),
    )
  );
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
