import { sayFt } from '../../base/numbers';
import type { Range } from '../../base/range';
import type { QuoteInclude, QuoteLine } from '../../model/job/plans';
import { methodById } from '../methods/index';
import { sayRange } from '../money';
import type { Plan } from '../plans/plan';
import type { Work, WorkDraft } from '../work';

/** Something to ask the contractor about. `wrong`: it will not do; `ask`: it must be said. */
export type QuoteRemark = {
  readonly level: 'wrong' | 'ask' | 'fine';
  readonly about:
    | 'length'
    | 'method'
    | 'sag'
    | 'tees'
    | 'abatement'
    | 'first'
    | 'permit'
    | 'right-of-way'
    | 'proof'
    | 'price'
    | 'missing'
    | 'restoration'
    | 'marks'
    | 'shoring'
    | 'unplaced';
  /** The line of the quote; `null` when it is about the whole. */
  readonly at: number | null;
  readonly text: string;
};

/** A length may differ by this before it is asked about: both ends are spoken to the foot. */
export const LENGTH_FT = 1.5;

/** A price may lie this far outside its range before it is asked about. */
const OUTSIDE_RATIO = 0.1;

export const nameOf = ({ method, fromFt, toFt }: WorkDraft) =>
  `${methodById(method).name} at ${sayFt(fromFt)} to ${sayFt(toFt)} ft`;

/** Local limits on open trenches are often here, feet. */
const LOCAL_LIMIT_FT = 4;

/** What a quote for such works should say that it includes. */
export function checkIncludes(
  works: readonly Work[],
  includes: readonly QuoteInclude[],
): QuoteRemark[] {
  const has = (one: QuoteInclude) => includes.includes(one);
  const ask = (about: QuoteRemark['about'], text: string): QuoteRemark => ({
    level: 'ask',
    about,
    at: null,
    text,
  });
  const needs = (test: (work: Work) => boolean) => works.some(test);
  const changesPipe = needs(({ method }) => ['replace', 'mend'].includes(methodById(method).role));
  const tees = works.reduce((sum, work) => sum + work.tees.length, 0);
  const deepFt = Math.max(0, ...works.map(({ depth }) => depth?.mostFt ?? 0));
  return [
    ...(tees > 0 && !has('tees')
      ? [
          ask(
            'tees',
            `No reopening of ${tees === 1 ? 'the tee' : `the ${tees} tees`} is named. A liner closes every tee that it passes.`,
          ),
        ]
      : []),
    ...(needs(({ method }) => methodById(method).needsPermit) && !has('permit')
      ? [ask('permit', 'No permit is named. Replacing sewer pipe needs one.')]
      : []),
    ...(needs(({ lines }) => lines.some(({ key }) => key === 'permit.right-of-way')) &&
    !has('right-of-way')
      ? [ask('right-of-way', 'No permit for work beyond the property line is named.')]
      : []),
    ...(needs(({ lines }) => lines.some(({ key }) => key.startsWith('restore.'))) &&
    !has('restoration')
      ? [ask('restoration', 'Putting back the surface is not named.')]
      : []),
    ...(needs(({ depth }) => depth !== null) && !has('marks')
      ? [ask('marks', 'Utility marks before digging are not named.')]
      : []),
    ...(deepFt > LOCAL_LIMIT_FT && !has('shoring')
      ? [
          ask(
            'shoring',
            `Trench protection is not named, and the pipe lies up to ${sayFt(deepFt)} ft deep.`,
          ),
        ]
      : []),
    ...(changesPipe && !has('proof')
      ? [
          ask(
            'proof',
            'No proof by camera after the work is named. Ask for the line scoped again, on video.',
          ),
        ]
      : []),
  ];
}

/** A price as it was quoted: one figure, or from one to another. */
type Asked = { readonly low: number; readonly high: number };

export const asAsked = ({ price, priceTo }: QuoteLine): Asked | null =>
  price === null
    ? null
    : { low: Math.min(price, priceTo ?? price), high: Math.max(price, priceTo ?? price) };

/** Whether all of what is asked lies below the range, or all of it above. */
function isOutside(asked: Asked, { low, high }: Range): 'low' | 'high' | null {
  if (asked.high < low * (1 - OUTSIDE_RATIO)) return 'low';
  return asked.low > high * (1 + OUTSIDE_RATIO) ? 'high' : null;
}

export function checkPrice(
  asked: Asked,
  range: Range,
  what: string,
  at: number | null,
): QuoteRemark[] {
  const side = isOutside(asked, range);
  if (side === null) return [];
  const than = side === 'low' ? 'below' : 'above';
  return [
    {
      level: 'ask',
      about: 'price',
      at,
      text: `${what}: ${sayRange(asked)} is ${than} the planning range of ${sayRange(range)}. Ask what ${side === 'low' ? 'is left out' : 'makes it so'}.`,
    },
  ];
}

type Found = { readonly draft: WorkDraft; readonly at: number };

const isSame = (draft: WorkDraft, work: Work) =>
  draft.method === work.method &&
  draft.lineId === work.lineId &&
  Math.abs(draft.fromFt - work.fromFt) <= LENGTH_FT &&
  Math.abs(draft.toFt - work.toFt) <= LENGTH_FT;

/** Works that the plan itself asks for. */
export const checkAsked = (found: readonly Found[], plan: Plan): QuoteRemark[] =>
  found
    .filter(({ draft }) => plan.works.some((work) => isSame(draft, work)))
    .map(({ draft, at }) => ({
      level: 'fine',
      about: 'method',
      at,
      text: `${nameOf(draft)}: does what was asked.`,
    }));

/** Works of the plan that no line of the quote is, and that it does not include. */
export function checkMissing(
  found: readonly Found[],
  plan: Plan,
  includes: readonly QuoteInclude[],
): QuoteRemark[] {
  const isIncluded = ({ method, isFirst }: Work) =>
    isFirst &&
    includes.includes(
      method === 'abatement' ? 'abatement' : method === 'look-again' ? 'proof' : 'cleaning',
    );
  const missing = plan.works.filter(
    (work) =>
      work.cures.length === 0 &&
      ['prepare', 'look', 'clean'].includes(methodById(work.method).role) &&
      !isIncluded(work) &&
      !found.some(({ draft }) => draft.method === work.method && draft.lineId === work.lineId),
  );
  return missing.map((work) => ({
    level: 'ask',
    about: 'missing',
    at: null,
    text: `Not in the quote: ${methodById(work.method).verb.toLowerCase()}.`,
  }));
}
