import type { Interval } from '../base/interval';
import { memoOfBoth } from '../base/memo';
import { TOLERANCES } from '../base/tolerances';
import type { Zone } from '../catalogue/zones';
import type { Lateral } from '../lateral/lateral';
import { type ResponsibleSide, segmentAt, sideAt } from '../lateral/segments';
import { isIndoor } from '../lateral/zones';
import type { Inspection } from '../model/job/inspection';
import { isCourtesy, wallFtOf } from './courtesy';

/** A finding's stretch, or the part of it on one side of what parts it, with whose it is. */
export type Part = {
  readonly span: Interval;
  readonly zone: Zone | null;
  readonly responsibleSide: ResponsibleSide;
  readonly courtesy: boolean;
};

/** Stations at which a stretch may change hands or leave the scope. */
const cutsOf = memoOfBoth(({ job }: Inspection, lateral: Lateral): number[] => {
  const { responsibilityLineFt, zones } = lateral;
  const wallFt = wallFtOf(lateral);
  const indoors = zones.flatMap(({ fromFt, toFt, value }) =>
    isIndoor(value) ? [fromFt, toFt] : [],
  );
  return [
    ...(responsibilityLineFt === null ? [] : [responsibilityLineFt]),
    ...(job.scope === 'lateral' ? [...(wallFt === null ? [] : [wallFt]), ...indoors] : []),
  ].sort((a, b) => a - b);
});

/**
 * Cuts a stretch where it changes hands or leaves what was agreed: each part has its own side and its own
 * say in verdict and plans. What only touches such a place is not cut.
 */
export function partsOf(inspection: Inspection, lateral: Lateral, span: Interval): Part[] {
  const touchFt = TOLERANCES.samePlaceFt;
  const isPoint = span.toFt - span.fromFt <= 2 * touchFt;
  const inner = isPoint
    ? []
    : cutsOf(inspection, lateral).filter(
        (at) => at > span.fromFt + touchFt && at < span.toFt - touchFt,
      );
  const edges = [span.fromFt, ...inner, span.toFt];
  const parts: Part[] = [];
  for (const [index, toFt] of edges.slice(1).entries()) {
    const part = partAt(inspection, lateral, { fromFt: edges[index]!, toFt });
    const last = parts.at(-1);
    const goesOn =
      last?.responsibleSide === part.responsibleSide && last.courtesy === part.courtesy;
    if (goesOn) parts[parts.length - 1] = { ...last, span: { ...last.span, toFt } };
    else parts.push(part);
  }
  return parts;
}

function partAt(inspection: Inspection, lateral: Lateral, span: Interval): Part {
  const middleFt = (span.fromFt + span.toFt) / 2;
  const zone = segmentAt(lateral.segments, middleFt)?.zone ?? null;
  return {
    span,
    zone,
    responsibleSide: sideAt(inspection.job, lateral.responsibilityLineFt, middleFt, zone),
    courtesy: isCourtesy(inspection, lateral, span, zone),
  };
}
