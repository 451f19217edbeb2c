import { describe, expect, it } from 'vitest';
import { assess } from '../assess';
import { CLAY, inspectionOf, MAIN_AT_60, runOf, type Said } from '../testing/build';
import { ringAt } from './ring';

const defect = (kind: string, readingFt: number, more: object = {}): Said => ({
  kind: 'defect',
  defect: kind,
  readingFt,
  ...more,
});
const ring = (
  stationFt: number,
  said: readonly Said[],
  facing: 'downstream' | 'upstream' = 'downstream',
) => {
  const { lateral, findings } = assess(inspectionOf([runOf([CLAY, ...said, MAIN_AT_60])]));
  return ringAt(lateral, findings, stationFt, facing)!;
};

describe('the pipe cut across at the counter', () => {
  it('is the pipe that was logged there', () => {
    const said: Said[] = [
      { kind: 'material', side: 'far', material: 'pvc', diameterIn: 4, readingFt: 30 },
    ];
    expect(ring(10, said)).toMatchObject({ material: 'vitrified-clay', boreIn: 6, water: null });
    expect(ring(40, said)).toMatchObject({ material: 'pvc', boreIn: 4, things: [] });
  });

  it('is unknown pipe where nobody said what it is, and nothing past its end', () => {
    expect(ring(75, [])).toBeNull();
    expect(ring(60, [])).not.toBeNull();
    const { lateral, findings } = assess(inspectionOf([runOf([MAIN_AT_60])]));
    expect(ringAt(lateral, findings, 30, 'downstream')).toMatchObject({
      material: 'unknown',
      boreIn: null,
    });
  });

  it('tells a doubt as one', () => {
    const doubted = [
      defect('roots', 20, { certainty: 'suspected' }),
      defect('standing-water', 30, { toReadingFt: 40, certainty: 'suspected' }),
    ];
    expect(ring(20, doubted).things[0]!.isSure).toBe(false);
    expect(ring(35, doubted).water!.isSure).toBe(false);
    const pvc: Said = {
      kind: 'material',
      side: 'far',
      material: 'pvc',
      diameterIn: 4,
      certainty: 'suspected',
      readingFt: 30,
    };
    expect([ring(10, [pvc]).isSure, ring(40, [pvc]).isSure]).toEqual([true, false]);
  });

  it('has water to its level where it stands, and not beside it', () => {
    const pool = [defect('standing-water', 20, { toReadingFt: 30, fillRatio: 0.4 })];
    expect(ring(25, pool)).toMatchObject({ water: { fillRatio: 0.4 }, things: [] });
    expect(ring(30.5, pool).things).toHaveLength(1);
    expect(ring(31, pool).water).toBeNull();
    expect(
      ring(25, [defect('standing-water', 20, { toReadingFt: 30, depthIn: 1.5 })]).water,
    ).toMatchObject({
      fillRatio: 0.25,
    });
    expect(ring(25, [defect('standing-water', 20, { toReadingFt: 30 })]).water).toMatchObject({
      fillRatio: null,
    });
  });

  it('has what is logged within a foot, the nearest first, at its clock', () => {
    const said: Said[] = [
      defect('roots', 20, { clockFrom: 3, clockTo: 5, extentRatio: 0.2 }),
      { kind: 'feature', feature: 'tee', readingFt: 20.5, clock: 2 },
      defect('crack', 22, { crackType: 'lengthwise' }),
    ];
    expect(ring(20.4, said).things).toEqual([
      expect.objectContaining({ title: 'Tee', severity: null, clock: { from: 2, to: 2 } }),
      expect.objectContaining({ title: 'Roots', clock: { from: 3, to: 5 } }),
    ]);
    const [tee, roots] = ring(20.4, said).things;
    expect(tee!.awayFt).toBeCloseTo(0.1, 6);
    expect(roots!.awayFt).toBeCloseTo(-0.4, 6);
    expect(ring(10, said).things).toEqual([]);
  });

  it('is as the lens sees it: looking upstream left and right change places', () => {
    const said = [defect('roots', 20, { clockFrom: 3, clockTo: 5, extentRatio: 0.2 })];
    expect(ring(20, said, 'upstream').things[0]!.clock).toEqual({ from: 7, to: 9 });
  });
});
