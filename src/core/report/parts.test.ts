import { describe, expect, it } from 'vitest';
import { assess } from '../assess';
import { assessmentOf, CLAY, inspectionOf, MAIN_AT_60, runOf, type Said } from '../testing/build';
import { joined, runFrom, tee, tieOf } from '../testing/joined';
import type { Block } from './block';
import { composeReport, sayStep } from './compose';

const defect = (kind: string, more: Record<string, unknown> = {}): Said => ({
  kind: 'defect',
  defect: kind,
  readingFt: 30,
  ...more,
});
const report = (said: Said[], changes: Parameters<typeof assessmentOf>[1] = {}) =>
  composeReport(assessmentOf(said, changes));
const stepsOf = (said: Said[], changes: Parameters<typeof assessmentOf>[1] = {}) =>
  report(said, changes).steps.map(sayStep);
const listOf = (blocks: readonly Block[], title: string) =>
  blocks
    .flatMap((block) => (block.kind === 'list' && block.title === title ? block.items : []))
    .join('\n');
const ENDS = { job: { inspectionPeriodEndsOn: '2026-11-12' } } as const;

describe('next steps', () => {
  it.each<[string, string[], string[]]>([
    ['nothing wrong', stepsOf([]), ['Nothing to do now. Keep this report with the house papers.']],
    [
      'a repair',
      stepsOf([defect('gap', { gapIn: 2 })], ENDS),
      [
        'Get two quotes from licensed drain contractors for finding 1, by Fri 6 Nov.',
        'Ask the seller, in writing, to repair finding 1, or for a credit, by Tue 10 Nov.',
        'After the repair, have the line scoped again to prove it.',
      ],
    ],
    [
      'something urgent, at once',
      stepsOf([defect('collapse')], ENDS).slice(0, 2),
      [
        'Call a licensed drain contractor now about finding 1, by Tue 3 Nov.',
        'Ask the seller, in writing, to repair finding 1, or for a credit, by Tue 10 Nov.',
      ],
    ],
    [
      'a look again before anything is bought',
      stepsOf([defect('unidentified')], ENDS).slice(0, 1),
      ['Have the line drained or cleaned, and finding 1 looked at again, by Thu 5 Nov.'],
    ],
    [
      'a hidden stretch',
      stepsOf([{ kind: 'unseen', cause: 'murky', readingFt: 9, toReadingFt: 14 }], ENDS).slice(
        0,
        1,
      ),
      ['Have the hidden part looked at again, by Thu 5 Nov.'],
    ],
    [
      'upkeep only',
      stepsOf([defect('roots', { extentRatio: 0.05 })]),
      ['After you move in, have finding 1 cleaned.'],
    ],
  ])('for %s', (_, found, expected) => {
    expect(found).toEqual(expected);
  });

  it('have no date after the period is over, and none before the scope', () => {
    expect(
      stepsOf([defect('gap', { gapIn: 2 })], {
        job: { inspectionPeriodEndsOn: '2026-11-02' },
      }).join(),
    ).not.toContain('by ');
    const tight = report([defect('gap', { gapIn: 2 })], {
      job: { inspectionPeriodEndsOn: '2026-11-04' },
    });
    for (const { byOn } of tight.steps) if (byOn) expect(byOn >= '2026-11-03').toBe(true);
  });

  it('ask for the rest of a line that was not reached, and for an end that nobody confirmed', () => {
    const of = (end: Said) =>
      composeReport(assess(inspectionOf([runOf([CLAY, end])]))).steps[0]!.text;
    expect(of({ kind: 'end', reason: 'trap', confirmedBy: 'none', readingFt: 40 })).toContain(
      'rest of the line',
    );
    expect(of({ ...MAIN_AT_60, confirmedBy: 'none' })).toContain('end of the line confirmed');
    expect(composeReport(assess(inspectionOf([]))).steps[0]!.text).toBe('Have the line scoped.');
  });
});

describe('cautions', () => {
  const cautions = (...said: Said[]) => listOf(report(said).blocks, 'Please note');
  const asbestos: Said = {
    kind: 'material',
    side: 'far',
    material: 'asbestos-cement',
    diameterIn: 4,
    readingFt: 20,
  };

  it.each<[string, string, RegExp, boolean]>([
    ['local codes, always', cautions(), /Local codes and licensed practice govern/, true],
    [
      'digging, when something may be dug',
      cautions(defect('gap', { gapIn: 2 })),
      /have the utilities marked/,
      true,
    ],
    ['no digging, when nothing is', cautions(), /utilities marked/, false],
    ['asbestos cement, when there is any', cautions(asbestos), /licensed abatement/, true],
    ['no asbestos, when there is none', cautions(), /abatement/, false],
    [
      'a utility through the sewer',
      cautions(defect('utility-crossing')),
      /A gas line cut by a drain machine kills/,
      true,
    ],
  ])('%s', (_, text, pattern, expected) => {
    expect(pattern.test(text)).toBe(expected);
  });
});

describe('how it was inspected', () => {
  const method = (setup: Parameters<typeof runOf>[1], ...said: Said[]) =>
    listOf(
      composeReport(assess(inspectionOf([runOf([CLAY, MAIN_AT_60, ...said], setup)]))).blocks,
      'How it was inspected',
    );

  it('tells where the camera went in, how far it went, and what was taken off', () => {
    const text = method(
      { zero: { at: 'rim', readingFt: 0, dropFt: 3.5 } },
      { kind: 'home', pass: 'back', readingFt: 0.6 },
    );
    expect(text).toContain(
      'Run R1 went downstream from A, the cleanout (yard), to 60 ft on the counter.',
    );
    expect(text).toContain('The drop of 3.5 ft below the rim is taken off.');
    expect(text).toContain('The counter came home 0.6 ft out');
    expect(text).toContain('“Maintain first”');
  });

  it('says when the counter was not read at home, and nothing of a drop that was not deducted', () => {
    const text = method({ zero: { at: 'riser-base', readingFt: 0, dropFt: 3.5 } });
    expect(text).toContain('was not read when the camera came home');
    expect(text).not.toContain('taken off');
  });
});

describe('remarks beside a finding', () => {
  const remarks = (said: Said, changes = {}, before: Said[] = []) =>
    report([...before, said], changes)
      .blocks.flatMap((block) => (block.kind === 'finding' ? block.remarks : []))
      .join(' ');

  it.each<[string, string, RegExp]>([
    [
      'the range of an eyeballed size',
      remarks(defect('roots', { extentRatio: 0.3 })),
      /Sized by eye, so moderate to major/,
    ],
    [
      'a size that was not logged',
      remarks(defect('roots')),
      /This may change: the share of the pipe/,
    ],
    [
      'doubt',
      remarks(defect('crack', { form: 'open', certainty: 'suspected' })),
      /suspected, not confirmed/,
    ],
    [
      'an end that is open',
      remarks(defect('scale', { extentRatio: 0.2, open: true })),
      /where it ends was not logged/,
    ],
    [
      'a courtesy',
      remarks(defect('crack', { form: 'open' }), {}, [
        { kind: 'feature', feature: 'wall', readingFt: 40 },
      ]),
      /For information only/,
    ],
  ])('%s', (_, text, expected) => {
    expect(text).toMatch(expected);
  });

  it('are none when there is nothing to add', () => {
    expect(remarks(defect('crack', { form: 'open' }))).toBe('');
  });
});

describe('how runs were matched', () => {
  const two = (ties: string[], spans: Parameters<typeof joined>[0]['spans'] = []) =>
    listOf(
      composeReport(
        joined({
          runs: [
            runFrom('R1', 'A', 'downstream', [tee(20), tee(40), MAIN_AT_60]),
            runFrom('R2', 'B', 'upstream', [tee(10), tee(30)]),
          ],
          ties: ties.map((words, index) => tieOf(`T${index + 1}`, words)),
          spans,
        }),
      ).blocks,
      'How it was inspected',
    );
  it('says by what, and how good the footages are', () => {
    expect(two(['R1 2 = R2 1', 'R1 1 = R2 2'])).toMatch(
      /from B were matched to those from A by 2 things that more than one run saw; they are good to about \d(\.\d)? ft/,
    );
    expect(two(['R1 2 = R2 1'])).toMatch(/by one thing that/);
    expect(
      two([], [{ fromAccessPointId: 'A', toAccessPointId: 'B', alongFt: 50, basis: 'taped' }]),
    ).toMatch(/by the taped distance/);
    expect(two([])).not.toMatch(/matched/);
  });
});
