import type { DefectKind } from '../../log/vocabulary';
import {
  type DefectFacts,
  type Reason,
  type Severity,
  SEVERITIES,
  type SeverityRow,
  stepSeverity,
  worse,
} from '../grade';
import { fixedGrade } from './fixed';
import { byForm } from './forms';
import { gap, lip, offset } from './openings';
import { roots } from './roots';
import { shareOfArea, shareOfDiameter } from './shares';
import { standingWater } from './standing-water';
import { DEFAULT_THRESHOLDS, type Thresholds } from './thresholds';

/** The severity table: every defect kind has exactly one row. */
export const SEVERITY_TABLE: readonly SeverityRow[] = [
  standingWater,
  roots,
  offset,
  gap,
  lip,
  shareOfDiameter,
  shareOfArea,
  byForm,
  fixedGrade,
];

const ROW_OF = new Map<DefectKind, SeverityRow>(
  SEVERITY_TABLE.flatMap((row) => row.kinds.map((kind) => [kind, row] as const)),
);

/** A defect's grade with the facts and rules that made it. */
export type Grade = {
  readonly severity: Severity;
  readonly because: readonly Reason[];
  /** What to ask for when the size was not logged; `null` when it was. */
  readonly missing: string | null;
  /** The least and the worst grade within the eye's error; `null` when it stays within one. */
  readonly range: readonly [Severity, Severity] | null;
};

/** Grades a defect: the base grade, then at most one step up or down, then floors. */
export function gradeDefect(
  facts: DefectFacts,
  thresholds: Thresholds = DEFAULT_THRESHOLDS,
): Grade {
  const row = ROW_OF.get(facts.kind);
  if (!row) throw new Error(`no row in the severity table for ${facts.kind}`);
  const base = row.base(facts, thresholds);
  const because: Reason[] = [...base.because];
  let severity = base.severity;
  let range = base.range ?? null;
  const step = severity === 'failed' ? null : (row.step?.(facts, thresholds) ?? null);
  if (step && stepSeverity(severity, step.by) !== severity) {
    severity = stepSeverity(severity, step.by);
    range = range && [stepSeverity(range[0], step.by), stepSeverity(range[1], step.by)];
    because.push(step.because);
  }
  const floor = row.floor?.(facts) ?? null;
  if (floor && SEVERITIES.indexOf(floor.severity) > SEVERITIES.indexOf(severity)) {
    severity = worse(severity, floor.severity);
    because.push(floor.because);
  }
  if (floor && range) range = [worse(range[0], floor.severity), worse(range[1], floor.severity)];
  if (range && range[0] === range[1]) range = null;
  return { severity, because, missing: base.missing, range };
}
