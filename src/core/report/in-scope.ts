import type { Derived } from '../derive';
import type { Finding } from '../judge/finding';

/** The findings that the verdict rests on: in the agreed scope. */
export function inScope(derived: Pick<Derived, 'findings'>): Finding[] {
  return derived.findings.filter(({ courtesy }) => !courtesy);
}
