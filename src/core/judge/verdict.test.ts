import { describe, expect, it } from 'vitest';
import { assess } from '../assess';
import type { Action, Severity } from '../catalogue/severity/grade';
import { assessmentOf, CLAY, inspectionOf, runOf, type Said } from '../testing/build';

const defect = (kind: string, more: Record<string, unknown> = {}): Said => ({
  kind: 'defect',
  defect: kind,
  readingFt: 30,
  ...more,
});

describe('the verdict', () => {
  const overall = (...said: Said[]) => assessmentOf(said).overall;
  it.each<[string, string, string]>([
    ['nothing wrong', overall(), 'serviceable'],
    ['upkeep', overall(defect('roots', { extentRatio: 0.05 })), 'serviceable-with-upkeep'],
    [
      'a look again',
      overall(defect('unidentified'), defect('roots', { extentRatio: 0.05 })),
      'inconclusive',
    ],
    ['a blocker open', overall({ kind: 'flag', readingFt: 9 }), 'inconclusive'],
    [
      'over a tenth hidden',
      overall({ kind: 'unseen', cause: 'murky', readingFt: 20, toReadingFt: 26.1 }),
      'inconclusive',
    ],
    [
      'a tenth hidden',
      overall({ kind: 'unseen', cause: 'murky', readingFt: 20, toReadingFt: 26 }),
      'serviceable',
    ],
    [
      'repair, whatever is open',
      overall(defect('gap', { gapIn: 2 }), { kind: 'flag', readingFt: 9 }),
      'repair-needed',
    ],
    [
      'a fixture that backs up',
      overall({ kind: 'flow-test', fixture: 'tub', result: 'backs-up' }),
      'not-serviceable',
    ],
    [
      'urgent before repair',
      overall(defect('gap', { gapIn: 2 }), defect('collapse', { readingFt: 44 })),
      'not-serviceable',
    ],
  ])('with %s', (_, found, expected) => {
    expect(found).toBe(expected);
  });

  it('is inconclusive without a confirmed end, and partial', () => {
    const assessment = assess(
      inspectionOf([
        runOf([CLAY, { kind: 'end', reason: 'main', confirmedBy: 'none', readingFt: 60 }]),
      ]),
    );
    expect([assessment.overall, assessment.completeness]).toEqual(['inconclusive', 'partial']);
  });

  it('calls absent only what is nowhere found, suspected or competing, and nothing when too much was hidden', () => {
    const { absences } = assessmentOf([
      defect('crack', { certainty: 'cannot-tell' }),
      defect('standing-water', {
        fillRatio: 0.2,
        holdsDebris: true,
        readingFt: 40,
        toReadingFt: 44,
      }),
    ]);
    expect(absences).toContain('roots');
    for (const kind of ['crack', 'standing-water', 'debris', 'unidentified'] as const)
      expect(absences).not.toContain(kind);
    expect(
      assessmentOf([{ kind: 'unseen', cause: 'murky', readingFt: 20, toReadingFt: 30 }]).absences,
    ).toEqual([]);
    expect(assess(inspectionOf([])).absences).toEqual([]);
  });

  it('changes nothing when what is known is said again', () => {
    const roots = defect('roots', { extentRatio: 0.3 });
    const grades = (...said: Said[]) =>
      assessmentOf(said).findings.map(({ kind, severity, action }): [string, Severity, Action] => [
        kind,
        severity,
        action,
      ]);
    expect(grades(roots, { ...roots, pass: 'back' })).toEqual(grades(roots));
  });
});
