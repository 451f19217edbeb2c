import Joi from 'joi';
import { id, prose } from '../../base/joi';
import type { Decision } from './inspection';

/** The inspector's wording in place of Chert's, kept beside the text it was put in place of. */
export type WordingDecision = Decision & {
  readonly kind: 'report-wording';
  /** Which text ("lead"). */
  readonly key: string;
  readonly text: string;
  /** Chert's text when it was changed: the wording stands as long as that is the same. */
  readonly over: string;
};

/** The stills of the report, in their order. */
export type StillsDecision = Decision & {
  readonly kind: 'report-stills';
  readonly photoIds: readonly string[];
};

/** The report goes out with something open, for a reason that it prints. */
export type LimitsDecision = Decision & {
  readonly kind: 'issue-with-limits';
  readonly open: readonly { readonly code: string; readonly message: string }[];
};

/** Numbers of findings as an issued report had them: they are never used again for another one. */
export type NumbersDecision = Decision & {
  readonly kind: 'issued-numbers';
  readonly numbers: Readonly<Record<string, number>>;
};

const reason = Joi.string().allow('').max(2000).required();
const base = { id: id().required(), reason };

const wordingSchema = Joi.object({
  ...base,
  kind: Joi.valid('report-wording').required(),
  key: id().required(),
  text: prose().required(),
  over: prose().required(),
}).unknown();
const stillsSchema = Joi.object({
  ...base,
  kind: Joi.valid('report-stills').required(),
  photoIds: Joi.array().items(id()).max(200).required(),
}).unknown();
const limitsSchema = Joi.object({
  ...base,
  kind: Joi.valid('issue-with-limits').required(),
  open: Joi.array()
    .items(Joi.object({ code: Joi.string().required(), message: prose().required() }).unknown())
    .required(),
}).unknown();
const numbersSchema = Joi.object({
  ...base,
  kind: Joi.valid('issued-numbers').required(),
  numbers: Joi.object()
    .pattern(Joi.string(), Joi.number().integer().min(1).max(1_000_000))
    .required(),
}).unknown();

const fits =
  <T extends Decision>(schema: Joi.ObjectSchema) =>
  (decision: Decision): decision is T =>
    !schema.validate(decision, { convert: false }).error;

/** The last wording for each text. Malformed decisions are left alone. */
export function wordingsOf(decisions: readonly Decision[]): ReadonlyMap<string, WordingDecision> {
  return new Map(
    decisions.filter(fits<WordingDecision>(wordingSchema)).map((one) => [one.key, one]),
  );
}

/** The stills that were chosen; `null` while none were: then all that findings have. */
export function chosenStills(decisions: readonly Decision[]): StillsDecision | null {
  return decisions.findLast(fits<StillsDecision>(stillsSchema)) ?? null;
}

/** The last word that the report goes out with something open; `null` while there is none. */
export function lastLimits(decisions: readonly Decision[]): LimitsDecision | null {
  return decisions.findLast(fits<LimitsDecision>(limitsSchema)) ?? null;
}

/** Every number that an issued report ever gave, by finding id; the latest word on each. */
export function issuedNumbers(decisions: readonly Decision[]): ReadonlyMap<string, number> {
  return new Map(
    decisions
      .filter(fits<NumbersDecision>(numbersSchema))
      .flatMap(({ numbers }) => Object.entries(numbers)),
  );
}
