import { describe, expect, it } from 'vitest';
import { denseProblem, leastByTrying, randomProblem } from '../../testing/choosing';
import { choose } from './choose';
import { meterOf, type Problem, type Trade } from './problem';

const flat = (perFt: number, opening: number, once = 0b1): Trade => ({
  rates: [{ fromFt: -Infinity, toFt: Infinity, perFt, opening, once }],
  lumps: [],
  bars: [],
});
const at = (fromFt: number, toFt: number, trade = 0) => ({ trade, fromFt, toFt });

describe('choosing', () => {
  it('is as cheap as trying everything, on 1,000 seeded problems of up to 7 targets', () => {
    for (let seed = 1; seed <= 1000; seed += 1) {
      const problem = randomProblem(seed, 1 + (seed % 7));
      const choice = choose(problem);
      expect(choice, `seed ${seed}`).not.toBeNull();
      expect(choice!.cost, `seed ${seed}`).toBeCloseTo(leastByTrying(problem), 6);
      expect(choice!.picks.map(({ target }) => target.id)).toEqual(
        problem.targets.map(({ id }) => id),
      );
    }
  });

  it.each<[string, number, number]>([
    // Hand-worked: 1,000 once, 500 a pit, 100 a foot. A gap of 4 ft costs 400, of 6 ft 600.
    ['works the gap where that is cheaper than another pit', 4, 1000 + 500 + 12 * 100],
    ['opens another pit where the gap is dearer', 6, 1000 + 2 * 500 + 8 * 100],
  ])('%s', (_, gapFt, expected) => {
    const problem: Problem = {
      trades: [flat(100, 500)],
      targets: [
        { id: 'a', options: [at(10, 14)] },
        { id: 'b', options: [at(14 + gapFt, 18 + gapFt)] },
      ],
      once: [1000],
    };
    expect(choose(problem)!.cost).toBe(expected);
  });

  it('goes on with an earlier stretch past a target that another trade deals with', () => {
    // Dig 10–12 and 14–16 as one (500 + 600), and line 12.5–13.5 between them (200 + 50).
    const problem: Problem = {
      trades: [flat(100, 500, 0b01), flat(50, 200, 0b10)],
      targets: [
        { id: 'a', options: [at(10, 12)] },
        { id: 'b', options: [at(12.5, 13.5, 1)] },
        { id: 'c', options: [at(14, 16)] },
      ],
      once: [1000, 300],
    };
    const choice = choose(problem)!;
    expect(choice.cost).toBe(1000 + 500 + 600 + 300 + 200 + 50);
    expect(choice.picks.map(({ joins }) => joins)).toEqual([false, false, true]);
  });

  it('does not go on past a bar', () => {
    const trade = { ...flat(10, 500), bars: [{ fromFt: 15, toFt: 16 }] };
    const targets = [at(10, 14), at(18, 20)].map((option, index) => ({
      id: `${index}`,
      options: [option],
    }));
    expect(choose({ trades: [trade], targets, once: [0] })!.cost).toBe(2 * 500 + 60);
  });

  it('proves its choice however close the targets lie: 200 of them, an inch to four feet apart', () => {
    for (const feetApart of [1 / 12, 0.25, 0.5, 1, 2, 4])
      for (let seed = 1; seed <= 10; seed += 1) {
        const problem = denseProblem(seed, 200, feetApart);
        expect(choose(problem)!.isExact, `${feetApart} ft apart, seed ${seed}`).toBe(true);
      }
  });

  it('says that there is no way when a target has none', () => {
    expect(choose({ trades: [], targets: [{ id: 'a', options: [] }], once: [] })).toBeNull();
    expect(choose({ trades: [], targets: [], once: [] })).toEqual({
      cost: 0,
      picks: [],
      isExact: true,
    });
  });

  it('is never cheaper with a target more, and doubles with every price', () => {
    const doubled = ({ trades, targets, once }: Problem): Problem => ({
      trades: trades.map((trade) => ({
        ...trade,
        rates: trade.rates.map((rate) => ({
          ...rate,
          perFt: rate.perFt * 2,
          opening: rate.opening * 2,
        })),
        edges: (trade.edges ?? []).map((edge) => ({ ...edge, cost: edge.cost * 2 })),
        lumps: trade.lumps.map((lump) => ({ ...lump, cost: lump.cost * 2 })),
      })),
      targets,
      once: once.map((price) => price * 2),
    });
    for (let seed = 1; seed <= 300; seed += 1) {
      const problem = randomProblem(seed, 12);
      const { cost } = choose(problem)!;
      const without = {
        ...problem,
        targets: problem.targets.filter((_, index) => index !== seed % 12),
      };
      expect(choose(without)!.cost, `seed ${seed}`).toBeLessThanOrEqual(cost + 1e-6);
      expect(choose(doubled(problem))!.cost, `seed ${seed}`).toBeCloseTo(2 * cost, 6);
    }
  });
});

describe('the meter of a trade', () => {
  it('adds up rates over their edges, lumps at both ends of an opening and at the far end of going on', () => {
    const meter = meterOf({
      rates: [
        { fromFt: -Infinity, toFt: 10, perFt: 1, opening: 7, once: 0b1 },
        { fromFt: 10, toFt: 20, perFt: 2, opening: 9, once: 0b10 },
        { fromFt: 20, toFt: Infinity, perFt: 4, opening: 8, once: 0b100 },
      ],
      lumps: [
        { atFt: 5, cost: 100 },
        { atFt: 15, cost: 1000 },
      ],
      edges: [{ atFt: 20, cost: 10_000 }],
      bars: [{ fromFt: 12, toFt: 13 }],
    });
    expect(meter.cost(5, 25, true)).toBe(5 + 20 + 20 + 1100 + 10_000);
    // Where a stretch begins or ends at an edge, it does not cross it; where one goes on from there, it does.
    expect(meter.cost(20, 25, true)).toBe(20);
    expect(meter.cost(20, 25, false)).toBe(10_020);
    expect(meter.cost(15, 20, true)).toBe(10 + 1000);
    expect([
      meter.opening(9),
      meter.opening(10),
      meter.mostOpening(9),
      meter.mostOpening(20),
    ]).toEqual([7, 9, 9, 8]);
    expect(meter.cost(5, 15, false)).toBe(5 + 10 + 1000);
    expect(meter.cost(-10, 0, true)).toBe(10);
    expect(meter.onceIn(5, 10)).toBe(0b1);
    expect(meter.onceIn(10, 10)).toBe(0b10);
    expect(meter.onceIn(5, 25)).toBe(0b111);
    expect([meter.isBarred(0, 12), meter.isBarred(0, 12.5)]).toEqual([false, true]);
  });
});
