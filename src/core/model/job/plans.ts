import Joi from 'joi';
import { id, length, line, oneOf, prose } from '../../base/joi';
import { METHOD_IDS, type MethodId } from '../../catalogue/method-ids';
import type { Decision } from './inspection';

/** The inspector's choice of a plan in place of Chert's pick, and what it was made over. */
export type ChoosePlanDecision = Decision & {
  readonly kind: 'choose-plan';
  readonly planId: string;
  /** The works of that plan, word by word, when it was chosen. */
  readonly evidence: readonly string[];
};

/** A work as the inspector means it: feet of the line. */
export type OwnWork = {
  readonly method: MethodId;
  readonly lineId: string;
  readonly fromFt: number;
  readonly toFt: number;
};

/** The inspector's own plan. */
export type OwnPlanDecision = Decision & {
  readonly kind: 'own-plan';
  readonly works: readonly OwnWork[];
};

export const QUOTE_INCLUDES = [
  'cleaning',
  'tees',
  'abatement',
  'permit',
  'right-of-way',
  'restoration',
  'marks',
  'shoring',
  'proof',
] as const;
/** What a contractor's quote says that its price includes. */
export type QuoteInclude = (typeof QUOTE_INCLUDES)[number];

/** One work of a contractor's quote; where it begins and ends may not be said. */
export type QuoteLine = {
  readonly method: MethodId;
  readonly fromFt: number | null;
  readonly toFt: number | null;
  readonly lengthFt: number | null;
  /** US dollars; `null` when only the total is quoted. */
  readonly price: number | null;
};

/** A contractor's quote as it came. */
export type QuoteDecision = Decision & {
  readonly kind: 'contractor-quote';
  readonly from: string;
  readonly total: number | null;
  readonly lines: readonly QuoteLine[];
  readonly includes: readonly QuoteInclude[];
};

const reason = Joi.string().allow('').max(2000).required();
const feet = () => Joi.number().min(-100_000).max(100_000);
const dollars = () => Joi.number().min(0).max(10_000_000);
const method = () => oneOf(METHOD_IDS).required();

export const choosePlanSchema = Joi.object({
  id: id().required(),
  kind: Joi.valid('choose-plan').required(),
  reason,
  planId: id().required(),
  evidence: Joi.array().items(prose()).required(),
}).unknown();

export const ownPlanSchema = Joi.object({
  id: id().required(),
  kind: Joi.valid('own-plan').required(),
  reason,
  works: Joi.array()
    .items(
      Joi.object({
        method: method(),
        lineId: id().required(),
        fromFt: feet().required(),
        toFt: feet().min(Joi.ref('fromFt')).required(),
      }),
    )
    .max(200)
    .required(),
}).unknown();

export const quoteSchema = Joi.object({
  id: id().required(),
  kind: Joi.valid('contractor-quote').required(),
  reason,
  from: line(120).required(),
  total: dollars().allow(null).required(),
  lines: Joi.array()
    .items(
      Joi.object({
        method: method(),
        fromFt: feet().allow(null).required(),
        toFt: feet().allow(null).required(),
        lengthFt: length().allow(null).required(),
        price: dollars().allow(null).required(),
      }),
    )
    .max(100)
    .required(),
  includes: Joi.array().items(oneOf(QUOTE_INCLUDES)).required(),
}).unknown();

const fits =
  <T extends Decision>(schema: Joi.ObjectSchema) =>
  (decision: Decision): decision is T =>
    !schema.validate(decision, { convert: false }).error;

/** The plan chosen last; `null` while Chert's pick stands. Malformed decisions are left alone. */
export function chosenPlan(decisions: readonly Decision[]): ChoosePlanDecision | null {
  return decisions.findLast(fits<ChoosePlanDecision>(choosePlanSchema)) ?? null;
}

/** The inspector's own plan; `null` while there is none. */
export function ownPlan(decisions: readonly Decision[]): OwnPlanDecision | null {
  return decisions.findLast(fits<OwnPlanDecision>(ownPlanSchema)) ?? null;
}

/** Contractors' quotes, in the order in which they came. */
export function listQuotes(decisions: readonly Decision[]): QuoteDecision[] {
  return decisions.filter(fits<QuoteDecision>(quoteSchema));
}
