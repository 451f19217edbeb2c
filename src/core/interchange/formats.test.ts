import { readdirSync, readFileSync } from 'node:fs';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { assess } from '../assess';
import { sayFault } from '../base/fault';
import { CLAY, inspectionOf, MAIN_AT_60, runOf } from '../testing/build';
import { writeCanonical } from './canonical';
import { derivedJson } from './derived-json';
import { readInspectionFile, writeInspectionFile } from './inspection-file';

const good = () => inspectionOf([runOf([CLAY, { kind: 'note', note: 'x' }, MAIN_AT_60])]);
const demo = readdirSync('demo').filter((name) => name.endsWith('.chert.json'));

/** The faults of a good file with one thing changed in its parsed form. */
function faultsAfter(change: (file: any) => void): string[] {
  const file = JSON.parse(writeInspectionFile(good())) as unknown;
  change(file);
  const outcome = readInspectionFile(JSON.stringify(file));
  return outcome.ok ? [] : outcome.faults.map(sayFault);
}

describe('the inspection file', () => {
  it.each(demo)('demo/%s is canonical and round-trips byte for byte', (name) => {
    const text = readFileSync(`demo/${name}`, 'utf8');
    const outcome = readInspectionFile(text);
    expect(outcome.ok && writeInspectionFile(outcome.value)).toBe(text);
  });

  it('keeps unknown keys, at any depth, whatever they hold', () => {
    const extra = fc.dictionary(
      fc.string({ minLength: 1 }).map((key) => `x${key}`),
      fc.jsonValue(),
      { maxKeys: 4 },
    );
    fc.assert(
      fc.property(extra, extra, extra, (top, job, entry) => {
        const file = good();
        const strange = {
          ...top,
          ...file,
          job: { ...job, ...file.job },
          runs: file.runs.map((run) => ({
            ...run,
            entries: run.entries.map((one) => ({ ...entry, ...one })),
          })),
        };
        const text = writeCanonical(strange);
        const outcome = readInspectionFile(text);
        expect(outcome.ok).toBe(true);
        expect(outcome.ok && writeInspectionFile(outcome.value)).toBe(text);
      }),
    );
  });

  it('writes the same bytes whatever order the keys came in', () => {
    const shuffled = JSON.parse(
      `{"settings":{},"zz":1,"job":{"profile":"p","id":"x"},"aa":[{"b":1,"id":2}]}`,
    ) as unknown;
    expect(writeCanonical(shuffled)).toBe(
      '{\n  "job": {\n    "id": "x",\n    "profile": "p"\n  },\n  "settings": {},\n  "aa": [\n    {\n      "id": 2,\n      "b": 1\n    }\n  ],\n  "zz": 1\n}\n',
    );
  });

  it.each<[string, (file: any) => void, string]>([
    ['a missing part', (f) => delete f.property, 'property: expected a value here, got nothing'],
    [
      'another format',
      (f) => (f.format = 'x'),
      'format: expected one of "chert-inspection", got "x"',
    ],
    [
      'a later version',
      (f) => (f.version = 2),
      'version: expected 1, got 2 (this file was written by a newer Chert',
    ],
    ['a version of no number', (f) => (f.version = '1'), 'version: expected one of 1, got "1"'],
    [
      'an unknown kind',
      (f) => (f.runs[0].entries[1].kind = 'blob'),
      'runs[0].entries[1].kind: expected one of flag, material',
    ],
    [
      'a negative reading',
      (f) => (f.runs[0].entries[1].readingFt = -1),
      'runs[0].entries[1].readingFt: expected a number of 0 or more, got -1',
    ],
    [
      'households of text',
      (f) => (f.property.households = 'two'),
      'property.households: expected a number, got "two"',
    ],
    [
      'an access that is not there',
      (f) => (f.runs[0].accessPointId = 'Z'),
      'runs[0].accessPointId: expected the id of an access point in this file, got "Z"',
    ],
    [
      'a reference run that is not there',
      (f) => (f.job.referenceRunId = 'R9'),
      'job.referenceRunId: expected the id of a run in this file, got "R9"',
    ],
    [
      'a correction of nothing',
      (f) => (f.runs[0].entries[1].replaces = 'e9'),
      'runs[0].entries[1].replaces: expected the id of another entry of this run, got "e9"',
    ],
    [
      'two entries of one id',
      (f) => (f.runs[0].entries[1].id = 'e1'),
      'runs[0].entries[1].id: expected an id that no other entry of this run has, got "e1"',
    ],
    [
      'a tie to no run',
      (f) => f.ties.push({ id: 'T', label: '', sightings: [{ runId: 'R9', entryId: 'e1' }] }),
      'ties[0].sightings[0].runId: expected the id of a run in this file',
    ],
    [
      'a setting out of range',
      (f) => (f.settings.eyeShareRatio = 3),
      'settings.eyeShareRatio: expected a number of 1 or less, got 3',
    ],
    [
      'entries that are no list',
      (f) => (f.runs[0].entries = {}),
      'runs[0].entries: expected a list, got an object',
    ],
    [
      'a day that does not exist',
      (f) => (f.job.inspectionPeriodEndsOn = '2026-02-30'),
      'job.inspectionPeriodEndsOn: expected a day of the calendar',
    ],
  ])('refuses %s', (_, change, expected) => {
    const faults = faultsAfter(change);
    expect(faults).toHaveLength(1);
    expect(faults[0]).toContain(expected);
  });

  it('lists every fault, and says how many more there are past two hundred', () => {
    const faults = faultsAfter((file) => {
      file.runs[0].entries = Array.from({ length: 300 }, () => ({ kind: 'blob' }));
    });
    expect(faults).toHaveLength(201);
    expect(faults.at(-1)).toContain('100 more');
  });

  it.each(['', '{', 'null', '[]', '7', '"x"'])('refuses %j as no inspection', (text) => {
    const outcome = readInspectionFile(text);
    expect(outcome.ok).toBe(false);
  });

  it('counts the same entry twice as one', () => {
    const file = good();
    const [run] = file.runs;
    const doubled = { ...file, runs: [{ ...run!, entries: [...run!.entries, run!.entries[1]!] }] };
    const outcome = readInspectionFile(writeInspectionFile(doubled));
    expect(outcome.ok).toBe(true);
    expect(outcome.ok && assess(outcome.value).logs.get('R1')!.standing).toHaveLength(3);
  });
});

describe('what derive prints', () => {
  const KEYS: Record<string, string[]> = {
    '': ['lateral', 'checks', 'findings', 'plans', 'pick', 'report'],
    lateral: [
      'reachedMain',
      'terminus',
      'segments',
      'features',
      'coverage',
      'runs',
      'ties',
      'branches',
    ],
    report: ['overall', 'completeness', 'headline', 'absences', 'limits', 'steps'],
  };

  it.each(demo)('has every promised field for demo/%s, and no number that is none', (name) => {
    const outcome = readInspectionFile(readFileSync(`demo/${name}`, 'utf8'));
    if (!outcome.ok) throw new Error(name);
    const printed = derivedJson(assess(outcome.value)) as Record<string, any>;
    for (const [path, keys] of Object.entries(KEYS)) {
      expect(Object.keys(path ? printed[path] : printed)).toEqual(expect.arrayContaining(keys));
    }
    for (const finding of printed['findings']) {
      expect(Object.keys(finding)).toEqual(
        expect.arrayContaining([
          'id',
          'number',
          'lineId',
          'kind',
          'fromFt',
          'toFt',
          'sigmaFt',
          'severity',
          'action',
          'provisional',
          'verified',
          'courtesy',
          'clockFrom',
          'clockTo',
          'responsibleSide',
          'because',
          'causes',
          'entryIds',
        ]),
      );
    }
    const walk = (value: unknown): void => {
      if (typeof value === 'number') expect(Number.isFinite(value)).toBe(true);
      else if (value !== null && typeof value === 'object') Object.values(value).forEach(walk);
      else expect(value).not.toBe(undefined);
    };
    walk(printed);
  });
});
