import { describe, expect, it } from 'vitest';
import { assess } from '../assess';
import type { Purpose } from '../model/job/job';
import { CLAY, inspectionOf, MAIN_AT_60, runOf, type Said } from '../testing/build';
import { defect } from '../testing/rules';
import { composeReport } from './compose';
import { composeHeadline } from './headline';

const YARD: Said = { kind: 'zone', zone: 'yard', side: 'far', readingFt: 0 };
const HOLE = defect('hole', { readingFt: 30 });
const ON_STREET: readonly Said[] = [
  { kind: 'feature', feature: 'property-line', readingFt: 40 },
  { kind: 'zone', zone: 'street', side: 'far', readingFt: 40 },
];

function asked(
  purpose: Purpose,
  said: readonly Said[],
  more: { readonly complaint?: string } = {},
) {
  const one = inspectionOf([runOf([CLAY, YARD, ...said, MAIN_AT_60])]);
  return assess({
    ...one,
    job: { ...one.job, responsibility: 'to-property-line', purpose, ...more },
  });
}
const headline = (...args: Parameters<typeof asked>) => composeHeadline(asked(...args));

describe('the headline answers what was asked', () => {
  it('a buyer must know before closing; nobody else closes', () => {
    expect(headline('purchase', [HOLE])).toMatch(/^Repair one spot before you close\./);
    expect(headline('complaint', [HOLE])).not.toMatch(/close|seller|move in/);
  });

  it('a complaint by its name, whether anything explains it or not', () => {
    const gurgles = { complaint: 'the tub gurgles' };
    expect(headline('complaint', [HOLE], gurgles)).toMatch(
      /^The complaint \(“the tub gurgles”\) may be explained by finding 1\. Repair one spot\./,
    );
    expect(headline('complaint', [], gurgles)).toMatch(
      /^Nothing that was seen explains the complaint \(“the tub gurgles”\)\. /,
    );
  });

  it('an authority is told how the line is, and not what to do before buying', () => {
    expect(headline('authority', [HOLE])).toMatch(/^Repair is needed at one spot\./);
    const collapse = defect('collapse', { readingFt: 30 });
    expect(headline('authority', [collapse])).toMatch(/^Not fit for use: collapsed pipe /);
  });

  it('a look after a repair proves it, or says what stands in the way', () => {
    expect(headline('after-repair', [])).toMatch(/^This look proves the repair: /);
    expect(headline('after-repair', [HOLE])).toMatch(
      /^This look does not prove the repair: finding 1 is not settled by it\. /,
    );
    const wet = asked('after-repair', []);
    const run = { ...wet.inspection.runs[0]!, waterAtStart: 'running' as const };
    expect(composeHeadline(assess({ ...wet.inspection, runs: [run] }))).toMatch(
      /^This look does not prove the repair: it was not seen drained/,
    );
    const pool: Said = {
      kind: 'defect',
      defect: 'standing-water',
      fillRatio: 0.05,
      readingFt: 20,
      toReadingFt: 24,
    };
    expect(headline('after-repair', [pool])).toContain('under standing water was not seen');
    const one = inspectionOf([runOf([CLAY, YARD, { kind: 'end', reason: 'bend', readingFt: 40 }])]);
    const short = assess({ ...one, job: { ...one.job, purpose: 'after-repair' } });
    expect(composeHeadline(short)).toMatch(
      /^This look does not prove the repair: not all of the line was seen/,
    );
  });
});

it('nobody tells the authority to report to the authority', () => {
  const broken = [...ON_STREET, defect('hole', { readingFt: 50 })];
  const words = (purpose: Purpose) => JSON.stringify(composeReport(asked(purpose, broken)).blocks);
  expect(words('purchase')).toContain('Report finding 1 to the sewer authority');
  expect(words('authority')).not.toMatch(/Report (it|finding 1) to the sewer authority/);
  expect(words('authority')).toContain('For the sewer authority to repair: finding 1');
});
