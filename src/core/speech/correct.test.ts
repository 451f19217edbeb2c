import { describe, expect, it } from 'vitest';
import { entries, type Said } from '../testing/build';
import { firstDraft } from '../testing/callouts';

const corrected = (said: Said, line: string) =>
  firstDraft(line, { standing: entries(said), counterFt: 60 });
const roots: Said = {
  kind: 'defect',
  defect: 'roots',
  readingFt: 57,
  extentRatio: 0.4,
  locus: 'joint',
  clockFrom: 10,
  clockTo: 2,
};

describe('a correction', () => {
  it('to another name keeps the place, and the size that the new name has as well', () => {
    expect(corrected(roots, 'correct 57 grease')).toEqual({
      kind: 'defect',
      defect: 'grease',
      pass: 'out',
      readingFt: 57,
      extentRatio: 0.4,
      locus: 'joint',
      clockFrom: 10,
      clockTo: 2,
      replaces: 'e1',
    });
    const offset = corrected(roots, 'correct 57 offset half an inch');
    expect(offset).toMatchObject({ defect: 'offset', offsetIn: 0.5, locus: 'joint' });
    expect(offset).not.toHaveProperty('extentRatio');
  });

  it('of a size is measured no more, and is no second look; of anything else it still is', () => {
    const measured: Said = {
      ...roots,
      sizeBasis: 'measured',
      measures: [{ photoId: 'P', what: 'share', aspect: 1.6, pipe: [], on: [] }],
      secondLook: { by: 'A', at: '2026-11-05T09:00:00Z' },
    };
    const resized = corrected(measured, 'correct 57 60%');
    for (const field of ['sizeBasis', 'measures', 'secondLook'])
      expect(resized).not.toHaveProperty(field);
    const renamed = corrected(measured, 'correct 57 in the barrel');
    expect(renamed).toMatchObject({ sizeBasis: 'measured', locus: 'barrel' });
    expect(renamed).toHaveProperty('measures');
  });

  it('says anew what it says, and leaves the rest', () => {
    expect(corrected(roots, 'correct 57 60% in the barrel')).toMatchObject({
      defect: 'roots',
      extentRatio: 0.6,
      locus: 'barrel',
      clockFrom: 10,
    });
  });

  it('may be said as what it is not', () => {
    const clay: Said = {
      kind: 'material',
      material: 'abs',
      readingFt: 38,
      side: 'far',
      diameterIn: 4,
    };
    expect(corrected(clay, 'no, 38 is pvc, not abs')).toMatchObject({
      material: 'pvc',
      diameterIn: 4,
      readingFt: 38,
      replaces: 'e1',
    });
  });
});

describe('another one', () => {
  it('is what the log said last', () => {
    expect(corrected(roots, 'another one at 61')).toMatchObject({ defect: 'roots', readingFt: 61 });
    expect(corrected(roots, '61')).toMatchObject({ kind: 'note' });
  });
});
