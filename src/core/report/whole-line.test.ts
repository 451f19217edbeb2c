import { describe, expect, it } from 'vitest';
import { assess } from '../assess';
import type { Assessment } from '../judge/assessment';
import type { AccessPoint } from '../model/job/access-point';
import { codes, feature, headline, of, paper, wordsOf } from '../testing/barely-said';
import { CLAY, MAIN_AT_60, runOf, type Said } from '../testing/build';
import { joinedInspection, tieOf } from '../testing/joined';
import { defect } from '../testing/rules';
import { composeDocuments } from './documents';
describe('the whole line', () => {
  it.each<[AccessPoint['alongLine'], Assessment['completeness'], RegExp]>([
    ['house-end', 'whole', /^The sewer works\. No work is needed now\. All 60 feet were seen\.$/],
    ['along', 'partial', /not all is settled: the pipe between the house and A was not seen/],
    ['near-street', 'partial', /The pipe between the house and A was not reached/],
    [undefined, 'whole', /All 60 feet from A were seen\.$/],
  ])('above an access %s: %s', (alongLine, completeness, words) => {
    const access = alongLine === undefined ? {} : { alongLine };
    const assessment = of([], { access, run: { waterAtStart: 'none' } });
    expect(assessment.completeness).toBe(completeness);
    expect(headline(assessment)).toMatch(words);
    if (completeness === 'partial') expect(assessment.lateral.coverage.unreachedFt).toBeNull();
  });

  it('names the pipe above by where a run up from a mid-line access ended', () => {
    const up = runOf(
      [
        CLAY,
        defect('roots', { readingFt: 9 }),
        { kind: 'end', reason: 'obstruction', confirmedBy: 'none', readingFt: 15 },
      ],
      { id: 'R2', facing: 'upstream' },
    );
    const assessment = assess(joinedInspection({ runs: [runOf([CLAY, MAIN_AT_60]), up] }));
    const text = wordsOf(assessment);
    expect(text).toContain('the pipe between the house and the point 15 ft upstream of A');
    expect(text).toContain('the roots at 9 ft upstream of A were not sized');
    expect(text).not.toContain('between the house and A');
  });

  it('is the run that reached the main; another is told by itself', () => {
    const short = runOf(
      [CLAY, { kind: 'end', reason: 'lost-push', confirmedBy: 'none', readingFt: 22 }],
      { id: 'R1', accessPointId: 'K' },
    );
    const long = { ...runOf([CLAY, MAIN_AT_60], { id: 'R2', accessPointId: 'A' }) };
    const base = joinedInspection({ runs: [short, long] });
    const { referenceRunId: _chosen, ...job } = base.job;
    const assessment = assess({ ...base, job });
    expect(assessment.lateral.axes.map(({ run }) => run.id)).toEqual(['R2']);
    expect(assessment.lateral.reachedMain).toBe(true);
    expect(wordsOf(assessment)).toContain(
      'Run R1 from K saw 22 feet and is not joined to the rest',
    );
  });

  it('asks where two joined counters put one change of pipe far apart', () => {
    const tee = (readingFt: number) => feature('tee', readingFt);
    const change = (readingFt: number): Said => ({
      kind: 'material',
      side: 'far',
      material: 'pvc',
      diameterIn: 6,
      readingFt,
    });
    const runs = [
      runOf([CLAY, tee(10), change(30), tee(50), MAIN_AT_60]),
      runOf([CLAY, tee(10), change(38), tee(50), MAIN_AT_60], { id: 'R2', accessPointId: 'B' }),
    ];
    const ties = [tieOf('T1', 'R1 2 = R2 2'), tieOf('T2', 'R1 4 = R2 4')];
    expect(codes(assess(joinedInspection({ runs, ties })))).toContain('counters-disagree');
  });

  it('asks for a pipe that nobody was in, at the end of a run', () => {
    expect(
      codes(of([{ kind: 'material', side: 'far', material: 'pvc', diameterIn: 6, readingFt: 60 }])),
    ).toContain('material-zero-length');
  });
});

describe('branches', () => {
  const lines = [
    { id: 'main-line', label: 'house' },
    { id: 'L2', label: 'guest house', joins: 'main-line' },
  ];
  const hole = defect('hole', { form: 'wall-missing', readingFt: 8 });
  const runs = [
    runOf([CLAY, hole, MAIN_AT_60]),
    runOf(
      [
        CLAY,
        { ...hole, readingFt: 12 },
        { kind: 'end', reason: 'join', confirmedBy: 'sight', readingFt: 30 },
      ],
      { id: 'R2', accessPointId: 'G', lineId: 'L2' },
    ),
  ];
  const assessment = assess({ ...joinedInspection({ runs, more: { lines } }) });
  it('say in every document which line a footage is on, and from where it counts', () => {
    const text = paper(assessment);
    expect(text).toContain('At 12 ft from G on the guest house line');
    expect(text).toContain('At 8 ft from A on the house line');
    expect(text).toContain('What the guest house line is made of (feet from G)');
    const { contractor } = composeDocuments(assessment);
    const quote = contractor.find(
      (block) => block.kind === 'table' && block.title === 'What to quote for',
    );
    expect(
      quote?.kind === 'table' &&
        quote.rows.every(([feet]) => /on the (guest )?house line$/.test(feet!)),
    ).toBe(true);
  });

  it('are named in every check', () => {
    const messages = assessment.checks
      .filter(({ code }) => code === 'no-locate')
      .map(({ message }) => message);
    expect(messages.every((text) => / on the (guest )?house line/.test(text))).toBe(true);
    expect(messages).toHaveLength(2);
  });
});
