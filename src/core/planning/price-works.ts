import { type Interval, lengthFt } from '../base/interval';
import { roundTo } from '../base/numbers';
import { addRanges, type Range, scaleRange } from '../base/range';
import { type Zone, zonesWith } from '../catalogue/zones';
import { depthOver, readDepths } from '../lateral/depth';
import type { Prices } from '../model/prices/price-book';
import {
  ENGINEERED_FROM_FT,
  isPriceKey,
  PRICE_TABLE,
  type PriceKey,
  SHORED_FROM_FT,
} from '../model/prices/price-table';
import { type Cell, cellsWithin, teesWithin } from './bed';
import { methodById } from './methods/index';
import type { Extent, Method } from './methods/method';
import { bedOf, type Site, wayInOf } from './site';
import type { PriceLine, Visit, Work, WorkDraft } from './work';

/** Ground beyond the property line, whoever has to keep the pipe under it. */
const RIGHT_OF_WAY: readonly Zone[] = zonesWith('right-of-way');

/** The price of putting back the surface over a cell; `null` where there is none. */
export function restorationOf({ zone }: Cell): PriceKey | null {
  const key = `restore.${zone ?? 'yard'}`;
  return isPriceKey(key) ? key : null;
}

/** The least that putting a surface back costs, each time it is opened; `null` where there is none. */
export function openingOf({ zone }: Cell): PriceKey | null {
  const key = `restore.${zone ?? 'yard'}.each`;
  return isPriceKey(key) ? key : null;
}

/** The price of protecting a foot of trench in a cell; `null` where it is shallow. */
export const shoringOf = ({ depthFt }: Cell): PriceKey | null =>
  depthFt > SHORED_FROM_FT ? 'shoring.foot' : null;

/** What makes a pit dearer as a work goes on from one cell into the next: the ground gets deeper. */
export const deeperBy = (cell: Cell, next: Cell) => Math.max(0, next.factor - cell.factor);

/** A price that is paid once for each line where it is a visit to that line. */
export const onceKey = (method: Method, key: PriceKey, lineId: string) =>
  method.extent === 'visit' && key === method.price.visit ? `${key}@${lineId}` : key;

/** What must be paid once, however much of it is done, when a method is used in a cell. */
export function onceIn(method: Method, cell: Cell): PriceKey[] {
  const opens = method.opensGround || method.digsPits;
  const isRightOfWay =
    opens && (cell.side === 'public' || (cell.zone !== null && RIGHT_OF_WAY.includes(cell.zone)));
  return [
    ...(method.price.visit ? [method.price.visit] : []),
    ...(method.needsPermit ? (['permit.replace'] as const) : []),
    ...(isRightOfWay ? (['permit.right-of-way'] as const) : []),
    ...(opens && cell.zone === 'street' ? (['traffic.control'] as const) : []),
    ...(method.opensGround && cell.depthFt >= ENGINEERED_FROM_FT
      ? (['shoring.engineer'] as const)
      : []),
  ];
}

type Measured = {
  readonly key: PriceKey;
  readonly quantity: number;
  readonly factor: number;
  /** Whether nobody said what lies over the pipe: a lawn at the least, a driveway at the most. */
  readonly isUnsaid?: boolean;
};

/** What putting back a surface that nobody named may cost: as a lawn likely, and up to what `most` asks. */
const unsaidRate = (prices: Prices, key: PriceKey, most: PriceKey): Range => ({
  ...(key === most ? { low: 0, likely: 0 } : { low: prices[key].low, likely: prices[key].likely }),
  high: prices[most].high,
});

const UNSAID = 'the surface is not logged: lawn at the least, driveway at the most';

/** Feet of each rate, depth by depth and surface by surface. */
function measureFeet(method: Method, cells: readonly Cell[]): Measured[] {
  const feet = new Map<string, Measured>();
  const add = (key: PriceKey, quantity: number, factor: number, isUnsaid = false) => {
    const name = `${key} ${factor} ${isUnsaid}`;
    const sum = quantity + (feet.get(name)?.quantity ?? 0);
    feet.set(name, { key, quantity: sum, factor, ...(isUnsaid ? { isUnsaid } : {}) });
  };
  for (const cell of cells) {
    const longFt = lengthFt(cell);
    if (longFt <= 0) continue;
    if (method.price.foot) add(method.price.foot, longFt, method.opensGround ? cell.factor : 1);
    if (!method.opensGround) continue;
    const restoration = restorationOf(cell);
    if (restoration) add(restoration, longFt, 1, cell.zone === null);
    const shoring = shoringOf(cell);
    if (shoring) add(shoring, longFt, 1);
  }
  return [...feet.values()];
}

/** What a surface that nobody named may be at the most. */
const UNSAID_FOOT: PriceKey = 'restore.driveway';
const UNSAID_OPENING: PriceKey = 'restore.driveway.each';

/** Each separate stretch: its pits as deep as its deepest ground, and each surface that it opens. */
function measureOpenings(method: Method, cells: readonly Cell[]): Measured[] {
  const pairs = cells.slice(1).map((cell, index) => [cells[index]!, cell] as const);
  const factor = pairs.reduce(
    (sum, [cell, next]) => sum + deeperBy(cell, next),
    cells[0]?.factor ?? 1,
  );
  const surfaces = cells.filter(
    (cell, index) => index === 0 || cells[index - 1]!.zone !== cell.zone,
  );
  const opened = new Map<PriceKey, number>();
  for (const key of method.opensGround ? surfaces.map(openingOf) : [])
    if (key) opened.set(key, 1 + (opened.get(key) ?? 0));
  return [
    ...(method.price.each
      ? [{ key: method.price.each, quantity: 1, factor: method.digsPits ? factor : 1 }]
      : []),
    ...[...opened].map(([key, quantity]) => ({ key, quantity, factor: 1 })),
    ...(method.opensGround && surfaces.some(({ zone }) => zone === null)
      ? [{ key: UNSAID_OPENING, quantity: 1, factor: 1, isUnsaid: true }]
      : []),
  ];
}

/** The line and the way in that a visit is to. */
const visitOf = (site: Site, lineId: string): Visit => {
  const { name, stationFt } = wayInOf(site, lineId);
  return { lineId, from: name, fromFt: stationFt };
};

/** No longer than this, new pipe is set in one pit, feet. */
const PIT_FT = 6;

/** What a work extends over: a dig no longer than its pit is one place. */
const extentOf = ({ extent, opensGround }: Method, draft: Interval): Extent =>
  opensGround && lengthFt(draft) <= PIT_FT ? 'spot' : extent;

/**
 * Prices works in the order given. What is paid once is put on the first work that needs it, so the
 * lines of a work add up to its price and the works to the likely price of all.
 */
export function priceWorks(site: Site, drafts: readonly WorkDraft[]): Work[] {
  const paid = new Set<string>();
  return drafts.map((draft, index) => {
    const method = methodById(draft.method);
    const bed = bedOf(site, draft.lineId);
    const cells = cellsWithin(bed, draft);
    const tees = method.price.tee ? teesWithin(bed, draft) : [];
    const once = [...new Set(cells.flatMap((cell) => onceIn(method, cell)))].filter(
      (key) => !paid.has(onceKey(method, key, draft.lineId)),
    );
    for (const key of once) paid.add(onceKey(method, key, draft.lineId));
    const measured: Measured[] = [
      ...once.map((key) => ({ key, quantity: 1, factor: 1 })),
      ...measureOpenings(method, cells),
      ...measureFeet(method, cells),
      ...(method.price.tee && tees.length > 0
        ? [{ key: method.price.tee, quantity: tees.length, factor: 1 }]
        : []),
    ];
    const lines = measured.map(({ key, quantity, factor, isUnsaid }): PriceLine => {
      const { low, likely, high } = site.prices[key];
      const most = key === UNSAID_OPENING ? UNSAID_OPENING : UNSAID_FOOT;
      const rate = isUnsaid ? unsaidRate(site.prices, key, most) : { low, likely, high };
      const { unit, says } = PRICE_TABLE[key];
      return {
        key,
        says: isUnsaid ? UNSAID : says,
        quantity: roundTo(quantity, 3),
        unit: unit === 'foot' ? 'foot' : 'each',
        rate,
        factor,
        cost: scaleRange(rate, quantity * factor),
      };
    });
    return {
      ...draft,
      id: `W${index + 1}`,
      isFirst: draft.isFirst ?? false,
      extent: extentOf(method, draft),
      ...(method.runsFromWayIn ? { visit: visitOf(site, draft.lineId) } : {}),
      cost: addRanges(lines.map(({ cost }) => cost)),
      lines,
      zones: [...new Set(cells.flatMap(({ zone }) => (zone === null ? [] : [zone])))],
      depth: method.opensGround ? depthOver(readDepths(bed.lateral), draft) : null,
      publicFt: cells
        .filter(({ side }) => side === 'public')
        .reduce((sum, cell) => sum + lengthFt(cell), 0),
      tees,
      cures: [],
      holds: [],
    };
  });
}
