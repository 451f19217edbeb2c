import { readdirSync, readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { assess } from '../assess';
import { totalFt } from '../base/interval';
import { readInspectionFile } from '../interchange/inspection-file';
import type { Assessment } from '../judge/assessment';
import { seenDry } from '../lateral/seen-dry';
import { assessmentOf, CLAY, inspectionOf, MAIN_AT_60, runOf, type Said } from '../testing/build';
import {
  federalHolidays,
  isWorkingDay,
  sayDay,
  workingDaysBefore,
  workingDaysLeft,
} from './calendar';
import { composeReport } from './compose';

const demo = readdirSync('demo')
  .filter((name) => name.endsWith('.chert.json'))
  .map((name): [string, Assessment] => {
    const outcome = readInspectionFile(readFileSync(`demo/${name}`, 'utf8'));
    if (!outcome.ok) throw new Error(name);
    return [name, assess(outcome.value)];
  });

describe('working days', () => {
  it('knows the federal holidays of 2026 as they are kept', () => {
    expect(federalHolidays(2026).sort()).toEqual(
      [
        '2026-01-01',
        '2026-01-19',
        '2026-02-16',
        '2026-05-25',
        '2026-06-19',
        '2026-07-03',
        '2026-09-07',
        '2026-10-12',
        '2026-11-11',
        '2026-11-26',
        '2026-12-25',
      ].sort(),
    );
  });

  it.each<[string, boolean]>([
    ['2026-11-11', false],
    ['2026-11-12', true],
    ['2026-11-14', false],
    ['2026-07-03', false],
    ['2021-12-31', false],
  ])('%s is a working day: %s', (day, expected) => {
    expect(isWorkingDay(day)).toBe(expected);
  });

  it('counts back over weekends and holidays', () => {
    expect(workingDaysBefore('2026-11-12', 0)).toBe('2026-11-12');
    // Thu 12 back one: Wed 11 is Veterans Day, so Tue 10.
    expect(workingDaysBefore('2026-11-12', 1)).toBe('2026-11-10');
    expect(workingDaysBefore('2026-11-12', 4)).toBe('2026-11-05');
    expect(workingDaysBefore('2026-11-15', 0)).toBe('2026-11-13');
    expect(workingDaysLeft('2026-11-03', '2026-11-12')).toBe(6);
    expect(workingDaysLeft('2026-11-12', '2026-11-12')).toBe(0);
    expect(sayDay('2026-11-12')).toBe('Thu 12 Nov');
  });
});

describe('the headline', () => {
  const headline = (...said: Said[]) => composeReport(assessmentOf(said)).headline;
  const gap: Said = { kind: 'defect', defect: 'gap', gapIn: 2, readingFt: 30 };

  it.each<[string, string, string]>([
    ['a sound line', headline(), 'The sewer works. No work is needed now. All 60 feet were seen.'],
    ['one repair', headline(gap), 'Repair one spot before you close. All 60 feet were seen.'],
    [
      'a repair and a hidden stretch',
      headline(gap, { kind: 'unseen', cause: 'murky', readingFt: 10, toReadingFt: 14 }),
      'Repair one spot before you close. Four feet went unseen.',
    ],
    [
      'a collapse',
      headline({ kind: 'defect', defect: 'collapse', readingFt: 30 }),
      'Act now: collapsed pipe at 30 ft. All 60 feet were seen.',
    ],
    [
      'water not verified',
      headline(
        { kind: 'water', state: 'running' },
        {
          kind: 'defect',
          defect: 'standing-water',
          fillRatio: 0.4,
          readingFt: 20,
          toReadingFt: 26,
        },
      ),
      'Have it looked at again before you decide. All 60 feet were seen, but for the bottom of 6 feet under water.',
    ],
  ])('of %s says what to do and how much was seen', (_, found, expected) => {
    expect(found).toBe(expected);
  });

  it('never promises an end that nobody confirmed', () => {
    const unsure = assess(inspectionOf([runOf([CLAY, { ...MAIN_AT_60, confirmedBy: 'none' }])]));
    const { headline: text, limits } = composeReport(unsure);
    expect(text).toContain('Nobody confirmed');
    expect(limits.join()).toContain('Nobody confirmed that the line ends at the city main');
  });
});

describe('steps', () => {
  it('are dated back from the end of the inspection period, on working days', () => {
    const { steps } = composeReport(demo.find(([name]) => name.startsWith('alder'))![1]);
    expect(steps.filter(({ byOn }) => byOn).map(({ byOn }) => byOn)).toEqual([
      '2026-11-06',
      '2026-11-06',
      '2026-11-10',
    ]);
  });

  it('send a public-side finding to the authority, not to the owner’s works', () => {
    const assessment = assessmentOf(
      [
        { kind: 'feature', feature: 'property-line', readingFt: 40 },
        { kind: 'defect', defect: 'gap', gapIn: 2, readingFt: 50 },
      ],
      { job: { responsibility: 'to-property-line' } },
    );
    const text = composeReport(assessment)
      .steps.map((step) => step.text)
      .join(' ');
    expect(assessment.overall).toBe('repair-needed');
    expect(text).toContain('Report finding 1 to the sewer authority');
    expect(text).not.toContain('quotes');
  });
});

describe('every demo report', () => {
  it.each(demo)('%s: says everything once, contradicts nothing', (_, assessment) => {
    const { blocks, steps } = composeReport(assessment);
    const text = JSON.stringify(blocks);
    expect(text).not.toMatch(/undefined|NaN|null ft|\[object/);
    const findings = blocks.filter((block) => block.kind === 'finding');
    expect(findings.flatMap(({ places }) => places.map(({ number }) => number)).sort()).toEqual(
      assessment.findings.map(({ number }) => number).sort(),
    );
    for (const finding of findings) {
      expect(finding.sentences.length).toBeGreaterThanOrEqual(2);
      expect(new Set(finding.sentences).size).toBe(finding.sentences.length);
      expect(finding.sentences.every((sentence) => sentence.endsWith('.'))).toBe(true);
    }
    for (const kind of assessment.absences) {
      expect(assessment.findings.map((finding) => finding.kind)).not.toContain(kind);
    }
    expect(steps.length).toBeGreaterThan(0);
    expect(steps.every(({ byOn }) => byOn === null || isWorkingDay(byOn))).toBe(true);
  });

  it.each(demo)('%s: every footage in it is in the log or computed from it', (_, assessment) => {
    const known = new Set<number>();
    const add = (value: number | null | undefined) => {
      if (typeof value === 'number')
        for (const near of [Math.floor(value), Math.round(value), Math.ceil(value)])
          known.add(Math.abs(near));
    };
    const { lateral } = assessment;
    for (const { span } of assessment.findings)
      [span.fromFt, span.toFt, span.toFt - span.fromFt].forEach(add);
    for (const part of [...lateral.coverage.obscured, ...lateral.segments])
      [part.fromFt, part.toFt].forEach(add);
    const { clearFt, obscuredFt, unreachedFt } = lateral.coverage;
    [
      clearFt,
      obscuredFt,
      unreachedFt,
      clearFt + obscuredFt,
      obscuredFt + (unreachedFt ?? 0),
      clearFt + obscuredFt + (unreachedFt ?? 0),
    ].forEach(add);
    add(totalFt(seenDry(lateral)));
    for (const { offFt, sigmaFt } of lateral.join.misfits) [offFt, sigmaFt].forEach(add);
    for (const { home } of lateral.axes) [home.farthestFt, home.misclosureFt].forEach(add);
    assessment.inspection.runs.forEach(({ zero }) => add(zero.dropFt));
    // What a mark is found by is said in the inspector's own feet.
    for (const { log, placeOf } of lateral.axes)
      for (const entry of log.standing)
        if (entry.kind === 'locate') {
          add(placeOf(entry.pass, entry.readingFt ?? 0).stationFt);
          add((entry.depthIn ?? 0) / 12);
          (entry.swings ?? []).forEach(({ distanceFt }) => add(distanceFt));
          for (const [said] of `${entry.mark} ${entry.reference}`.matchAll(/\d+/g))
            add(Number(said));
        }
    for (const { log, placeOfEntry } of lateral.axes)
      for (const entry of log.standing.filter(({ kind }) => kind === 'surface'))
        add(placeOfEntry(entry).from.stationFt);
    const lengths = new Map<string, number>();
    for (const { material, fromFt, toFt } of lateral.segments)
      lengths.set(material, (lengths.get(material) ?? 0) + toFt - fromFt);
    [...lengths.values()].forEach(add);
    const mended = assessment.findings.filter(({ action }) => /repair|urgent/.test(action));
    add(mended.reduce((sum, { span }) => sum + span.toFt - span.fromFt, 0));
    for (const { fromFt, toFt } of lateral.segments) add(toFt - fromFt);
    const blocks = composeReport(assessment).blocks.filter(({ kind }) => kind !== 'table');
    const feet = [
      ...JSON.stringify(blocks).matchAll(/(\d+(?:\.\d+)?)(?: to (\d+))? (?:ft|feet|foot)\b/g),
    ].flatMap(([, a, b]) => [a, b].filter(Boolean).map(Number));
    for (const foot of feet) expect([foot, known.has(Math.round(foot))]).toEqual([foot, true]);
  });
});
