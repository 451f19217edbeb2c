import { clip, type Interval, lengthFt, overlaps, totalFt, unite } from '../base/interval';
import { roundTo } from '../base/numbers';
import { sayFeet } from '../catalogue/say-size';
import type { Severity } from '../catalogue/severity/grade';
import { type Zone, zoneOf } from '../catalogue/zones';
import type { Assessment } from '../judge/assessment';
import type { Lateral } from '../lateral/lateral';
import type { TableBlock } from './block';
import { SEVERITY_WORDS } from './words';

const ORDER: readonly Severity[] = ['slight', 'moderate', 'major', 'failed'];

type Stretch = Interval & { readonly zone: Zone | null };

/** A line cut by what lies overhead. */
function stretchesOf({ segments }: Lateral): Stretch[] {
  const stretches: Stretch[] = [];
  for (const { fromFt, toFt, zone } of segments) {
    const last = stretches.at(-1);
    if (last && last.zone === zone && last.toFt >= fromFt - 1e-6)
      stretches[stretches.length - 1] = { ...last, toFt };
    else stretches.push({ fromFt, toFt, zone });
  }
  return stretches.filter((stretch) => lengthFt(stretch) > 0.05);
}

/** The worst of each part of each line, and how much of it nobody saw. Nothing found is said only of what was seen. */
export function composeZones(assessment: Assessment): TableBlock[] {
  return [assessment.lateral, ...assessment.branches].flatMap((lateral) =>
    zonesOf(assessment, lateral),
  );
}

function zonesOf({ findings, names }: Assessment, lateral: Lateral): TableBlock[] {
  const stretches = stretchesOf(lateral);
  if (stretches.length === 0) return [];
  const { lineId } = lateral;
  const hidden = unite([...lateral.coverage.obscured, ...lateral.coverage.gaps]);
  const counts = findings.filter(
    ({ placed, lineId: on, ourDoing, review }) =>
      placed && on === lineId && !ourDoing && review?.verdict !== 'dismissed',
  );
  return [
    {
      kind: 'table',
      title: names.isOne
        ? 'Part by part'
        : `Part by part: the ${names.nameOf(lineId)} (feet from ${names.from(lineId)})`,
      head: ['From, ft', 'To, ft', 'Under the', 'Worst grade', 'Not seen'],
      rows: stretches.map((stretch, index) => {
        // What ends at the limit of a part lies in that part alone; a point on it lies in the one below.
        const isLast = index === stretches.length - 1;
        const here = counts.filter(({ span }) =>
          lengthFt(span) > 1e-9
            ? overlaps(span, stretch)
            : span.fromFt >= stretch.fromFt - 1e-9 &&
              (span.fromFt < stretch.toFt - 1e-9 || (isLast && span.fromFt <= stretch.toFt + 1e-9)),
        );
        const worst = here.reduce(
          (most, { severity }) => Math.max(most, ORDER.indexOf(severity)),
          -1,
        );
        const hiddenFt = totalFt(hidden.flatMap((part) => clip(part, stretch) ?? []));
        const isAllHidden = hiddenFt > lengthFt(stretch) - 0.05;
        const grade =
          worst >= 0
            ? SEVERITY_WORDS[ORDER[worst]!]
            : isAllHidden
              ? 'Cannot be told'
              : 'Nothing found';
        return [
          String(roundTo(stretch.fromFt, 1)),
          String(roundTo(stretch.toFt, 1)),
          stretch.zone ? zoneOf(stretch.zone).buyerName : 'not logged',
          grade,
          hiddenFt < 0.05 ? '' : sayFeet(hiddenFt),
        ];
      }),
      numeric: [0, 1],
    },
  ];
}
