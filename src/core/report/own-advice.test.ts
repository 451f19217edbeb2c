import { describe, expect, it } from 'vitest';
import { courseOf } from '../planning/course';
import { repairOf } from '../planning/repair';
import { assessmentOf, CLAY, MAIN_AT_60, type Said } from '../testing/build';
import { composeDocuments } from './documents';
import { composeLookedFor } from './looked-for';
import { composeOwnAdvice } from './own-advice';

const advice = (more: Partial<Said>): Said => ({
  kind: 'advice',
  does: 'liner',
  text: 'clay will need a liner',
  ...more,
});
const itemsOf = (...said: Said[]) =>
  composeOwnAdvice(assessmentOf([CLAY, ...said, MAIN_AT_60])).flatMap((block) =>
    block.kind === 'list' ? block.items : [],
  );

describe('what the inspector advises', () => {
  it.each<[string, Said, string]>([
    [
      'over a stretch',
      advice({ readingFt: 27, toReadingFt: 50 }),
      'From 27 to 50 ft: “clay will need a liner”.',
    ],
    ['at a place', advice({ readingFt: 27 }), 'At 27 ft: “clay will need a liner”.'],
    ['of the whole', advice({ readingFt: null }), 'On the line: “clay will need a liner”.'],
    [
      'against a work',
      advice({ readingFt: 27, not: true, text: "don't line this" }),
      "At 27 ft: “don't line this”.",
    ],
  ])('is told in the words said, %s', (_, said, text) => {
    expect(itemsOf(said)).toEqual([text]);
  });

  it('is not passed on where a stop forbids it, but for the advice against it', () => {
    const pipe: Said = { ...CLAY, material: 'bituminous-fiber' };
    const items = (...said: Said[]) =>
      composeOwnAdvice(assessmentOf([pipe, ...said, MAIN_AT_60])).flatMap((block) =>
        block.kind === 'list' ? block.items : [],
      );
    const cut = advice({ does: 'cut', text: 'cut these roots', readingFt: 30 });
    expect(items(cut)).toEqual([]);
    expect(items({ ...cut, not: true, text: 'never cut this' })).toEqual([
      'At 30 ft: “never cut this”.',
    ]);
  });

  it('stands in the report and in the contractor’s sheet', () => {
    const documents = composeDocuments(assessmentOf([CLAY, advice({ readingFt: 27 }), MAIN_AT_60]));
    expect(JSON.stringify(documents.buyer)).toContain('clay will need a liner');
    expect(JSON.stringify(documents.contractor)).toContain('clay will need a liner');
  });
});

describe('advice where a finding is', () => {
  const gap: Said = { kind: 'defect', defect: 'gap', readingFt: 27, gapIn: 2 };
  const saysOf = (more: Partial<Said>) => {
    const assessment = assessmentOf([CLAY, gap, advice({ readingFt: 27, ...more }), MAIN_AT_60]);
    const finding = assessment.findings.find(({ kind }) => kind === 'gap')!;
    return courseOf(repairOf(assessment), finding).says.map(({ text }) => text);
  };

  it('is told with the finding, with what the plan does otherwise', () => {
    expect(saysOf({ does: 'liner', text: 'line it' })).toContain(
      'The inspector advises: “line it”. The plan here does it another way: weigh both.',
    );
    expect(saysOf({ does: 'dig', text: 'dig it up' })).toContain(
      'The inspector advises: “dig it up”.',
    );
  });

  it('keeps a work that the inspector advises against out of the plans', () => {
    const methods = (more: Partial<Said>) =>
      repairOf(
        assessmentOf([CLAY, gap, advice({ readingFt: 27, ...more }), MAIN_AT_60]),
      ).plans.flatMap(({ works }) => works.map(({ method }) => method));
    expect(methods({ does: 'jet', text: 'jet it' })).toContain('dig');
    expect(methods({ does: 'dig', not: true, text: 'do not dig here' })).not.toContain('dig');
  });
});

describe('advice against a work', () => {
  it('is no difference from what Chert has, where the advice for it would be', () => {
    const roots: Said = { kind: 'defect', defect: 'roots', readingFt: 27, extentRatio: 0.02 };
    const codes = (more: Partial<Said>) =>
      assessmentOf([CLAY, roots, advice({ readingFt: 27, ...more }), MAIN_AT_60]).checks.map(
        ({ code }) => code,
      );
    expect(codes({})).toContain('advice-differs');
    expect(codes({ not: true })).not.toContain('advice-differs');
  });
});

describe('what was looked for and not there', () => {
  const clear = (more: Partial<Said>): Said => ({ kind: 'clear', ...more });
  const told = (...said: Said[]) => composeLookedFor(assessmentOf([CLAY, ...said, MAIN_AT_60]));

  it('is told by stretch, what is alike together', () => {
    expect(
      told(
        clear({ readingFt: 10, toReadingFt: 20, kinds: ['roots'] }),
        clear({ readingFt: 36, kinds: ['roots'] }),
        clear({ readingFt: 40, toReadingFt: 50 }),
      ),
    ).toEqual([
      'The inspector looked for roots from 10 to 20 ft and at 36 ft and saw none.',
      'The inspector looked over the pipe from 40 to 50 ft and saw nothing wrong there.',
    ]);
  });

  it('is not told where a finding, what nobody saw or the end of the run speaks against it', () => {
    const roots: Said = { kind: 'defect', defect: 'roots', readingFt: 15, extentRatio: 0.3 };
    expect(told(clear({ readingFt: 10, toReadingFt: 20, kinds: ['roots'] }), roots)).toEqual([]);
    expect(told(clear({ readingFt: 10, toReadingFt: 20 }), roots)).toEqual([]);
    expect(told(clear({ readingFt: 10, toReadingFt: 20, kinds: ['crack'] }), roots)).toHaveLength(
      1,
    );
    expect(
      told(clear({ readingFt: 10, toReadingFt: 20, kinds: ['roots'] }), {
        kind: 'unseen',
        cause: 'murky',
        readingFt: 12,
        toReadingFt: 14,
      }),
    ).toEqual([]);
    expect(told(clear({ readingFt: 50, toReadingFt: 70, kinds: ['roots'] }))).toEqual([]);
  });
});
