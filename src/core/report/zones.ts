import { clip, type Interval, lengthFt, totalFt, unite } from '../base/interval';
import { roundTo } from '../base/numbers';
import type { Derived } from '../derive';
import type { Severity } from '../judge/grade';
import type { Zone } from '../log/vocabulary';
import type { TableBlock } from './block';
import { sayFeet } from './describe';
import { SEVERITY_WORDS, ZONE_WORDS } from './words';

const ORDER: readonly Severity[] = ['slight', 'moderate', 'major', 'failed'];

type Stretch = Interval & { readonly zone: Zone | null };

/** The line cut by what lies overhead. */
function stretchesOf({ lateral }: Derived): Stretch[] {
  const stretches: Stretch[] = [];
  for (const { fromFt, toFt, zone } of lateral.segments) {
    const last = stretches.at(-1);
    if (last && last.zone === zone && last.toFt >= fromFt - 1e-6)
      stretches[stretches.length - 1] = { ...last, toFt };
    else stretches.push({ fromFt, toFt, zone });
  }
  return stretches;
}

/** The worst of each zone, and how much of it nobody saw. Nothing found is said only of what was seen. */
export function composeZones(derived: Derived): TableBlock | null {
  const { lateral, findings } = derived;
  const stretches = stretchesOf(derived).filter((stretch) => lengthFt(stretch) > 0.05);
  if (stretches.length === 0) return null;
  const hidden = unite([...lateral.coverage.obscured, ...lateral.coverage.gaps]);
  return {
    kind: 'table',
    title: 'Part by part',
    head: ['From, ft', 'To, ft', 'Under the', 'Worst grade', 'Not seen'],
    rows: stretches.map((stretch) => {
      const here = findings.filter(
        ({ placed, lineId, span, ourDoing, review }) =>
          placed && lineId === lateral.lineId && !ourDoing && review?.verdict !== 'dismissed' && span.toFt >= stretch.fromFt && span.fromFt < stretch.toFt,
      );
      const worst = here.reduce((most, { severity }) => Math.max(most, ORDER.indexOf(severity)), -1);
      const hiddenFt = totalFt(hidden.flatMap((part) => clip(part, stretch) ?? []));
      const isAllHidden = hiddenFt > lengthFt(stretch) - 0.05;
      const grade = worst >= 0 ? SEVERITY_WORDS[ORDER[worst]!] : isAllHidden ? 'Cannot be told' : 'Nothing found';
      return [
        String(roundTo(stretch.fromFt, 1)),
        String(roundTo(stretch.toFt, 1)),
        stretch.zone ? ZONE_WORDS[stretch.zone] : 'not logged',
        grade,
        hiddenFt < 0.05 ? '' : sayFeet(hiddenFt),
      ];
    }),
    numeric: [0, 1],
  };
} // prettier-ignore
