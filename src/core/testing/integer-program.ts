import type { Interval } from '../base/interval';
import { meterOf, type Option, type Problem, type Trade } from '../planning/choose/problem';

/** A stretch or a spot of a trade that is worked or not, and what working it costs. */
type Cell = Interval & {
  readonly name: string;
  readonly cost: number;
  readonly bits: number;
  readonly isBarred: boolean;
};

/** Every end and every lump of a trade, and the stretches between them, in order. */
function cellsOf(trade: Trade, at: number, options: readonly Option[]): Cell[] {
  const meter = meterOf(trade);
  const first = Math.min(...options.map(({ fromFt }) => fromFt));
  const last = Math.max(...options.map(({ toFt }) => toFt));
  const edges = [
    ...options.flatMap(({ fromFt, toFt }) => [fromFt, toFt]),
    ...trade.lumps.map(({ atFt }) => atFt),
    ...trade.rates.map(({ fromFt }) => fromFt),
    ...(trade.edges ?? []).map(({ atFt }) => atFt),
    ...trade.bars.flatMap(({ fromFt, toFt }) => [fromFt, toFt]),
  ].filter((edge) => edge >= first && edge <= last);
  const cuts = [...new Set(edges)].sort((a, b) => a - b);
  return cuts.flatMap((edge, index): Cell[] => {
    const spot = {
      name: `y${at}_${index}s`,
      fromFt: edge,
      toFt: edge,
      cost: meter.cost(edge, edge, true),
      bits: 0,
      isBarred: trade.bars.some((bar) => bar.fromFt < edge && bar.toFt > edge),
    };
    const end = cuts[index + 1];
    if (end === undefined) return [spot];
    const between = {
      name: `y${at}_${index}b`,
      fromFt: edge,
      toFt: end,
      cost: meter.cost(edge, (edge + end) / 2, true) * 2 - lumpsAt(trade, edge) * 2,
      bits: meter.onceIn(edge, end),
      isBarred: meter.isBarred(edge, end),
    };
    return [spot, between];
  });
}

const lumpsAt = ({ lumps }: Trade, at: number) =>
  lumps.reduce((sum, { atFt, cost }) => (Math.abs(atFt - at) < 1e-9 ? sum + cost : sum), 0);

const within = (inner: Interval, outer: Interval) =>
  inner.fromFt >= outer.fromFt && inner.toFt <= outer.toFt;
const bitsIn = (bits: number, count: number) =>
  Array.from({ length: count }, (_, bit) => bit).filter((bit) => (bits >> bit) & 1);

/**
 * A problem of choosing as an integer program, in the words that solvers read: a way of its own to say
 * the same, with nothing of the dynamic program in it. Every spot and every stretch between two spots of a
 * trade is worked or not; where working begins there is an opening; trades of limited length choose among
 * all stretches that are short enough.
 */
export function integerProgramOf({ trades, targets, once }: Problem): string {
  const costs: string[] = [];
  const rules: string[] = [];
  const names: string[] = [];
  const variable = (name: string, cost: number) => {
    names.push(name);
    if (cost !== 0) costs.push(`${cost} ${name}`);
  };
  const rule = (left: string, right: string) => rules.push(`${left} ${right}`);
  for (const [bit, price] of once.entries()) variable(`u${bit}`, price);
  const picks = targets.flatMap(({ options }, target) =>
    options.map((option, index) => ({ ...option, target, name: `x${target}_${index}` })),
  );
  for (const { name } of picks) variable(name, 0);
  for (const [target] of targets.entries())
    rule(
      picks
        .filter((pick) => pick.target === target)
        .map(({ name }) => name)
        .join(' + '),
      '>= 1',
    );
  for (const pick of picks)
    for (const bit of bitsIn(
      meterOf(trades[pick.trade]!).onceIn(pick.fromFt, pick.toFt),
      once.length,
    ))
      rule(`u${bit} - ${pick.name}`, '>= 0');

  for (const [at, trade] of trades.entries()) {
    const mine = picks.filter((pick) => pick.trade === at);
    if (mine.length === 0) continue;
    if (trade.longestFt !== undefined) {
      const { longestFt } = trade;
      const meter = meterOf(trade);
      const stretches = mine
        .flatMap(({ fromFt }) =>
          mine
            .map(({ toFt }) => ({ fromFt, toFt }))
            .filter(
              ({ toFt }) =>
                toFt >= fromFt &&
                toFt - fromFt <= longestFt &&
                !trade.bars.some((bar) => bar.fromFt < toFt && bar.toFt > fromFt),
            ),
        )
        .map((stretch, index) => ({ ...stretch, name: `s${at}_${index}` }));
      for (const { name, fromFt, toFt } of stretches) {
        variable(name, meter.opening(fromFt) + meter.cost(fromFt, toFt, true));
        for (const bit of bitsIn(meter.onceIn(fromFt, toFt), once.length))
          rule(`u${bit} - ${name}`, '>= 0');
      }
      for (const pick of mine) {
        const covering = stretches.filter((stretch) => within(pick, stretch));
        rule(`${covering.map(({ name }) => name).join(' + ')} - ${pick.name}`, '>= 0');
      }
      continue;
    }
    const cells = cellsOf(trade, at, mine);
    for (const [index, { atFt, cost }] of (trade.edges ?? []).entries()) {
      const before = cells.find(({ fromFt, toFt }) => toFt === atFt && fromFt < atFt);
      const after = cells.find(({ fromFt, toFt }) => fromFt === atFt && toFt > atFt);
      if (!before || !after) continue;
      variable(`e${at}_${index}`, cost);
      rule(`e${at}_${index} - ${before.name} - ${after.name}`, '>= -1');
    }
    for (const [index, cell] of cells.entries()) {
      variable(cell.name, cell.cost);
      const before = cells[index - 1];
      variable(`o${cell.name}`, meterOf(trade).opening(cell.fromFt));
      rule(`o${cell.name} - ${cell.name}${before ? ` + ${before.name}` : ''}`, '>= 0');
      for (const bit of bitsIn(cell.bits, once.length)) rule(`u${bit} - ${cell.name}`, '>= 0');
      if (cell.isBarred && !mine.some((pick) => within(cell, pick))) rule(cell.name, '<= 0');
      for (const pick of mine) if (within(cell, pick)) rule(`${cell.name} - ${pick.name}`, '>= 0');
    }
  }
  return `Minimize\n obj: ${costs.join(' + ')}\nSubject To\n${rules.map((text, index) => ` c${index}: ${text}`).join('\n')}\nBinary\n ${names.join(' ')}\nEnd\n`;
}
