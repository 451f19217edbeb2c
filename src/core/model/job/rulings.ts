import { key, listOf, object, oneOf, optional, shaped, text } from '../../base/shape';
import { ACTIONS, SEVERITIES } from '../../catalogue/severity/grade';
import type { Decision } from './inspection';

/** What a decision over a finding names: the finding, and the entries that it was made over. */
type OverFinding = {
  readonly findingId: string;
  readonly entries: readonly { readonly runId: string; readonly entryId: string }[];
  /** What the finding was when the decision was made, word by word. */
  readonly evidence: readonly string[];
};

/** The inspector's grade, action or wording in place of Chert's. */
export type OverrideDecision = Decision &
  OverFinding & {
    readonly kind: 'override-finding';
    readonly severity?: (typeof SEVERITIES)[number];
    readonly action?: (typeof ACTIONS)[number];
    readonly wording?: string;
  };

/** The inspector has looked at a finding, and lets it stand or puts it aside. */
export type ReviewDecision = Decision &
  OverFinding & {
    readonly kind: 'review-finding';
    readonly verdict: 'confirmed' | 'dismissed';
  };

/** The site was left, with what was still open then and why. */
export type LeftSiteDecision = Decision & {
  readonly kind: 'left-site';
  readonly at: string;
  readonly open: readonly { readonly code: string; readonly message: string }[];
};

const OVER_FINDING = {
  reason: text,
  findingId: key,
  entries: listOf(object({ runId: key, entryId: key })),
  evidence: listOf(text),
};
const isOverrideShaped = shaped<OverrideDecision>({
  ...OVER_FINDING,
  kind: oneOf(['override-finding']),
  severity: optional(oneOf(SEVERITIES)),
  action: optional(oneOf(ACTIONS)),
  wording: optional(text),
});
/** An override changes something. */
const isOverride = (decision: Decision): decision is OverrideDecision =>
  isOverrideShaped(decision) &&
  [decision.severity, decision.action, decision.wording].some((word) => word !== undefined);
const isReview = shaped<ReviewDecision>({
  ...OVER_FINDING,
  kind: oneOf(['review-finding']),
  verdict: oneOf(['confirmed', 'dismissed']),
});
const isLeaving = shaped<LeftSiteDecision>({
  kind: oneOf(['left-site']),
  at: key,
  open: listOf(object({ code: key, message: text })),
});

/** The decisions over findings, oldest first. Others, and malformed ones, are left alone. */
export function listFindingDecisions(
  decisions: readonly Decision[],
): (OverrideDecision | ReviewDecision)[] {
  return decisions.filter(
    (one): one is OverrideDecision | ReviewDecision => isOverride(one) || isReview(one),
  );
}

/** How the site was last left; `null` while it was not. */
export function lastLeaving(decisions: readonly Decision[]): LeftSiteDecision | null {
  return decisions.findLast(isLeaving) ?? null;
}
