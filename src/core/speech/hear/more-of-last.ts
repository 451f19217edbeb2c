import { roundTo } from '../../base/numbers';
import { readTerms } from '../sheet';
import { hasHead } from './alone';

/** Sizes that pipes of a house and its lateral come in, inches. */
const PIPE_SIZES_IN = [1.5, 2, 3, 4, 5, 6, 8, 10, 12];
const OF_PIPE = /\b(?:here|now|pipe|line|diameter|inside|it's|its|that's|this is|all)\b/i;

/** A pipe's size said in a sentence of its own: "three inch here", "four inch now from five feet". */
export function pipeSizeAlone(text: string): { sizeIn: number; fromFt: number | null } | null {
  const terms = readTerms(text);
  if (hasHead(terms) || !OF_PIPE.test(text)) return null;
  const sizes = terms.filter(({ amount }) => amount?.unit === 'in' && amount.to === null);
  const sizeIn = sizes[0]?.amount?.value;
  if (sizes.length !== 1 || sizeIn === undefined || !PIPE_SIZES_IN.includes(sizeIn)) return null;
  if (/\b(?:deep|offset|lip|gap|high|wide|tall|of water|step)\b/i.test(text)) return null;
  const feet = terms.filter(
    ({ amount }) =>
      amount !== null && amount.to === null && (amount.unit === 'ft' || amount.unit === null),
  );
  if (feet.length > 1) return null;
  return { sizeIn, fromFt: feet[0] ? roundTo(feet[0].amount!.value, 3) : null };
}

const GOES_ON =
  /^(?:(?:and|so|then|okay)[, ]+)*(?:(?:it|that|this|they|these|the (?:water|low spot|belly|sag|scale|grease))(?:'s)? )?(?:just |all )?(?:runs|goes|stays(?: \w+)?|keeps going|carries on|continues|lasts|extends|stretches|ends|stops|quits|clears up|over|done|gone)\b/i;
const OUT_OF_IT =
  /\b(?:back|come|came|we're|are) (?:up )?out(?: of (?:it|there))? at\b|\bout of (?:the |that |this )?(?:water|it|belly|sag|pool|low spot)\b|\bend of (?:the |that |this )?(?:water|belly|sag|it|low spot)\b/i;

/** Where what is open ends, said in a sentence of its own: "it runs to about eighteen", "out of the water at 47"; feet. */
export function endAlone(text: string): number | null {
  if (!GOES_ON.test(text) && !OUT_OF_IT.test(text)) return null;
  const feet = readTerms(text).flatMap(({ amount }) =>
    amount !== null && amount.to === null && (amount.unit === 'ft' || amount.unit === null)
      ? [amount]
      : [],
  );
  const [only] = feet;
  return feet.length === 1 && only!.link !== 'from' ? roundTo(only!.value, 3) : null;
}

const NOT_SO =
  /\b(?:it's|it is|that's|that is|they're)?\s*(?:not|isn't|ain't) (?:that |very |too |real |really |all that )?(?:deep|bad|big|much|large|heavy|wide|long)\b[, ]*/i;

/** "it's not deep, half an inch maybe": the size that is said, without what it is not. */
export const withoutNotSo = (text: string): string => text.replace(NOT_SO, '');
