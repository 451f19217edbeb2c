import { readdirSync, readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { assess } from '../assess';
import type { Inspection } from '../model/job/inspection';
import { liftInspection } from '../model/migrations/index';
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
  it('opens, and is written as it is written today: lifted once, and never again', () => {
    const written = writeInspectionFile(open(name));
    expect(written).toBe(
      writeInspectionFile(liftInspection(JSON.parse(textOf(name))) as Inspection),
    );
    const again = readInspectionFile(written);
    expect(again.ok && writeInspectionFile(again.value)).toBe(written);
    // Nothing but what is called otherwise now is changed.
    const calledNow = (text: string) =>
      text
        .replace(/"along": "(?:upstream-end|mid-line|downstream-end)"/g, '"#"')
        .replace(/"alongLine": "(?:house-end|along|near-street)"/g, '"#"');
    const lines = (text: string) => calledNow(text).replace(/,$/gm, '').split('\n').sort();
    expect(lines(written)).toEqual(lines(textOf(name)));
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
    expect(accessPoints.map(({ alongLine }) => alongLine)).toEqual([
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
