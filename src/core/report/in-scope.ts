import type { Assessment } from '../judge/assessment';
import type { Finding } from '../judge/finding';

/** The findings that the verdict rests on: in the agreed scope. */
export function inScope(assessment: Pick<Assessment, 'findings'>): Finding[] {
  return assessment.findings.filter(({ courtesy }) => !courtesy);
}
