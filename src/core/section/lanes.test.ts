import { describe, expect, it } from 'vitest';
import { MAIN_AT_60 } from '../testing/build';
import { joined, runFrom, tee, tieOf } from '../testing/joined';
import { layFrame } from './frame';
import { layLanes } from './lanes';

const frame = layFrame({ fromFt: 0, toFt: 100 }, 1056, 200);
const runs = [
  runFrom('R1', 'A', 'downstream', [tee(20), tee(40), MAIN_AT_60]),
  runFrom('R2', 'B', 'upstream', [tee(30), tee(10.6)]),
  runFrom('R3', 'C', 'downstream', [tee(5)]),
];

describe('lanes', () => {
  const ties = [tieOf('T1', 'R1 1 = R2 1'), tieOf('T2', 'R1 2 = R2 2')];
  const { lanes, threads, height } = layLanes(joined({ runs, ties }), frame);
  it('lay every run on the Section’s own scale, from its access to where it got', () => {
    const [first, second] = lanes;
    expect(first).toMatchObject({ fromX: frame.xOf(0), toX: frame.xOf(60), accessX: frame.xOf(0) });
    expect(second!.accessX).toBe(second!.toX);
    expect(second!.fromX).toBeLessThan(second!.toX);
    expect(lanes.map(({ placed }) => placed)).toEqual([true, true, false]);
  });
  it('do not touch one another', () => {
    const ys = lanes.map(({ y }) => y);
    expect(ys[1]! - ys[0]!).toBeGreaterThanOrEqual(40);
    expect(height).toBeGreaterThan(ys.at(-1)! + 16);
  });
  it('hang each thing at its own reading, and say which tie holds it', () => {
    expect(lanes[0]!.dots.map(({ tieId, title }) => [tieId, title])).toEqual([
      ['T1', 'Tee'],
      ['T2', 'Tee'],
      [null, 'Main reached'],
    ]);
  });
  it('run a thread upright where runs agree, slanting where they do not', () => {
    const slant = (thread: (typeof threads)[number]) =>
      Math.abs(thread.points[0]!.x - thread.points[1]!.x);
    expect(slant(threads[0]!)).toBeLessThan(0.5 * frame.unitsPerFt);
    const off = [tieOf('T1', 'R1 1 = R2 1'), tieOf('T2', 'R1 2 = R2 1')];
    const bad = layLanes(joined({ runs, ties: off }), frame);
    expect(slant(bad.threads[1]!)).toBeGreaterThan(5 * frame.unitsPerFt);
  });
});
