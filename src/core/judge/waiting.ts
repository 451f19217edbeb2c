import type { Issue } from './check';
import { awaitsInspector, type Finding } from './finding';

/** How much waits at the stages of a job: what holds the report back, and findings nobody looked at. */
export function countWaiting(assessment: {
  readonly checks: readonly Issue[];
  readonly findings: readonly Finding[];
}): { readonly scope: number; readonly findings: number } {
  return {
    scope: assessment.checks.filter(({ level }) => level === 'blocker').length,
    findings: assessment.findings.filter(awaitsInspector).length,
  };
}
