import { describe, expect, it } from 'vitest';
import { assess } from '../../assess';
import { checkInspection } from '../../interchange/inspection-file';
import { readDemoLaterals } from '../../testing/demo-laterals';
import { generateLateral } from '../generate';
import type { LateralTruth } from '../truth';
import { compareWithTruth, listTrueThings, originsOf } from './compare';
import { planRuns, scopeLateral } from './scope-lateral';

const scoped = (truth: LateralTruth, seed: number) => {
  const plans = planRuns(truth);
  const inspection = scopeLateral(truth, plans, seed);
  return {
    inspection,
    plans,
    ...compareWithTruth(truth, assess(inspection), originsOf(truth, plans)),
  };
};

describe.each(readDemoLaterals().map((truth) => [truth.id, truth] as const))('%s', (_id, truth) => {
  const { inspection, rows, unexplained } = scoped(truth, 11);
  it('is scoped by script into a file that Chert takes', () => {
    expect(checkInspection(inspection)).toMatchObject({ ok: true });
  });
  it('is assessed as the truth: nothing seen is missed, nothing is made up', () => {
    expect(rows.filter(({ outcome }) => outcome === 'missed')).toEqual([]);
    expect(unexplained.map(({ kind, span }) => [kind, span])).toEqual([]);
    expect(rows.some(({ outcome }) => outcome === 'found')).toBe(true);
  });
  it('places what it found within three σ', () => {
    for (const { errorFt, sigmaFt } of rows) {
      if (errorFt !== null) expect(Math.abs(errorFt)).toBeLessThanOrEqual(3 * sigmaFt!);
    }
  });
});

describe('characters', () => {
  const byId = new Map(readDemoLaterals().map((truth) => [truth.id, truth]));
  const outcomes = (id: string) => {
    const { inspection, rows } = scoped(byId.get(id)!, 3);
    return { assessment: assess(inspection), rows };
  };
  it('the line under water is mostly unseen, and nobody calls it whole', () => {
    const { assessment, rows } = outcomes('marsh-end');
    const { clearFt, obscuredFt } = assessment.lateral.coverage;
    expect(obscuredFt).toBeGreaterThan(clearFt);
    expect(rows.filter(({ outcome }) => outcome === 'unseen').length).toBeGreaterThan(1);
  });
  it('the studio line holds three pools before it joins the house', () => {
    const pools = listTrueThings(byId.get('slab-court')!).filter(
      ({ kind, lineId, toFt, fromFt }) =>
        kind === 'standing-water' && lineId === 'studio' && toFt - fromFt > 1,
    );
    expect(pools).toHaveLength(3);
  });
  it('the new plastic line is whole and dry', () => {
    const { assessment } = outcomes('fern-row');
    expect(assessment.lateral.reachedMain).toBe(true);
    expect(assessment.findings.map(({ kind }) => kind).sort()).toEqual(['debris', 'offset']);
  });
});

describe('made laterals', () => {
  it.each([1, 2, 3, 4, 5, 6, 7, 8])('number %i is assessed as its truth', (seed) => {
    const { rows, unexplained } = scoped(generateLateral(seed), seed);
    expect(rows.filter(({ outcome }) => outcome === 'missed')).toEqual([]);
    expect(unexplained.map(({ kind, span }) => [kind, span])).toEqual([]);
  });
});
