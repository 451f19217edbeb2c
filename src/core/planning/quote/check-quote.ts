import { lengthFt, subtract, totalFt } from '../../base/interval';
import { sayFt } from '../../base/numbers';
import { addRanges, type Range, totalRange } from '../../base/range';
import type { QuoteDecision, QuoteInclude, QuoteLine } from '../../model/job/plans';
import { checkWorks } from '../check-works';
import { creditWorks } from '../credit';
import { firstOf } from '../first-works';
import { methodById } from '../methods/index';
import type { Plan } from '../plans/plan';
import { priceWorks } from '../price-works';
import type { Site } from '../site';
import type { Work, WorkDraft } from '../work';
import {
  asAsked,
  checkAsked,
  checkIncludes,
  checkMissing,
  checkPrice,
  LENGTH_FT,
  nameOf,
  type QuoteRemark,
} from './remarks';

export type { QuoteRemark } from './remarks';

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
  const prices = quote.lines.flatMap((line) => asAsked(line) ?? []);
  const middle = prices.reduce((sum, { low, high }) => sum + (low + high) / 2, 0);
  const asked = quote.total ?? (prices.length > 0 ? middle : null);
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
    ...checkAsked(found, plan),
    ...checkMissing(found, plan, quote.includes),
    ...found.flatMap(({ line, at, draft }, index) => {
      const said = asAsked(line);
      return said ? checkPrice(said, addRanges([works[index]!.cost]), nameOf(draft), at) : [];
    }),
    ...(quote.total !== null && reckoned
      ? checkPrice({ low: quote.total, high: quote.total }, reckoned, 'The whole', null)
      : []),
  ];
  return { remarks, reckoned, asked, cures, misses };
}
