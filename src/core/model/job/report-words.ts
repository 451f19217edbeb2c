import { key, listOf, mapOf, object, oneOf, shaped, text, whole } from '../../base/shape';
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

const OF_ALL = { id: key, reason: text };
const isWording = shaped<WordingDecision>({
  ...OF_ALL,
  kind: oneOf(['report-wording']),
  key,
  text,
  over: text,
});
const isStills = shaped<StillsDecision>({
  ...OF_ALL,
  kind: oneOf(['report-stills']),
  photoIds: listOf(key),
});
const isLimits = shaped<LimitsDecision>({
  ...OF_ALL,
  kind: oneOf(['issue-with-limits']),
  open: listOf(object({ code: key, message: text })),
});
const isNumbers = shaped<NumbersDecision>({
  ...OF_ALL,
  kind: oneOf(['issued-numbers']),
  numbers: mapOf(whole(1, 1_000_000)),
});

/** The last wording for each text. Malformed decisions are left alone. */
export function wordingsOf(decisions: readonly Decision[]): ReadonlyMap<string, WordingDecision> {
  return new Map(decisions.filter(isWording).map((one) => [one.key, one]));
}

/** The stills that were chosen; `null` while none were: then all that findings have. */
export function chosenStills(decisions: readonly Decision[]): StillsDecision | null {
  return decisions.findLast(isStills) ?? null;
}

/** The last word that the report goes out with something open; `null` while there is none. */
export function lastLimits(decisions: readonly Decision[]): LimitsDecision | null {
  return decisions.findLast(isLimits) ?? null;
}

/** Every number that an issued report ever gave, by finding id; the latest word on each. */
export function issuedNumbers(decisions: readonly Decision[]): ReadonlyMap<string, number> {
  return new Map(decisions.filter(isNumbers).flatMap(({ numbers }) => Object.entries(numbers)));
}
