import { describe, expect, it } from 'vitest';
import { assess } from '../assess';
import {
  back,
  codes,
  feature,
  headline,
  home,
  of,
  paper,
  type Setup,
  water,
  wordsOf,
  zone,
} from '../testing/barely-said';
import { inspectionOf, MAIN_AT_60, runOf, type Said } from '../testing/build';
import { defect, pool } from '../testing/rules';
import { composeReport } from './compose';

describe('homecoming', () => {
  const gap = defect('gap', { gapIn: 2, readingFt: 50 });
  it.each<[string, Said[], number, string | null]>([
    ['none moves nothing', [gap], 50, null],
    ['a bare one moves nothing', [gap, home(null)], 50, null],
    ['a small one is shared out', [gap, home(0.6)], 50 - (0.6 * 50) / 119.4, null],
    ['a gross one moves nothing and blocks', [gap, home(39)], 50, 'home-implausible'],
    ['unless somebody accepted it', [gap, home(8, { accepted: true })], 50 - (8 * 50) / 112, null],
  ])('%s', (_, said, atFt, code) => {
    const assessment = of(said, { run: { waterAtStart: 'none' } });
    expect(assessment.findings[0]!.span.fromFt).toBeCloseTo(atFt, 1);
    expect(codes(assessment).includes('home-implausible')).toBe(code !== null);
    if (code) expect(assessment.lateral.coverage.clearFt).toBe(60);
    const isShared =
      said.some(({ kind, readingFt }) => kind === 'home' && readingFt !== null) && code === null;
    expect(wordsOf(assessment).includes('shared out over the footages')).toBe(isShared);
  });
});

describe('water', () => {
  const belly = (more: Partial<Said> = {}) => pool({ fillRatio: 0.4, ...more });
  it.each<[string, Said[], Setup['run'], RegExp, boolean]>([
    ['nobody said', [belly()], {}, /nobody said whether water was running/, false],
    ['none ran', [belly()], { waterAtStart: 'none' }, /with no water running/, true],
    [
      'it ran from the start',
      [belly()],
      { waterAtStart: 'running' },
      /seen while water was running/,
      false,
    ],
    [
      'before the first word of it',
      [belly(), water('running')],
      {},
      /nobody said whether water was running/,
      false,
    ],
    ['drained', [water('drained'), belly()], {}, /after the line had drained/, true],
    [
      'nobody runs any',
      [water('running'), water('none'), belly()],
      {},
      /with no water running/,
      true,
    ],
  ])('%s', (_, said, run, words, verified) => {
    const assessment = of(said, { run: run! });
    expect(assessment.findings[0]!.verified).toBe(verified);
    expect(wordsOf(assessment)).toMatch(words);
    expect(codes(assessment).includes('water-unverified')).toBe(!verified);
    if (!/had drained/.test(words.source)) expect(paper(assessment)).not.toContain('had drained');
  });

  it('takes depth and ends from the sighting that saw it standing', () => {
    const assessment = of([
      water('running'),
      belly({ readingFt: 29.5, toReadingFt: 39.5, fillRatio: 1 }),
      MAIN_AT_60,
      water('drained', { ...back, readingFt: 60 }),
      belly({ readingFt: 38, toReadingFt: 31, fillRatio: 0.2, ...back }),
    ]);
    const [finding] = assessment.findings;
    expect(assessment.findings).toHaveLength(1);
    expect([finding!.span.fromFt, finding!.span.toFt, finding!.severity]).toEqual([
      31,
      38,
      'moderate',
    ]);
    expect(assessment.lateral.coverage.obscuredFt).toBe(0);
  });

  it('is absent only where nothing unnamed may be it', () => {
    const assessment = of([defect('unidentified', { candidates: ['grease', 'vermin'] })], {
      run: { waterAtStart: 'none' },
    });
    for (const kind of ['grease', 'vermin'] as const)
      expect(assessment.absences).not.toContain(kind);
  });

  it('is absent only over feet that were seen drained', () => {
    const wet = of([water('running')]);
    expect(wet.absences).not.toContain('standing-water');
    expect(wordsOf(wet)).toContain('Nobody saw the line drained');
    const dry = of([], { run: { waterAtStart: 'none' } });
    expect(dry.absences).toContain('standing-water');
    const half = of([
      MAIN_AT_60,
      water('drained', { ...back, readingFt: 60 }),
      { ...feature('tee', 20), ...back },
    ]);
    expect(half.absences).not.toContain('standing-water');
    expect(wordsOf(half)).toContain('Whether water stands was seen over 40 feet only');
  });
});

describe('ground', () => {
  const failed = (readingFt: number) =>
    pool({ readingFt, toReadingFt: readingFt + 4, fillRatio: 0.95 });
  it('is not carried on from one word at an indoor cleanout', () => {
    const assessment = of([failed(50)], {
      access: { zone: 'crawlspace' },
      run: { waterAtStart: 'none' },
    });
    expect(assessment.findings[0]!.courtesy).toBe(false);
    expect(assessment.overall).toBe('repair-needed');
    expect(codes(assessment)).toContain('zone-open');
    expect(headline(assessment)).not.toContain('No work');
  });

  it('ends at a logged wall, and what lies inside is told in the headline where it failed', () => {
    const assessment = of([feature('wall', 20), failed(10), zone('yard', 20)], {
      access: { zone: 'crawlspace' },
      run: { waterAtStart: 'none' },
    });
    expect(assessment.findings[0]!.courtesy).toBe(true);
    expect(codes(assessment)).not.toContain('zone-open');
    expect(headline(assessment)).toMatch(
      /Outside what was asked for: low stretch that holds water 10 to 14 ft, in the crawlspace\./,
    );
  });

  it('grades no neighbour for what ends at the limit', () => {
    const assessment = of([
      zone('yard', 0),
      zone('driveway', 30),
      defect('scale', { extentRatio: 0.3, readingFt: 20, toReadingFt: 30 }),
    ]);
    const table = composeReport(assessment).blocks.find(
      (block) => block.kind === 'table' && block.title === 'Part by part',
    );
    expect(table?.kind === 'table' && table.rows.map(([, , name, grade]) => [name, grade])).toEqual(
      [
        ['yard', 'Major'],
        ['driveway', 'Nothing found'],
      ],
    );
  });

  it('cuts what crosses the line of duty, each part with its own side', () => {
    const assessment = of([feature('property-line', 32), failed(30)], {
      job: { responsibility: 'to-property-line' },
      run: { waterAtStart: 'none' },
    });
    expect(
      assessment.findings.map(({ number, span, responsibleSide }) => [
        number,
        span.fromFt,
        span.toFt,
        responsibleSide,
      ]),
    ).toEqual([
      [1, 30, 32, 'owner'],
      [101, 32, 34, 'public'],
    ]);
  });
});

describe('what cannot be', () => {
  it.each<[string, Said[], Setup, RegExp]>([
    [
      'water deeper than its pipe',
      [pool({ fillRatio: undefined, depthIn: 28 })],
      {},
      /\b28 in|933|467/,
    ],
    ['more than the whole pipe', [defect('roots', { extentRatio: 9.3 })], {}, /930/],
    [
      'a locate of 70 ft',
      [defect('break'), { kind: 'locate', depthIn: 842, readingFt: 30 }],
      {},
      /70\.2|842/,
    ],
    ['a footage past any rod', [defect('gap', { gapIn: 1, readingFt: 5280 })], {}, /5,?280/],
    [
      'a pipe that nobody makes',
      [{ kind: 'material', side: 'far', material: 'pvc', diameterIn: 110, readingFt: 40 }],
      {},
      /110 in/,
    ],
    ['a house to be built', [], { property: { yearBuilt: 2087 } }, /2087|-6\d/],
  ])('%s blocks, grades as not logged, and is printed as no fact', (_, said, setup, never) => {
    const assessment = of(said, setup);
    expect(assessment.checks.filter(({ code }) => code === 'implausible')).toHaveLength(1);
    const { blocks, limits } = composeReport(assessment);
    const told = JSON.stringify(blocks.filter((block) => block.kind !== 'columns'));
    expect(told).not.toMatch(never);
    expect(limits.join()).toContain('Still open in the inspector’s notes:');
    for (const { severity } of assessment.findings) expect(severity).not.toBe('failed');
  });
});

describe('headlines and steps', () => {
  it.each<[string, Said[], RegExp]>([
    ['an unsized open joint', [defect('gap')], /the open joint at 30 ft was not sized/],
    [
      'a suspected crack',
      [defect('crack', { form: 'hairline', certainty: 'suspected' })],
      /crack at 30 ft is only suspected/,
    ],
    [
      'a thing with no footage',
      [defect('offset', { offsetIn: 0.2, readingFt: null })],
      /the pipe ends out of line have no footage/,
    ],
  ])('are no better than %s', (_, said, words) => {
    const assessment = of(said, {
      access: { alongLine: 'house-end' },
      run: { waterAtStart: 'none' },
    });
    expect(headline(assessment)).toMatch(words);
    expect(headline(assessment)).not.toContain('No work is needed');
    expect(
      composeReport(assessment)
        .steps.map(({ text }) => text)
        .join(),
    ).not.toContain('Nothing to do now');
    expect(composeReport(assessment).limits.join('\n')).toMatch(words);
  });

  it('pass no pipe that gives way where nobody called what it is made of', () => {
    const unknown: Said = { kind: 'material', side: 'far', material: 'unknown', readingFt: 20 };
    const crack = defect('crack', { form: 'hairline', readingFt: 25 });
    const clay: Said = {
      kind: 'material',
      side: 'far',
      material: 'vitrified-clay',
      diameterIn: 6,
      readingFt: 40,
    };
    expect(of([unknown, crack, clay]).overall).toBe('inconclusive');
    expect(of([unknown, clay, { ...crack, readingFt: 50 }]).overall).toBe('serviceable');
  });

  it('name what is open one by one, and ask for it first', () => {
    const assessment = of([
      { kind: 'flag', readingFt: 9 },
      { kind: 'flag', readingFt: 31 },
    ]);
    const { limits, steps } = composeReport(assessment);
    expect(limits.filter((text) => text.startsWith('Still open'))).toHaveLength(2);
    expect(steps[0]!.text).toContain('settle what is still open');
  });

  it('tell 52 sound feet beside 8 that stood full', () => {
    const assessment = of([pool({ readingFt: 30, toReadingFt: 38, fillRatio: 1 })], {
      run: { waterAtStart: 'none' },
    });
    expect(assessment.absences).toEqual([]);
    expect(wordsOf(assessment)).toContain('52 feet could be seen');
    expect(headline(assessment)).not.toContain('All 60');
  });

  it('give no footage to what nobody gave one', () => {
    const assessment = of([
      { ...feature('tee', 20) },
      defect('crack', { form: 'open', readingFt: null }),
      { ...feature('tee', 44) },
    ]);
    expect(wordsOf(assessment)).toContain('somewhere within 20 to 44 ft, its footage was not said');
  });

  it('never pass a line of unknown pipe', () => {
    const bare = { ...runOf([MAIN_AT_60]), waterAtStart: 'none' as const };
    const assessment = assess(inspectionOf([bare]));
    expect(assessment.overall).toBe('inconclusive');
    expect(headline(assessment)).not.toContain('works');
  });
});
