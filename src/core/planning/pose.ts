import { clip, type Interval, lengthFt, subtract } from '../base/interval';
import { memoOf } from '../base/memo';
import type { Assessment } from '../judge/assessment';
import type { Finding } from '../judge/finding';
import type { PriceKey } from '../model/prices/price-table';
import { type Bed, type Cell, cellsWithin } from './bed';
import type { Choice, Option, Problem, Rate, Target, Trade } from './choose/problem';
import { methodById, METHODS } from './methods/index';
import type { Method } from './methods/method';
import { cutByGround, type Piece, piecesOf } from './pieces';
import { deeperBy, onceIn, onceKey, openingOf, restorationOf, shoringOf } from './price-works';
import { bedOf, type Site, wayInOf } from './site';
import type { WorkDraft } from './work';

/** What a plan must do: end a finding, at least hold it, or renew worn-out pipe. */
export type Need =
  | { readonly what: 'cure' | 'hold'; readonly finding: Finding }
  | { readonly what: 'renew'; readonly lineId: string; readonly stretch: Interval };

const DOING = METHODS.filter(
  ({ role }) => role === 'replace' || role === 'mend' || role === 'clean',
);

/** Methods that give worn-out pipe a new life. */
const RENEWING = DOING.filter(({ id }) =>
  ['liner', 'burst', 'dig', 'replace-exposed', 'slab-break', 'reroute'].includes(id),
);

/** Why a finding stands in the way of a method, or of what it needs first there; `null` when it does not. */
function barAt(site: Site, method: Method, finding: Finding): string | null {
  const cells = cellsWithin(bedOf(site, finding.lineId), finding.span);
  const firsts = cells
    .flatMap((cell) => method.firstIn(cell, site, finding.lineId))
    .map(methodById);
  for (const one of [method, ...firsts]) {
    const why = one.barredBy(finding, site);
    if (why !== null) return why;
  }
  return null;
}

/** What was found to stand in the way, by method and line: it hangs on what was assessment alone. */
const obstacleBook = memoOf((_derived: Assessment) => new Map<string, readonly Finding[]>());

/** Findings that stand in the way of a method somewhere on a line. */
function obstaclesOf(site: Site, method: Method, lineId: string): readonly Finding[] {
  const book = obstacleBook(site.assessment);
  const key = `${method.id} ${lineId}`;
  const known = book.get(key);
  if (known) return known;
  const obstacles = site.assessment.findings.filter(
    (finding) =>
      finding.placed &&
      finding.lineId === lineId &&
      !finding.ourDoing &&
      finding.review?.verdict !== 'dismissed' &&
      barAt(site, method, finding) !== null,
  );
  book.set(key, obstacles);
  return obstacles;
}

/** Why a method, with all that it needs first, cannot be used in a cell; `null` when it can. */
export function whyNotIn(site: Site, method: Method, cell: Cell, lineId: string): string | null {
  for (const one of [method, ...method.firstIn(cell, site, lineId).map(methodById)]) {
    const why = one.barredIn(cell, site, lineId);
    if (why !== null) return why;
  }
  return null;
}

/** Why a method cannot work a stretch; `null` when it can. */
export function whyNotOver(site: Site, method: Method, bed: Bed, stretch: Interval): string | null {
  const { lineId } = bed.lateral;
  for (const cell of cellsWithin(bed, stretch)) {
    if (!method.grounds.includes(cell.ground)) return 'it is not for this ground';
    const why = whyNotIn(site, method, cell, lineId);
    if (why !== null) return why;
  }
  for (const finding of obstaclesOf(site, method, lineId))
    if (finding.span.toFt >= stretch.fromFt && finding.span.fromFt <= stretch.toFt)
      return barAt(site, method, finding);
  return null;
}

/** Where a method works for one piece of a finding; `null` where it cannot. */
function stretchFor(
  site: Site,
  method: Method,
  finding: Finding,
  pieces: readonly Piece[],
  piece: Piece,
): Interval | null {
  if (!method.grounds.includes(piece.run.ground)) return null;
  const reach = method.reach(finding, site);
  if (method.runsFromWayIn) {
    const { stationFt } = wayInOf(site, finding.lineId);
    return {
      fromFt: Math.min(stationFt, reach.fromFt),
      toFt: Math.max(stationFt, reach.toFt),
    };
  }
  if (pieces.length > 1 && method.id === 'patch-liner') return null;
  const index = pieces.indexOf(piece);
  const isAnywhere = method.grounds.length > 1;
  const within = {
    fromFt: index > 0 ? piece.fromFt : isAnywhere ? -Infinity : piece.run.fromFt,
    toFt: index < pieces.length - 1 ? piece.toFt : isAnywhere ? Infinity : piece.run.toFt,
  };
  return clip(reach, within) ?? reach;
}

/** Why a tool does not get from its way in to where it works; `null` when it does. */
function whyNoPassage(
  site: Site,
  method: Method,
  bed: Bed,
  worked: Interval,
  findingId: string | null,
): string | null {
  const { lineId } = bed.lateral;
  const firsts = cellsWithin(bed, worked).flatMap((cell) => method.firstIn(cell, site, lineId));
  const runs = [method, ...firsts.map(methodById)].some(({ runsFromWayIn }) => runsFromWayIn);
  if (!runs) return null;
  const { stationFt } = wayInOf(site, lineId);
  const passage = {
    fromFt: Math.min(stationFt, worked.fromFt),
    toFt: Math.max(stationFt, worked.toFt),
  };
  const stop = site.assessment.findings.find(
    (one) =>
      one.placed &&
      one.id !== findingId &&
      one.lineId === lineId &&
      one.kind === 'collapse' &&
      one.span.toFt > passage.fromFt &&
      one.span.fromFt < passage.toFt,
  );
  if (stop) return `finding ${stop.number} is in the way: nothing gets past a collapse`;
  const isTorn = subtract([passage], [worked]).some((part) =>
    cellsWithin(bed, part).some(
      (cell) => cell.material === 'bituminous-fiber' && lengthFt(cell) > 0,
    ),
  );
  return isTorn ? 'it would have to pass through tar-paper pipe' : null;
}

type Wish = {
  readonly fromFt: number;
  readonly lineId: string;
  readonly name: string;
  readonly ways: readonly (Interval & { readonly method: Method })[];
};

function wishesOf(site: Site, need: Need, isAllowed: Allowed): Wish[] {
  if (need.what === 'renew') {
    const bed = bedOf(site, need.lineId);
    return cutByGround(bed, need.stretch).map((piece) => ({
      fromFt: piece.fromFt,
      lineId: need.lineId,
      name: `renew ${need.lineId} ${piece.fromFt}`,
      ways: RENEWING.filter(
        (method) =>
          whyNotOver(site, method, bed, piece) === null &&
          whyNoPassage(site, method, bed, piece, null) === null,
      ).map((method) => ({ method, fromFt: piece.fromFt, toFt: piece.toFt })),
    }));
  }
  const { finding, what } = need;
  const bed = bedOf(site, finding.lineId);
  const pieces = piecesOf(site, bed, finding);
  return pieces.map((piece) => ({
    fromFt: piece.fromFt,
    lineId: finding.lineId,
    name: `${finding.id} ${piece.fromFt}`,
    ways: DOING.filter(isAllowed).flatMap((method) => {
      const does = method.verdict(finding, site)?.does;
      if (does !== 'cure' && !(does === 'hold' && what === 'hold')) return [];
      const stretch = stretchFor(site, method, finding, pieces, piece);
      const worked = method.runsFromWayIn ? method.reach(finding, site) : stretch;
      return stretch &&
        worked &&
        whyNotOver(site, method, bed, worked) === null &&
        whyNoPassage(site, method, bed, worked, finding.id) === null
        ? [{ method, ...stretch }]
        : [];
    }),
  }));
}

/** The methods that a plan may use. */
export type Allowed = (method: Method) => boolean;
const ALL: Allowed = () => true;

/** Whether anything can do what is needed. */
export function canBeMet(site: Site, need: Need, isAllowed: Allowed = ALL): boolean {
  return wishesOf(site, need, isAllowed).every(({ ways }) => ways.length > 0);
}

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
    const name = bits.size < MOST_PER_LINE ? given : key;
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
