import { memoOf } from '../base/memo';
import { roundTo } from '../base/numbers';
import { nameFinding } from '../catalogue/defects/kinds';
import { nameMaterial } from '../catalogue/materials/kinds';
import { nameZone } from '../catalogue/zones';
import type { Assessment } from '../judge/assessment';

/** One row of the Section read as a table, for people who do not see the drawing. */
export type SectionRow = { readonly fromFt: number; readonly toFt: number; readonly what: string };

/** The Section in words, in station order: pipes, what could not be seen, and findings. */
export const tabulateSection = memoOf((assessment: Assessment): SectionRow[] => {
  const { lateral } = assessment;
  const rows: SectionRow[] = [
    ...lateral.segments.map((segment) => ({
      fromFt: segment.fromFt,
      toFt: segment.toFt,
      what: `${segment.diameterIn === null ? '' : `${segment.diameterIn} in `}${nameMaterial(segment.material)}${segment.zone ? `, ${nameZone(segment.zone).toLowerCase()}` : ''}`,
    })),
    ...lateral.coverage.obscured.map((stretch) => ({ ...stretch, what: 'nobody could see' })),
    ...assessment.findings
      .filter(({ placed, lineId }) => placed && lineId === lateral.lineId)
      .map(({ span, kind, severity, number }) => ({
        ...span,
        what: `finding ${number}: ${nameFinding(kind).toLowerCase()}, ${severity}`,
      })),
  ];
  return rows
    .map((row) => ({ ...row, fromFt: roundTo(row.fromFt, 1), toFt: roundTo(row.toFt, 1) }))
    .sort((a, b) => a.fromFt - b.fromFt || b.toFt - a.toFt);
});
