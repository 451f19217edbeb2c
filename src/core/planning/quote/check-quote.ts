import { lengthFt, subtract, totalFt } from '../../base/interval';
import { sayFt } from '../../base/numbers';
import { addRanges, type Range, totalRange } from '../../base/range';
import type { QuoteDecision, QuoteInclude, QuoteLine } from '../../model/job/plans';
import { checkWorks } from '../check-works';
import { creditWorks } from '../credit';
import { firstOf } from '../first-works';
import { methodById } from '../methods/index';
import { sayMoney, sayRange } from '../money';
import type { Plan } from '../plans/plan';
import { priceWorks } from '../price-works';
import type { Site } from '../site';
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

/** A quote laid beside the plan. */
export type QuoteCheck = {
  readonly remarks: readonly QuoteRemark[];
  /** What Chert would have reckoned for the quoted works; `null` when none could be placed. */
  readonly reckoned: Range | null;
  /** What is asked for them in all; `null` when nothing was priced. */
  readonly asked: number | null;
  /** Findings that the quote would end, by id, and those of the plan that it would not. */
  readonly cures: readonly string[];
  readonly misses: readonly string[];
};

/** A length may differ by this before it is asked about: both ends are spoken to the foot. */
const LENGTH_FT = 1.5;

/** A price may lie this far outside its range before it is asked about. */
const OUTSIDE_RATIO = 0.1;

/** Where a line of a quote lies: as said, or at the plan's work of the same method. */
function placeLine(line: QuoteLine, plan: Plan, mainLine: string): WorkDraft | null {
  const { method, fromFt, toFt } = line;
  if (fromFt !== null && toFt !== null)
    return {
      method,
      lineId: mainLine,
      fromFt: Math.min(fromFt, toFt),
      toFt: Math.max(fromFt, toFt),
    };
  const like = plan.works.filter((work) => work.method === method);
  if (like.length !== 1) return null;
  const [work] = like;
  const { lineId } = work!;
  const isAsLong = line.lengthFt === null || Math.abs(line.lengthFt - lengthFt(work!)) <= LENGTH_FT;
  if (fromFt === null && toFt === null && isAsLong)
    return { method, lineId, fromFt: work!.fromFt, toFt: work!.toFt };
  const longFt = line.lengthFt ?? lengthFt(work!);
  const from = fromFt ?? (toFt === null ? work!.fromFt : toFt - longFt);
  return { method, lineId, fromFt: from, toFt: toFt ?? from + longFt };
}

const nameOf = ({ method, fromFt, toFt }: WorkDraft) =>
  `${methodById(method).name} at ${sayFt(fromFt)} to ${sayFt(toFt)} ft`;

/** Lengths that are not their ends, and works that lie elsewhere than the findings do. */
function checkLength(line: QuoteLine, draft: WorkDraft, plan: Plan, at: number): QuoteRemark[] {
  const ownFt = lengthFt(draft);
  const remarks: QuoteRemark[] = [];
  if (line.lengthFt !== null && Math.abs(line.lengthFt - ownFt) > LENGTH_FT)
    remarks.push({
      level: 'ask',
      about: 'length',
      at,
      text: `${nameOf(draft)}: ${sayFt(line.lengthFt)} ft are priced, but its ends are ${sayFt(ownFt)} ft apart.`,
    });
  const planned = plan.works.filter(
    ({ method, lineId }) => method === draft.method && lineId === draft.lineId,
  );
  const touching = planned.filter((work) => work.fromFt <= draft.toFt && work.toFt >= draft.fromFt);
  if (touching.length > 0) {
    const left = totalFt(subtract(touching, [draft]));
    const more = totalFt(subtract([draft], touching));
    if (left > LENGTH_FT)
      remarks.push({
        level: 'wrong',
        about: 'length',
        at,
        text: `${nameOf(draft)}: ${sayFt(left)} ft short of what the findings need.`,
      });
    if (more > LENGTH_FT)
      remarks.push({
        level: 'ask',
        about: 'length',
        at,
        text: `${nameOf(draft)}: ${sayFt(more)} ft more than the findings need. Ask why.`,
      });
  }
  return remarks;
}

/** What rules the quoted works break, told as remarks. */
function checkRules(
  site: Site,
  works: readonly Work[],
  includes: readonly QuoteInclude[],
): QuoteRemark[] {
  const known = { cleaning: ['jet', 'cut', 'descale'], abatement: ['abatement'] };
  const withIncluded: WorkDraft[] = [
    ...works,
    ...works
      .flatMap((work) => firstOf(site, work))
      .filter(
        ({ method }) =>
          (includes.includes('cleaning') && known.cleaning.includes(method)) ||
          (includes.includes('abatement') && known.abatement.includes(method)),
      ),
  ];
  const isNew = (at: number | null) => at === null || at < works.length;
  return checkWorks(site, priceWorks(site, withIncluded))
    .filter(({ rule, at }) => isNew(at) && rule !== 'short' && rule !== 'urgent')
    .map(({ rule, at, text, findingId }): QuoteRemark => {
      const finding = site.assessment.findings.find(({ id }) => id === findingId);
      const isSag = rule === 'keeps' && finding?.kind === 'standing-water';
      const isAbatement = rule === 'first' && /abatement/.test(text);
      const about = isSag
        ? 'sag'
        : isAbatement
          ? 'abatement'
          : rule === 'first' || rule === 'way-in'
            ? 'first'
            : 'method';
      return { level: 'wrong', about, at, text };
    });
}

/** What a quote for such works should say that it includes. */
function checkIncludes(works: readonly Work[], includes: readonly QuoteInclude[]): QuoteRemark[] {
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
    ...(deepFt > 4 && !has('shoring')
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

function isOutside(price: number, { low, high }: Range): 'low' | 'high' | null {
  if (price < low * (1 - OUTSIDE_RATIO)) return 'low';
  return price > high * (1 + OUTSIDE_RATIO) ? 'high' : null;
}

function checkPrice(price: number, range: Range, what: string, at: number | null): QuoteRemark[] {
  const side = isOutside(price, range);
  if (side === null) return [];
  const than = side === 'low' ? 'below' : 'above';
  return [
    {
      level: 'ask',
      about: 'price',
      at,
      text: `${what}: ${sayMoney(price)} is ${than} the planning range of ${sayRange(range)}. Ask what ${side === 'low' ? 'is left out' : 'makes it so'}.`,
    },
  ];
}

/** Lays a contractor's quote beside a plan. Quantities come from the log, prices from the price book. */
export function checkQuote(site: Site, plan: Plan, quote: QuoteDecision): QuoteCheck {
  const mainLine = site.assessment.lateral.lineId;
  const placed = quote.lines.map((line, at) => ({
    line,
    at,
    draft: placeLine(line, plan, mainLine),
  }));
  const found = placed.flatMap(({ line, at, draft }) => (draft ? [{ line, at, draft }] : []));
  const works = creditWorks(
    site,
    priceWorks(
      site,
      found.map(({ draft }) => draft),
    ),
  );
  const atOf = (index: number | null) => (index === null ? null : (found[index]?.at ?? null));
  const cures = [...new Set(works.flatMap((work) => work.cures))];
  const planned = new Set(plan.works.flatMap((work) => work.cures));
  const misses = [...planned].filter((id) => !cures.includes(id));
  const numberOf = (id: string) =>
    site.assessment.findings.find((one) => one.id === id)?.number ?? 0;
  const prices = quote.lines.map(({ price }) => price).filter((price) => price !== null);
  const asked =
    quote.total ?? (prices.length > 0 ? prices.reduce((sum, price) => sum + price, 0) : null);
  // What the quote includes without a line of its own is priced with it.
  const included = works
    .flatMap((work) => firstOf(site, work))
    .filter(({ method }) =>
      quote.includes.includes(method === 'abatement' ? 'abatement' : 'cleaning'),
    );
  const reckoned =
    works.length > 0
      ? totalRange(priceWorks(site, [...included, ...works]).map(({ cost }) => cost))
      : null;
  const remarks: QuoteRemark[] = [
    ...placed
      .filter(({ draft }) => draft === null)
      .map(({ at, line }): QuoteRemark => ({
        level: 'ask',
        about: 'unplaced',
        at,
        text: `${methodById(line.method).name}: the quote does not say where. Ask for the footage from the access.`,
      })),
    ...found.flatMap(({ line, at, draft }) => checkLength(line, draft, plan, at)),
    ...checkRules(site, works, quote.includes).map((remark) => ({
      ...remark,
      at: atOf(remark.at),
    })),
    ...(misses.length > 0
      ? [
          {
            level: 'wrong' as const,
            about: 'missing' as const,
            at: null,
            text: `It does not deal with finding${misses.length > 1 ? 's' : ''} ${misses.map(numberOf).join(', ')}, which the plan does.`,
          },
        ]
      : []),
    ...checkIncludes(works, quote.includes),
    ...found.flatMap(({ line, at }, index) =>
      line.price === null
        ? []
        : checkPrice(line.price, addRanges([works[index]!.cost]), nameOf(found[index]!.draft), at),
    ),
    ...(quote.total !== null && reckoned
      ? checkPrice(quote.total, reckoned, 'The whole', null)
      : []),
  ];
  return { remarks, reckoned, asked, cures, misses };
}
