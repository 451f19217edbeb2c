import { describe, expect, it } from 'vitest';
import { assess } from '../assess';
import { CLAY, inspectionOf, MAIN_AT_60, runOf, type Said } from '../testing/build';
import { partsOf } from './parts';

type Changes = Parameters<typeof inspectionOf>[1];

function lineOf(more: readonly Said[], changes: Changes = {}) {
  const inspection = inspectionOf([runOf([CLAY, ...more, MAIN_AT_60])], changes);
  const { lateral } = assess(inspection);
  return (fromFt: number, toFt: number) =>
    partsOf(inspection, lateral, { fromFt, toFt }).map((part) => [
      part.span.fromFt,
      part.span.toFt,
      part.responsibleSide,
      part.courtesy,
    ]);
}
const TO_LINE = { job: { responsibility: 'to-property-line' } } as const;
const line = (readingFt: number): Said => ({
  kind: 'feature',
  feature: 'property-line',
  readingFt,
});

describe('a stretch that changes hands', () => {
  it('is cut where it does', () => {
    const parts = lineOf([line(40)], TO_LINE);
    expect(parts(30, 50)).toEqual([
      [30, 40, 'owner', false],
      [40, 50, 'public', false],
    ]);
  });
  it('is whole on either side of it, and where it only touches it', () => {
    const parts = lineOf([line(40)], TO_LINE);
    expect(parts(10, 40)).toEqual([[10, 40, 'owner', false]]);
    expect(parts(40, 55)).toEqual([[40, 55, 'public', false]]);
    // On the line itself it is still the owner's.
    expect(parts(40, 40)).toEqual([[40, 40, 'owner', false]]);
  });
  it('is whole where the owner answers for all of it', () => {
    expect(lineOf([line(40)])(30, 50)).toEqual([[30, 50, 'owner', false]]);
  });
});

describe('a stretch that leaves what was agreed', () => {
  const wall: Said = { kind: 'feature', feature: 'wall', readingFt: 30 };
  const indoors: Said = { kind: 'zone', zone: 'under-house', side: 'far', readingFt: 0 };
  it('is cut at the wall that it runs through, and reckoned as a courtesy inside', () => {
    const parts = lineOf([
      indoors,
      wall,
      { kind: 'zone', zone: 'yard', side: 'far', readingFt: 30 },
    ]);
    expect(parts(20, 50)).toEqual([
      [20, 30, 'owner', true],
      [30, 50, 'owner', false],
    ]);
    expect(parts(5, 20)).toEqual([[5, 20, 'owner', true]]);
  });
  it('is one where the whole line was agreed', () => {
    const said = [
      indoors,
      wall,
      { kind: 'zone', zone: 'yard', side: 'far', readingFt: 30 },
    ] as const;
    const parts = lineOf(said, { job: { scope: 'lateral-and-building-drain' } });
    expect(parts(20, 50)).toEqual([[20, 50, 'owner', false]]);
  });
});
