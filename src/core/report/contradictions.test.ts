import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { assess } from '../assess';
import { repairOf } from '../planning/repair';
import { assessmentOf, CLAY, MAIN_AT_60 } from '../testing/build';
import { DEMO_NAMES, demoInspection } from '../testing/demo-inspections';
import { anyMadeInspection } from '../testing/made';
import { defect, pool } from '../testing/rules';
import { anyScopedLine } from '../testing/scoped-line';
import { composeReport, type Report } from './compose';
import { findContradictions } from './contradictions';

const RUNS = { numRuns: Number(process.env['MADE_LINES'] ?? 150) };

describe('one voice', () => {
  it.each(DEMO_NAMES)('in every document of %s', (name) => {
    expect(findContradictions(assess(demoInspection(name)))).toEqual([]);
  });

  it('on lines made by chance', () => {
    for (const any of [anyScopedLine, anyMadeInspection])
      fc.assert(
        fc.property(any, (inspection) => {
          expect(findContradictions(assess(inspection))).toEqual([]);
        }),
        RUNS,
      );
  });
});

describe('the finder', () => {
  const assessment = assessmentOf([
    CLAY,
    defect('roots', { extentRatio: 0.2, locus: 'joint', readingFt: 20 }),
    pool({ fillRatio: 0.5 }),
    MAIN_AT_60,
  ]);
  const report = composeReport(assessment);
  /** What is found once the words of a finding, or the steps, are others. */
  const foundIn = (changed: Report) =>
    findContradictions(assessment, repairOf(assessment), changed).map(({ what }) => what);
  const saying = (number: number, more: string, price?: string): Report => ({
    ...report,
    blocks: report.blocks.map((block) =>
      block.kind === 'finding' && block.number === number
        ? {
            ...block,
            sentences: [...block.sentences, more],
            price: price ?? block.price,
          }
        : block,
    ),
  });
  const [sag, roots] = ['standing-water', 'roots'].map(
    (kind) => assessment.findings.find((one) => one.kind === kind)!.number,
  ) as [number, number];

  it.each<[string, Report, RegExp]>([
    ['a work that the plan does not do', saying(sag, 'Have it jetted.'), /asks for jet/],
    ['no work beside a work', saying(sag, 'No work now.'), /no work is needed beside a work/],
    ['two times', saying(sag, 'Have it dug up after you move in.'), /done before/],
    [
      'two intervals',
      saying(roots, 'Come back once a year, then about every 5 years.'),
      /two intervals/,
    ],
    [
      'a step for nothing',
      {
        ...report,
        steps: [...report.steps, { text: 'Get two quotes for finding 99.', byOn: null }],
      },
      /a step names no finding: 99/,
    ],
    ['a finding without a step', { ...report, steps: [] }, /no step is for finding/],
    [
      'steps out of order',
      {
        ...report,
        steps: [
          ...report.steps,
          { text: 'A.', byOn: '2026-11-09' },
          { text: 'B.', byOn: '2026-11-05' },
        ],
      },
      /due before the one before it/,
    ],
  ])('finds %s', (_, changed, what) => {
    expect(foundIn(report)).toEqual([]);
    expect(foundIn(changed).join('\n')).toMatch(what);
  });
});
