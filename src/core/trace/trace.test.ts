import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { assess } from '../assess';
import { repairOf } from '../planning/repair';
import { CLAY, inspectionOf, MAIN_AT_60, runOf, type Said } from '../testing/build';
import { DEMO_NAMES, demoInspection } from '../testing/demo-inspections';
import { accessOf } from '../testing/joined';
import { anyMadeInspection } from '../testing/made';
import { gatherSources } from './sources';
import { traceDocuments, traceSaying } from './trace';

/** How many made logs are followed; `npm run -s trace -- --made 2000` follows as many as one wants. */
const MADE = 60;

const lying = (
  text: string,
  said: readonly Said[] = [],
  more: Partial<Parameters<typeof traceSaying>[0]> = {},
) => {
  const inspection = inspectionOf(
    [{ ...runOf([CLAY, ...said, MAIN_AT_60]), waterAtStart: 'unknown' }],
    { accessPoints: [accessOf('A')] },
  );
  const assessment = assess(inspection);
  const sources = gatherSources(assessment, repairOf(assessment));
  return traceSaying(
    { where: '', text, isQuoted: false, isFeet: false, ...more },
    sources,
    assessment,
  ).map(({ claim }) => claim);
};

describe('the tracer', () => {
  it.each<[string, string, readonly Said[], readonly string[]]>([
    [
      'a footage that nobody said',
      'Roots at 47 ft.',
      [{ kind: 'defect', defect: 'roots', readingFt: 30 }],
      ['47 ft'],
    ],
    [
      'one end of a stretch',
      '30 to 41 ft',
      [{ kind: 'defect', defect: 'scale', readingFt: 30, toReadingFt: 36 }],
      ['41 ft'],
    ],
    [
      'a size',
      'Water stands 3 inches deep.',
      [{ kind: 'defect', defect: 'standing-water', readingFt: 30, depthIn: 2 }],
      ['3 in'],
    ],
    [
      'a share',
      'Roots fill about 60% of the pipe.',
      [{ kind: 'defect', defect: 'roots', readingFt: 30, extentRatio: 0.2 }],
      ['60 %'],
    ],
    [
      'a finding',
      'Get two quotes for findings 1 and 7.',
      [{ kind: 'defect', defect: 'roots', readingFt: 30 }],
      ['finding 7'],
    ],
    [
      'all of a line with a hidden part',
      'All 60 feet were seen.',
      [{ kind: 'unseen', cause: 'murky', readingFt: 10, toReadingFt: 14 }],
      ['all'],
    ],
    [
      'no roots where there are',
      'Over the 60 feet seen: no roots or cracks.',
      [{ kind: 'defect', defect: 'roots', readingFt: 30 }],
      ['no roots'],
    ],
    [
      'no water in a line that nobody drained',
      'Over the 60 feet seen: no standing water.',
      [],
      ['no standing water'],
    ],
    ['a drain that nobody saw', 'Water stands, after the line had drained.', [], ['drained']],
    ['no water running', 'Water stands, with no water running.', [], ['no water running']],
    [
      'a ground that nobody named',
      'At 30 ft, under the driveway.',
      [{ kind: 'note', note: 'x', readingFt: 30 }],
      ['driveway'],
    ],
    [
      'nothing to do over what is open',
      'No work is needed now.',
      [{ kind: 'flag', readingFt: 9 }],
      ['no work'],
    ],
  ])('finds %s', (_, text, said, claims) => {
    expect(lying(text, said)).toEqual(claims);
  });

  it('reads a table’s feet, and leaves alone what people said', () => {
    expect(lying('47.3', [], { isFeet: true })).toEqual(['47.3 ft']);
    expect(lying('Cleaned: “roots at 47 ft, under the driveway”', [], { isQuoted: true })).toEqual(
      [],
    );
  });

  it.each(DEMO_NAMES)('finds nothing in the documents of %s', (name) => {
    expect(traceDocuments(assess(demoInspection(name)))).toEqual([]);
  });

  it('finds nothing in the documents of made logs', () => {
    fc.assert(
      fc.property(anyMadeInspection, (inspection) => {
        expect(traceDocuments(assess(inspection))).toEqual([]);
      }),
      { numRuns: MADE },
    );
  });
});
