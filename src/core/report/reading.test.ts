import { describe, expect, it } from 'vitest';
import { assess } from '../assess';
import { assessmentOf } from '../testing/build';
import { DEMO_NAMES, demoInspection } from '../testing/demo-inspections';
import { defect } from '../testing/rules';
import { compareReports } from './amend';
import type { Block } from './block';
import { composeReport } from './compose';
import { gradeSentences } from './reading-grade';
import { findFirstUses } from './terms';

describe('the grade at which sentences read, by hand', () => {
  // 0.39 · words a sentence + 11.8 · syllables a word − 15.59.
  it.each<[string, string[], number]>([
    ['nothing', [], 0],
    ['six short words', ['The cat sat on the mat.'], 0],
    [
      'nine words, sixteen syllables',
      ['The inspector pushed a camera through the sewer yesterday.'],
      8.9,
    ],
    ['two sentences count as two', ['Water stands here. Nobody knows why.'], 3.3],
    ['a number is read as one', ['It lies at 43.5 ft.'], 0],
  ])('%s', (_, texts, grade) => {
    expect(gradeSentences(texts)).toBeCloseTo(grade, 1);
  });
});

describe.each(DEMO_NAMES)('%s', (name) => {
  const { blocks, readsAtGrade } = composeReport(assess(demoInspection(name)));
  it('reads at grade 8 or below', () => {
    expect(readsAtGrade).toBeLessThanOrEqual(8);
    expect(readsAtGrade).toBeGreaterThan(0);
  });
  it('leads from the first use of a word to its meaning, and explains no word twice', () => {
    const uses = findFirstUses(blocks);
    const terms = blocks.flatMap((block) => (block.kind === 'terms' ? block.terms : []));
    expect(new Set(terms.map(({ word }) => word)).size).toBe(terms.length);
    for (const { text, match, word } of uses) {
      expect(text).toContain(match);
      expect(terms.map((one) => one.word)).toContain(word);
    }
    expect(new Set(uses.map(({ word }) => word)).size).toBe(uses.length);
    expect(uses.map(({ word }) => word)).toContain('Lateral');
  });
});

describe('what a new version says has changed', () => {
  const roots = defect('roots', { extentRatio: 0.2, locus: 'joint' });
  const of = (...said: Parameters<typeof assessmentOf>[0]): readonly Block[] =>
    composeReport(assessmentOf(said)).blocks;
  it('names what is new, gone and graded otherwise, by number', () => {
    const changes = compareReports(
      of(roots),
      of({ ...roots, extentRatio: 0.7 }, defect('hole', { readingFt: 50 })),
    );
    const text = changes.join('\n');
    expect(text).toMatch(/^The headline was “The sewer works\. Plan on upkeep\. /m);
    expect(text).toMatch(/^Finding 1: Failed · repair, was Moderate · upkeep\.$/m);
    expect(text).toMatch(/^Finding 2 is new: Hole in the pipe at 50 ft, major · repair\.$/m);
    expect(text).toMatch(/^The planning range is \$\S+, was \$\S+\.$/m);
    expect(compareReports(of(roots), of()).join()).toContain('Finding 1 is gone: Roots at 30 ft.');
  });
  it('says so when nothing that is read has changed', () => {
    expect(compareReports(of(roots), of(roots))).toEqual([
      'Nothing that you read here has changed.',
    ]);
  });
});
