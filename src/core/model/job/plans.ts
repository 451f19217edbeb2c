import {
  key,
  listOf,
  number,
  object,
  oneOf,
  optional,
  orNull,
  type Shape,
  shaped,
  text,
} from '../../base/shape';
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
  /** The most of a range, where the price is quoted as one, US dollars. */
  readonly priceTo?: number;
};

/** A contractor's quote as it came. */
export type QuoteDecision = Decision & {
  readonly kind: 'contractor-quote';
  readonly from: string;
  readonly total: number | null;
  readonly lines: readonly QuoteLine[];
  readonly includes: readonly QuoteInclude[];
};

const feetOf = number(-100_000, 100_000);
const dollarsOf = number(0, 10_000_000);
const isChosen = shaped<ChoosePlanDecision>({
  id: key,
  kind: oneOf(['choose-plan']),
  reason: text,
  planId: key,
  evidence: listOf(text),
});
const isOwnWork = shaped<OwnWork>({
  method: oneOf(METHOD_IDS),
  lineId: key,
  fromFt: feetOf,
  toFt: feetOf,
});
const endsInOrder: Shape = (work) => {
  const own = work as OwnWork;
  return isOwnWork(own) && own.fromFt <= own.toFt;
};
const isOwnPlan = shaped<OwnPlanDecision>({
  id: key,
  kind: oneOf(['own-plan']),
  reason: text,
  works: listOf((work) => endsInOrder(work), 0, 200),
});
const isQuote = shaped<QuoteDecision>({
  id: key,
  kind: oneOf(['contractor-quote']),
  reason: text,
  from: key,
  total: orNull(dollarsOf),
  lines: listOf(
    object({
      method: oneOf(METHOD_IDS),
      fromFt: orNull(feetOf),
      toFt: orNull(feetOf),
      lengthFt: orNull(number(0, 100_000)),
      price: orNull(dollarsOf),
      priceTo: optional(dollarsOf),
    }),
    0,
    100,
  ),
  includes: listOf(oneOf(QUOTE_INCLUDES)),
});

/** The plan chosen last; `null` while Chert's pick stands. Malformed decisions are left alone. */
export function chosenPlan(decisions: readonly Decision[]): ChoosePlanDecision | null {
  return decisions.findLast(isChosen) ?? null;
}

/** The inspector's own plan; `null` while there is none. */
export function ownPlan(decisions: readonly Decision[]): OwnPlanDecision | null {
  return decisions.findLast(isOwnPlan) ?? null;
}

/** Contractors' quotes, in the order in which they came. */
export function listQuotes(decisions: readonly Decision[]): QuoteDecision[] {
  return decisions.filter(isQuote);
}
