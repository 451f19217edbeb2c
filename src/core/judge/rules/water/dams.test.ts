import { describe, expect, it } from 'vitest';
import { assess } from '../../../assess';
import { CLAY, type Said } from '../../../testing/build';
import { defect, line, pool, sceneFrom } from '../../../testing/rules';
import { damsOf } from './dams';

const at36 = (kind: string, more: Record<string, unknown> = {}): Said =>
  defect(kind, { readingFt: 36, ...more });
const dams = (...said: Said[]) => {
  const scene = sceneFrom(line([pool(), ...said]));
  const held = scene.findings.find(({ kind }) => kind === 'standing-water')!;
  return damsOf(scene, held).map(({ what, heightIn }) => [what, heightIn]);
};

describe('what could hold a pool from 30 to 36 ft', () => {
  it('is nothing where nothing stands up at its downstream end', () => {
    expect(dams()).toEqual([]);
    expect(dams(defect('roots', { extentRatio: 0.5, readingFt: 28 }))).toEqual([]);
    expect(dams(defect('debris', { readingFt: 31, toReadingFt: 36 }))).toEqual([]);
  });

  it('stands as high as it was logged', () => {
    expect(dams(at36('lip', { lipIn: 1.5 }))).toEqual([['lip', 1.5]]);
    expect(dams(at36('offset', { offsetIn: 2, clockFrom: 5, clockTo: 7 }))).toEqual([
      ['offset', 2],
    ]);
    expect(dams(at36('intruding-tap', { extentRatio: 0.25, clockFrom: 6 }))).toEqual([
      ['intruding-tap', 1.5],
    ]);
  });

  it('of half the bore by area stands half the bore high: 3 in of 6', () => {
    const [[what, heightIn]] = dams(at36('debris', { extentRatio: 0.5 })) as [[string, number]];
    expect(what).toBe('debris');
    expect(heightIn).toBeCloseTo(3, 4);
    // A fifth of the area is a segment of 25.4% of the diameter, by the usual tables.
    const [[, fifth]] = dams(at36('roots', { extentRatio: 0.2 })) as [[string, number]];
    expect(fifth / 6).toBeCloseTo(0.254, 3);
  });

  it('has no height where none was logged, and is asked for', () => {
    const lip: Said = { ...CLAY, joint: 'lip', readingFt: 36 };
    expect(dams(lip)).toEqual([['lip', null]]);
    const { findings, questions } = assess(line([pool(), lip]));
    expect(findings[0]).toMatchObject({ action: 'look-again' });
    expect(questions.map(({ rule }) => rule)).toContain('pool-held');
  });

  it.each([
    ['high up on the wall', at36('intruding-tap', { extentRatio: 0.3, clockFrom: 2 })],
    ['a step of no known direction', at36('offset', { offsetIn: 2 })],
    ['scale where plastic does not turn to iron', at36('scale', { extentRatio: 0.3 })],
  ])('is not %s', (_, said) => {
    expect(dams(said)).toEqual([]);
  });

  it.each<[number, number | undefined, boolean]>([
    [4, undefined, true],
    [8, undefined, true],
    [3.5, undefined, false],
    [8.5, undefined, false],
    // Clockwise through the bottom, and over the crown.
    [3, 9, true],
    [9, 3, false],
    [2, 4, true],
    [8, 11, true],
  ])('lies from %s to %s o’clock: %s', (clockFrom, clockTo, isLow) => {
    const arc = { clockFrom, clockTo: clockTo ?? clockFrom };
    expect(dams(at36('debris', { extentRatio: 0.5, ...arc }))).toHaveLength(isLow ? 1 : 0);
  });

  it('makes a pool that it can hold upkeep, and one that is deeper a question', () => {
    const held = (depthIn: number) =>
      assess(
        line([pool({ depthIn, fillRatio: undefined }), at36('lip', { lipIn: 1 })]),
      ).findings.find(({ kind }) => kind === 'standing-water')!;
    expect(held(1.25)).toMatchObject({
      severity: 'moderate',
      action: 'upkeep',
      causes: [{ cause: 'lip' }],
    });
    expect(held(1.26)).toMatchObject({ action: 'look-again' });
    expect(held(1.26).causes.map(({ cause }) => cause)).toEqual(['lip', 'belly']);
    expect(
      held(1.26)
        .advice.map(({ text }) => text)
        .join(),
    ).not.toMatch(/laying it to the right fall/);
  });
});
