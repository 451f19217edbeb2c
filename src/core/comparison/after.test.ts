import { describe, expect, it } from 'vitest';
import { assess } from '../assess';
import { composeBeforeAfter } from '../report/before-after';
import { CLAY, inspectionOf, runOf, type Said } from '../testing/build';
import { demoInspection } from '../testing/demo-inspections';
import { defect } from '../testing/rules';
import { alignLines } from './align-lines';
import { compareLooks } from './compare-looks';

const look = (said: readonly Said[], byFt = 0) => {
  const moved = said.map((one) => ({
    ...one,
    readingFt: (one['readingFt'] as number) + byFt,
    ...(one['toReadingFt'] === undefined
      ? {}
      : { toReadingFt: (one['toReadingFt'] as number) + byFt }),
  }));
  const end = { kind: 'end', reason: 'main', confirmedBy: 'sight', readingFt: 60 + byFt } as const;
  const line = { kind: 'feature', feature: 'property-line', readingFt: 45 + byFt } as const;
  return assess(inspectionOf([runOf([CLAY, line, ...moved, end])]));
};

const roots = defect('roots', { extentRatio: 0.6, locus: 'barrel', readingFt: 30 });
const crack = defect('crack', { form: 'open', readingFt: 50 });
const pool = defect('standing-water', { toReadingFt: 24, depthIn: 3, readingFt: 18 });
const newPipe: Said = {
  kind: 'material',
  side: 'far',
  material: 'pvc',
  diameterIn: 6,
  readingFt: 27,
};
const oldPipe: Said = { ...CLAY, readingFt: 33 };
const watered: Said[] = [
  { kind: 'water', state: 'running', readingFt: 10 },
  { kind: 'water', state: 'drained', readingFt: 10 },
];
const fatesOf = (before: readonly Said[], after: readonly Said[], byFt = 0) =>
  compareLooks(look(before), look(after, byFt)).fates;

describe('a look after repair, beside the one before', () => {
  it('lays the two over each other by what does not move', () => {
    expect(alignLines(look([]).lateral, look([], 7).lateral)).toEqual({
      offsetFt: 7,
      spreadFt: 0,
      count: 2,
    });
    expect(alignLines(assess(inspectionOf([])).lateral, look([]).lateral).count).toBe(0);
  });

  it('says what is repaired, with the pipe that lies there now, from another access too', () => {
    const [fate] = fatesOf([roots], [newPipe, oldPipe], 7);
    expect(fate).toMatchObject({ fate: 'gone', pipe: { material: 'pvc' } });
  });

  it('says what is there still, and how it is graded now', () => {
    const [fate] = fatesOf([roots], [{ ...roots, extentRatio: 0.05 }], 7);
    expect(fate).toMatchObject({ fate: 'there', now: { severity: 'moderate' } });
  });

  it('calls nothing gone that was not seen, and no sag without water run and drained', () => {
    const hidden: Said = { kind: 'unseen', cause: 'murky', readingFt: 26, toReadingFt: 34 };
    expect(fatesOf([roots], [hidden])[0]).toMatchObject({ fate: 'unproven', because: 'not-seen' });
    expect(fatesOf([pool], [])[0]).toMatchObject({ fate: 'unproven', because: 'no-water' });
    expect(fatesOf([pool], watered)[0]).toMatchObject({ fate: 'gone', pipe: null });
  });

  it('names what is new, and matches one to one', () => {
    const { fates, fresh } = compareLooks(
      look([roots]),
      look([{ ...roots, readingFt: 31 }, { ...roots, readingFt: 29.5 }, crack]),
    );
    expect(fates.map(({ fate }) => fate)).toEqual(['there']);
    expect(fresh.map(({ kind }) => kind).sort()).toEqual(['crack', 'roots']);
  });

  it('finds every finding of a job again in the same job', () => {
    const same = assess(demoInspection('alder-bend'));
    const { fates, fresh } = compareLooks(same, same);
    expect(fates.every(({ fate }) => fate === 'there')).toBe(true);
    expect(fresh).toEqual([]);
  });

  it('tells it in a table, with what it could not prove', () => {
    const [table] = composeBeforeAfter(look([roots, pool]), look([newPipe, oldPipe, crack]));
    expect(table).toMatchObject({
      kind: 'table',
      title: 'Before and after: since 3 November 2026',
    });
    const text = JSON.stringify(table);
    expect(text).toContain('Repaired: PVC plastic lies there now.');
    expect(text).toContain('no water was run and drained');
    expect(text).toContain('1 of 2 are gone, 0 still there, 1 not proved.');
    expect(text).toContain('New since then: crack at 50 ft (finding 1).');
  });
});
