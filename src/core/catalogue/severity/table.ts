import { type DefectKind } from '../defects/index';
import { specOf } from '../defects/kinds';
import { type Facts, type Reason, SEVERITIES, type Severity, stepSeverity, worse } from './grade';
import { DEFAULT_THRESHOLDS, type Thresholds } from './thresholds';

/** What the severity table needs to know of a defect. */
export type DefectFacts = Facts & { readonly kind: DefectKind };

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
  const row = specOf(facts.kind).severity;
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
