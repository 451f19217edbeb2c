import type { Span } from '../../model/job/inspection';
import { labelOf } from '../../model/job/labels';

/**
 * Reads a typed tape between two accesses: `A to B 42.5`, `tape A B 12 ft`; with a minus, or `upstream`
 * behind it, the second lies upstream of the first.
 *
 * @returns `null` when the text names no two of the accesses with a distance.
 */
export function parseTape(
  text: string,
  accessPoints: readonly { readonly id: string; readonly label?: string }[],
): Span | null {
  const said =
    /^\s*(?:tape[d]?\s+)?(?:from\s+)?(\S+?)[\s,]+(?:to\s+)?(\S+?)[\s,:=]+([-−]?)(\d+(?:\.\d+)?)\s*(?:ft|feet|')?\s*(upstream|downstream)?\s*(?:taped)?\s*$/i.exec(
      text,
    );
  if (!said) return null;
  const [, from, to, minus, feet, way] = said;
  const find = (name: string | undefined) =>
    accessPoints.find((one) => labelOf(one).toLowerCase() === name?.toLowerCase())?.id;
  const [fromAccessPointId, toAccessPointId] = [find(from), find(to)];
  if (fromAccessPointId === undefined || toAccessPointId === undefined) return null;
  if (fromAccessPointId === toAccessPointId) return null;
  const isUp = minus !== '' || way?.toLowerCase() === 'upstream';
  return {
    fromAccessPointId,
    toAccessPointId,
    alongFt: isUp ? -Number(feet) : Number(feet),
    basis: 'taped',
  };
}

/** A job's tapes with one more: a new tape between the same two accesses takes the place of the old. */
export function withTape(spans: readonly Span[], tape: Span): Span[] {
  const ends = ({ fromAccessPointId, toAccessPointId }: Span) =>
    [fromAccessPointId, toAccessPointId].sort().join('\u0000');
  return [...spans.filter((span) => ends(span) !== ends(tape)), tape];
}
