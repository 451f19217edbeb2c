import { readdirSync, readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { assess } from '../assess';
import { compareProfiles } from '../assess-profiles';
import { readInspectionFile } from '../interchange/inspection-file';
import { assessmentOf, CLAY, inspectionOf, MAIN_AT_60, minute, runOf } from '../testing/build';
import { defect, line, lineIn, pool } from '../testing/rules';
import type { Assessment } from './assessment';
import { compareJudgements } from './compare';
import { listToClear } from './to-clear';
import { pictureWholeLine } from './whole-line';

const demo = readdirSync('demo')
  .filter((name) => name.endsWith('.chert.json'))
  .map((name): [string, Assessment] => {
    const outcome = readInspectionFile(readFileSync(`demo/${name}`, 'utf8'));
    if (!outcome.ok) throw new Error(name);
    return [name, assess(outcome.value)];
  });

it.each(demo)('%s: every finding ends in advice or in "No action, because"', (_, { findings }) => {
  for (const { action, advice } of findings) {
    expect(advice.length).toBeGreaterThan(0);
    if (action === 'none') expect(advice[0]!.text).toMatch(/^No action, because .+\.$/);
    else expect(advice.every(({ text }) => text.length > 15)).toBe(true);
  }
});

describe('what rules make of the whole', () => {
  it('is a finding apart from the condition, with a number of its own that logging does not move', () => {
    const narrow = { ...CLAY, diameterIn: 4, readingFt: 30 };
    const before = assessmentOf([narrow]);
    const made = (assessment: Assessment) =>
      assessment.findings.find(({ kind }) => kind === 'layout')!;
    expect(made(before)).toMatchObject({ number: 101, severity: 'moderate', action: 'monitor' });
    const after = assessmentOf([narrow, defect('gap', { gapIn: 0.3, readingFt: 10 })]);
    expect(made(after)).toMatchObject({ number: 101, id: made(before).id });
    expect(after.overall).toBe('serviceable');
  });

  it('re-judges everything that rested on a material once it is corrected', () => {
    const said = [
      { ...CLAY, material: 'abs', certainty: 'suspected' },
      defect('deformation', { extentRatio: 0.04 }),
      defect('roots', { extentRatio: 0.2, locus: 'joint', readingFt: 40 }),
    ];
    const before = assess(inspectionOf([runOf([...said, MAIN_AT_60])]));
    const corrected = { ...CLAY, material: 'bituminous-fiber', replaces: 'e1', at: minute(80) };
    const after = assess(inspectionOf([runOf([...said, MAIN_AT_60, corrected])]));
    const changes = compareJudgements(before, after);
    const of = (kind: string) => changes.find((one) => one.kind === kind)!;
    expect(of('deformation')).toMatchObject({
      action: ['monitor', 'repair'],
      provisional: [true, false],
      material: ['abs', 'bituminous-fiber'],
    });
    expect(of('roots')).toMatchObject({ provisional: [true, false], action: null });
    expect(of('material')).toMatchObject({ change: 'new' });
    expect(compareJudgements(after, after)).toEqual([]);
    expect(compareJudgements(after, before).find(({ kind }) => kind === 'material')).toMatchObject({
      change: 'gone',
    });
  });

  it('draws the whole-house picture: old, renewed, left to mend', () => {
    const inspection = lineIn('vitrified-clay', 6, [
      { ...CLAY, material: 'pvc', readingFt: 40 },
      pool({ fillRatio: 0.5 }),
    ]);
    const { lateral, findings } = assess({
      ...inspection,
      property: { ...inspection.property, yearBuilt: 1950 },
    });
    expect(pictureWholeLine(lateral, findings, { yearBuilt: 1950 })).toEqual({
      original: [{ material: 'vitrified-clay', feet: 40 }],
      renewed: [{ material: 'pvc', feet: 20 }],
      untold: [],
      repairFt: 6,
      pastLifeFt: 0,
    });
    expect(pictureWholeLine(lateral, findings, {}).untold).toHaveLength(2);
  });
});

it('shows where the two profiles part, and what each makes of the whole', () => {
  const inspection = line([
    defect('crack', { form: 'open' }),
    defect('grease', { extentRatio: 0.2, readingFt: 40 }),
  ]);
  const { overall, differ, other } = compareProfiles(assess(inspection));
  expect(other).toBe('renew-first');
  expect(overall).toEqual({
    'maintain-first': 'serviceable-with-upkeep',
    'renew-first': 'repair-needed',
  });
  expect(differ.map(({ kind, action }) => [kind, action])).toEqual([
    ['crack', ['monitor', 'repair']],
  ]);
});

describe('what is to clear', () => {
  it('comes blockers first, then by where one must stand, and says nothing twice', () => {
    const items = listToClear(
      assessmentOf([
        { kind: 'flag', readingFt: 12 },
        { kind: 'water', state: 'running' },
        pool({ fillRatio: 0.3 }),
        defect('break', { form: 'invert-missing', readingFt: 50 }),
        { kind: 'feature', feature: 'tee', serves: 'kitchen', readingFt: 20 },
        defect('grease', { extentRatio: 0.2, readingFt: 21 }),
      ]),
    );
    const ranks = items.map(({ level }) => ['blocker', 'warning', 'question'].indexOf(level));
    expect(ranks).toEqual([...ranks].sort((a, b) => a - b));
    expect(items.filter(({ level }) => level === 'blocker').map(({ stand }) => stand)).toEqual([
      'reel',
      'fixture',
    ]);
    // The locate that the break lacks is asked for by its check, and not by a rule again.
    expect(items.filter(({ message }) => /locate/i.test(message))).toHaveLength(1);
    expect(items.at(-1)).toMatchObject({ level: 'question', stand: 'fixture' });
    expect(new Set(items.map(({ key }) => key)).size).toBe(items.length);
  });

  it('keeps the key of a thing while other things come and go', () => {
    const flag = { kind: 'flag', readingFt: 12 } as const;
    const keys = (assessment: Assessment) => listToClear(assessment).map(({ key }) => key);
    const [key] = keys(assessmentOf([flag]));
    expect(keys(assessmentOf([flag, defect('roots')]))).toContain(key);
  });
});
