import { lengthFt } from '../base/interval';
import { roundTo } from '../base/numbers';
import { addRanges, scaleRange } from '../base/range';
import { type Zone, zonesWith } from '../catalogue/zones';
import { depthOver, readDepths } from '../lateral/depth';
import { isPriceKey, PRICE_TABLE, type PriceKey } from '../model/prices/price-table';
import { type Cell, cellsWithin, teesWithin } from './bed';
import { methodById } from './methods/index';
import type { Method } from './methods/method';
import { bedOf, type Site } from './site';
import type { PriceLine, Work, WorkDraft } from './work';

/** Ground beyond the property line, whoever has to keep the pipe under it. */
const RIGHT_OF_WAY: readonly Zone[] = zonesWith('right-of-way');

/** The price of putting back the surface over a cell; `null` where there is none. */
export function restorationOf({ zone }: Cell): PriceKey | null {
  const key = `restore.${zone ?? 'yard'}`;
  return isPriceKey(key) ? key : null;
}

/** What must be paid once, however much of it is done, when a method is used in a cell. */
export function onceIn(method: Method, cell: Cell): PriceKey[] {
  const isRightOfWay =
    method.opensGround &&
    (cell.side === 'public' || (cell.zone !== null && RIGHT_OF_WAY.includes(cell.zone)));
  return [
    ...(method.price.visit ? [method.price.visit] : []),
    ...(method.needsPermit ? (['permit.replace'] as const) : []),
    ...(isRightOfWay ? (['permit.right-of-way'] as const) : []),
    ...(method.opensGround && cell.zone === 'street' ? (['traffic.control'] as const) : []),
  ];
}

type Measured = { readonly key: PriceKey; readonly quantity: number; readonly factor: number };

/** Feet of each rate, depth by depth and surface by surface. */
function measureFeet(method: Method, cells: readonly Cell[]): Measured[] {
  const feet = new Map<string, Measured>();
  const add = (key: PriceKey, quantity: number, factor: number) => {
    const name = `${key} ${factor}`;
    feet.set(name, { key, quantity: quantity + (feet.get(name)?.quantity ?? 0), factor });
  };
  for (const cell of cells) {
    const longFt = lengthFt(cell);
    if (longFt <= 0) continue;
    if (method.price.foot) add(method.price.foot, longFt, method.opensGround ? cell.factor : 1);
    const restoration = method.opensGround ? restorationOf(cell) : null;
    if (restoration) add(restoration, longFt, 1);
  }
  return [...feet.values()];
}

/**
 * Prices works in the order given. What is paid once is put on the first work that needs it, so the
 * lines of a work add up to its price and the works to the likely price of all.
 */
export function priceWorks(site: Site, drafts: readonly WorkDraft[]): Work[] {
  const paid = new Set<PriceKey>();
  return drafts.map((draft, index) => {
    const method = methodById(draft.method);
    const bed = bedOf(site, draft.lineId);
    const cells = cellsWithin(bed, draft);
    const tees = method.price.tee ? teesWithin(bed, draft) : [];
    const once = [...new Set(cells.flatMap((cell) => onceIn(method, cell)))].filter(
      (key) => !paid.has(key),
    );
    for (const key of once) paid.add(key);
    const measured: Measured[] = [
      ...once.map((key) => ({ key, quantity: 1, factor: 1 })),
      ...(method.price.each ? [{ key: method.price.each, quantity: 1, factor: 1 }] : []),
      ...measureFeet(method, cells),
      ...(method.price.tee && tees.length > 0
        ? [{ key: method.price.tee, quantity: tees.length, factor: 1 }]
        : []),
    ];
    const lines = measured.map(({ key, quantity, factor }): PriceLine => {
      const { low, likely, high } = site.prices[key];
      const rate = { low, likely, high };
      const { unit, says } = PRICE_TABLE[key];
      return {
        key,
        says,
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
