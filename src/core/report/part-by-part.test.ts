import { describe, expect, it } from 'vitest';
import { assessmentOf, type Said } from '../testing/build';
import { composeLimits } from './limits';
import { composeZones } from './zones';

const zone = (name: string, readingFt: number): Said => ({
  kind: 'zone',
  zone: name,
  side: 'far',
  readingFt,
});
const defect = (kind: string, readingFt: number, more: object = {}): Said => ({
  kind: 'defect',
  defect: kind,
  readingFt,
  ...more,
});
const unseen = (cause: string, readingFt: number, toReadingFt: number): Said => ({
  kind: 'unseen',
  cause,
  readingFt,
  toReadingFt,
});
const rows = (...said: readonly Said[]) => {
  const [table] = composeZones(assessmentOf([zone('yard', 0), zone('driveway', 30), ...said]));
  return table!.rows.map((row) => row.slice(0, 5));
};

describe('the line part by part', () => {
  it('is one part for each that lies over it, as long as it is', () => {
    expect(rows()).toEqual([
      ['0', '30', 'yard', 'Nothing found', ''],
      ['30', '60', 'driveway', 'Nothing found', ''],
    ]);
  });

  it('has the worst of what lies in each, a stretch in both that it runs through', () => {
    const both = rows(
      defect('crack', 10, { crackType: 'lengthwise' }),
      defect('collapse', 50),
      defect('crack', 55, { crackType: 'lengthwise' }),
    );
    expect(both.map((row) => row[3])).toEqual(['Moderate', 'Failed']);
    const through = rows(defect('roots', 28, { toReadingFt: 33, extentRatio: 0.6 }));
    expect(new Set(through.map((row) => row[3])).size).toBe(1);
    expect(through[0]![3]).not.toBe('Nothing found');
  });

  it('counts a point on a border to the part below it, and one at the very end to the last', () => {
    expect(rows(defect('collapse', 30)).map((row) => row[3])).toEqual(['Nothing found', 'Failed']);
    expect(rows(defect('collapse', 60)).map((row) => row[3])).toEqual(['Nothing found', 'Failed']);
  });

  it('says how much nobody saw, and finds nothing only where somebody looked', () => {
    expect(rows(unseen('murky', 10, 14)).map((row) => row.slice(3))).toEqual([
      ['Nothing found', '4 feet'],
      ['Nothing found', ''],
    ]);
    expect(rows(unseen('murky', 30, 60)).map((row) => row.slice(3))).toEqual([
      ['Nothing found', ''],
      ['Cannot be told', '30 feet'],
    ]);
    expect(rows(unseen('murky', 30, 60), defect('collapse', 45)).map((row) => row[3])).toEqual([
      'Nothing found',
      'Failed',
    ]);
  });
});

describe('what nobody could see', () => {
  it('is said with its own cause, each stretch its own', () => {
    const texts = composeLimits(
      assessmentOf([zone('yard', 0), unseen('murky', 10, 14), unseen('dirty-lens', 40, 44)]),
    ).join('\n');
    const [murky] = /10 to 14 ft[^\n]*/.exec(texts) ?? [''];
    const [dirty] = /40 to 44 ft[^\n]*/.exec(texts) ?? [''];
    expect(murky).toMatch(/murky/);
    expect(dirty).toMatch(/the lens was dirty/);
    expect(dirty).not.toMatch(/murky/);
  });
});
