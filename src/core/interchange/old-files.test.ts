import { readdirSync, readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { assess } from '../assess';
import { alongLineOf } from '../model/job/access-point';
import { composeReport } from '../report/compose';
import { traceDocuments } from '../trace/trace';
import { readInspectionFile, writeInspectionFile } from './inspection-file';

const FOLDER = new URL('./old-files/', import.meta.url);
const NAMES = readdirSync(FOLDER).filter((name) => name.endsWith('.chert.json'));
const textOf = (name: string) => readFileSync(new URL(name, FOLDER), 'utf8');

function open(name: string) {
  const outcome = readInspectionFile(textOf(name));
  if (!outcome.ok) throw new Error(JSON.stringify(outcome.faults));
  return outcome.value;
}

/** Files as Chert wrote them before what water ran, how an access lies and what a pipe may be could be said. */
describe.each(NAMES)('the old file %s', (name) => {
  it('opens, and is written back as it was', () => {
    expect(writeInspectionFile(open(name))).toBe(textOf(name));
  });

  it('is judged, with what it does not say unknown', () => {
    const assessment = assess(open(name));
    expect(composeReport(assessment).headline).not.toBe('');
    expect(traceDocuments(assessment)).toEqual([]);
  });
});

describe('what old files call otherwise', () => {
  it('is read as what it is called now', () => {
    const { accessPoints } = open('alder-bend.chert.json');
    expect(accessPoints.map(alongLineOf)).toEqual([
      'house-end',
      'house-end',
      'house-end',
      'near-street',
    ]);
  });

  it('is not made up: a pool before any word of the water is unverified', () => {
    const old = open('alder-bend.chert.json');
    const [run] = old.runs;
    const entries = run!.entries.filter(({ kind }) => kind !== 'water');
    const { findings, checks } = assess({ ...old, runs: [{ ...run!, entries }] });
    expect(findings.find(({ kind }) => kind === 'standing-water')!.verified).toBe(false);
    expect(checks.map(({ code }) => code)).toContain('water-unverified');
  });
});
