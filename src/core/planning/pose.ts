import type { PriceKey } from '../model/prices/price-table';
import { type Bed } from './bed';
import type { Choice, Option, Problem, Rate, Target, Trade } from './choose/problem';
import { methodById } from './methods/index';
import type { Method } from './methods/method';
import { deeperBy, onceIn, onceKey, openingOf, restorationOf, shoringOf } from './price-works';
import { bedOf, type Site, wayInOf } from './site';
import { ALL, type Allowed, DOING, type Need, obstaclesOf, whyNotIn, wishesOf } from './ways';
import type { WorkDraft } from './work';

/** A problem of choosing, with what its trades stand for. */
export type Posed = {
  readonly problem: Problem;
  readonly trades: readonly { readonly method: Method; readonly lineId: string }[];
};

/** The bit of something that is paid once, by what it is called and its price. */
type BitOf = (name: string, key: PriceKey) => number;

/** What the trades of a job cost: kept apart from what is needed, so that it is worked out once. */
function tradeOf(site: Site, method: Method, bed: Bed, bitOf: BitOf): Trade {
  const likely = (key: PriceKey | null | undefined) => (key ? site.prices[key].likely : 0);
  const { lineId } = bed.lateral;
  const { opener } = wayInOf(site, lineId);
  const pit = likely(method.price.each);
  const rates = bed.cells.map((cell): Rate => {
    const all = [method, ...method.firstIn(cell, site, lineId).map(methodById)];
    const perFt = all.reduce(
      (sum, one) =>
        sum +
        likely(one.price.foot) * (one.opensGround ? cell.factor : 1) +
        (one.opensGround ? likely(restorationOf(cell)) + likely(shoringOf(cell)) : 0),
      0,
    );
    const once = all.flatMap((one) =>
      onceIn(one, cell).map((key) => bitOf(onceKey(one, key, lineId), key)),
    );
    if (opener !== null && all.some(({ needsCleanout }) => needsCleanout)) {
      const key = methodById(opener).price.each!;
      once.push(bitOf(`${key}@${lineId}`, key));
    }
    return {
      fromFt: cell.fromFt,
      toFt: cell.toFt,
      perFt,
      opening:
        pit * (method.digsPits ? cell.factor : 1) +
        (method.opensGround ? likely(openingOf(cell)) : 0),
      once: once.reduce((bits, bit) => bits | bit, 0),
    };
  });
  const edges = bed.cells.slice(1).map((next, index) => {
    const cell = bed.cells[index]!;
    const surface = method.opensGround && next.zone !== cell.zone ? likely(openingOf(next)) : 0;
    return {
      atFt: next.fromFt,
      cost: (method.digsPits ? pit * deeperBy(cell, next) : 0) + surface,
    };
  });
  return {
    ...(method.longestFt === undefined ? {} : { longestFt: method.longestFt }),
    rates,
    edges: edges.filter(({ cost }) => cost > 0),
    lumps: method.price.tee
      ? bed.tees.map(({ stationFt }) => ({ atFt: stationFt, cost: likely(method.price.tee) }))
      : [],
    // A tool that comes from its way in passes all that lies before its target anyway.
    bars: (method.runsFromWayIn
      ? []
      : [
          ...bed.cells.filter(
            (cell) =>
              !method.grounds.includes(cell.ground) ||
              whyNotIn(site, method, cell, lineId) !== null,
          ),
          ...obstaclesOf(site, method, lineId).map(({ span }) => span),
        ]
    ).map(({ fromFt, toFt }) => ({ fromFt, toFt })),
  };
}

/**
 * There are 30 bits and some twenty prices that are paid once. Past so many a visit is reckoned as shared among lines:
 * the choice may then be a visit off the cheapest, never its price.
 */
const MOST_PER_LINE = 9;

/** Poses what is needed as a problem of choosing. Needs that nothing can meet are left out. */
export function poseProblem(site: Site, needs: readonly Need[], isAllowed: Allowed = ALL): Posed {
  const bits = new Map<string, { readonly bit: number; readonly key: PriceKey }>();
  const bitOf: BitOf = (given, key) => {
    // What has a bit of its own keeps it: the same thing under two would be paid twice.
    const name = bits.has(given) || bits.size < MOST_PER_LINE ? given : key;
    const known = bits.get(name) ?? { bit: 1 << bits.size, key };
    bits.set(name, known);
    return known.bit;
  };
  const trades = [...site.beds.keys()].flatMap((lineId) =>
    DOING.map((method) => ({ method, lineId })),
  );
  const wishes = needs
    .flatMap((need) => {
      const all = wishesOf(site, need, isAllowed);
      return all.every(({ ways }) => ways.length > 0) ? all : [];
    })
    .sort((a, b) => a.lineId.localeCompare(b.lineId) || a.fromFt - b.fromFt);
  const used = trades.filter(({ method, lineId }) =>
    wishes.some((wish) => wish.lineId === lineId && wish.ways.some((way) => way.method === method)),
  );
  const nextFt = used.map(() => Infinity);
  // Backwards, so that no stretch of a trade begins after a later one: an inch more at most.
  const targets = wishes.toReversed().map(({ name, lineId, ways }): Target => ({
    id: name,
    options: ways.map(({ method, fromFt, toFt }): Option => {
      const trade = used.findIndex((one) => one.method === method && one.lineId === lineId);
      nextFt[trade] = Math.min(nextFt[trade]!, fromFt);
      return { trade, fromFt: nextFt[trade], toFt };
    }),
  }));
  return {
    problem: {
      trades: used.map(({ method, lineId }) => tradeOf(site, method, bedOf(site, lineId), bitOf)),
      targets: targets.reverse(),
      once: [...bits.values()].map(({ key }) => site.prices[key].likely),
    },
    trades: used,
  };
}

/** The works of a choice. */
export function worksOf({ trades }: Posed, { picks }: Choice): WorkDraft[] {
  const works: WorkDraft[] = [];
  const last = new Map<number, number>();
  for (const { option, joins } of picks) {
    const { trade, fromFt, toFt } = option;
    const at = last.get(trade);
    if (joins && at !== undefined) {
      const work = works[at]!;
      works[at] = { ...work, toFt: Math.max(work.toFt, toFt) };
    } else {
      last.set(trade, works.length);
      works.push({ method: trades[trade]!.method.id, lineId: trades[trade]!.lineId, fromFt, toFt });
    }
  }
  return works;
}
