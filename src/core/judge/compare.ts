import type { Action, Severity } from '../catalogue/severity/grade';
import type { Assessment } from './assessment';
import type { Finding } from './finding';

/** What became of a finding between two judgements. */
export type Rejudged = {
  readonly number: number;
  readonly kind: Finding['kind'];
  readonly lineId: string;
  readonly atFt: number;
  readonly change: 'new' | 'gone' | 'other';
  readonly severity: readonly [Severity, Severity] | null;
  readonly action: readonly [Action, Action] | null;
  /** What it became sure of, or unsure. */
  readonly provisional: readonly [boolean, boolean] | null;
  readonly material: readonly [string, string] | null;
  /** Reasons that are there now and were not before. */
  readonly because: readonly string[];
  /** Advice that is there now and was not before. */
  readonly advice: readonly string[];
};

const pair = <T>(a: T, b: T): readonly [T, T] | null => (a === b ? null : [a, b]);

function fresh(before: readonly { text: string }[], after: readonly { text: string }[]): string[] {
  const known = new Set(before.map(({ text }) => text));
  return after.map(({ text }) => text).filter((text) => !known.has(text));
}

function whole(finding: Finding, change: 'new' | 'gone'): Rejudged {
  const { number, kind, lineId, span } = finding;
  const none = { severity: null, action: null, provisional: null, material: null };
  const isNew = change === 'new';
  return {
    number,
    kind,
    lineId,
    atFt: span.fromFt,
    change,
    ...none,
    because: isNew ? finding.because.map(({ text }) => text) : [],
    advice: isNew ? finding.advice.map(({ text }) => text) : [],
  };
}

/**
 * Tells what changed from one judgement to another, finding by finding in the order of the second;
 * what is gone comes last. A finding that only moved, gained a still, or lies in
 * pipe of another name that is judged alike, did not change.
 */
export function compareJudgements(
  before: Pick<Assessment, 'findings'>,
  after: Pick<Assessment, 'findings'>,
): Rejudged[] {
  const known = new Map(before.findings.map((finding) => [finding.id, finding]));
  const now = new Set(after.findings.map(({ id }) => id));
  const changed = after.findings.flatMap((finding): Rejudged[] => {
    const old = known.get(finding.id);
    if (!old) return [whole(finding, 'new')];
    const { number, kind, lineId, span } = finding;
    const severity = pair(old.severity, finding.severity);
    const action = pair(old.action, finding.action);
    const provisional = pair(old.provisional, finding.provisional);
    const material = pair(old.material as string, finding.material as string);
    const advice = fresh(old.advice, finding.advice);
    const because = fresh(old.because, finding.because);
    if (!severity && !action && !provisional && advice.length === 0) return [];
    return [
      {
        number,
        kind,
        lineId,
        atFt: span.fromFt,
        change: 'other',
        severity,
        action,
        provisional,
        material,
        because,
        advice,
      },
    ];
  });
  const gone = before.findings.filter(({ id }) => !now.has(id)).map((one) => whole(one, 'gone'));
  return [...changed, ...gone];
}
