import Joi from 'joi';
import { id, oneOf, prose } from '../../base/joi';
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

const SEVERITIES = ['slight', 'moderate', 'major', 'failed'] as const;
const ACTIONS = ['none', 'monitor', 'upkeep', 'repair', 'urgent', 'look-again'] as const;

const overFinding = {
  reason: Joi.string().allow('').max(2000).required(),
  findingId: id().required(),
  entries: Joi.array()
    .items(Joi.object({ runId: id().required(), entryId: id().required() }).unknown())
    .required(),
  evidence: Joi.array().items(prose()).required(),
};
const overrideSchema = Joi.object({
  ...overFinding,
  kind: Joi.valid('override-finding').required(),
  severity: oneOf(SEVERITIES),
  action: oneOf(ACTIONS),
  wording: prose(),
})
  .or('severity', 'action', 'wording')
  .unknown();
const reviewSchema = Joi.object({
  ...overFinding,
  kind: Joi.valid('review-finding').required(),
  verdict: oneOf(['confirmed', 'dismissed']).required(),
}).unknown();
const leftSiteSchema = Joi.object({
  kind: Joi.valid('left-site').required(),
  at: Joi.string().required(),
  open: Joi.array()
    .items(Joi.object({ code: Joi.string().required(), message: prose().required() }).unknown())
    .required(),
}).unknown();

const fits =
  <T extends Decision>(schema: Joi.ObjectSchema) =>
  (decision: Decision): decision is T =>
    !schema.validate(decision).error;

/** The decisions over findings, oldest first. Others, and malformed ones, are left alone. */
export function listFindingDecisions(
  decisions: readonly Decision[],
): (OverrideDecision | ReviewDecision)[] {
  const isOverride = fits<OverrideDecision>(overrideSchema);
  const isReview = fits<ReviewDecision>(reviewSchema);
  return decisions.filter(
    (one): one is OverrideDecision | ReviewDecision => isOverride(one) || isReview(one),
  );
}

/** How the site was last left; `null` while it was not. */
export function lastLeaving(decisions: readonly Decision[]): LeftSiteDecision | null {
  return decisions.findLast(fits<LeftSiteDecision>(leftSiteSchema)) ?? null;
}
