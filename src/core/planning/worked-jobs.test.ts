import { describe, expect, it } from 'vitest';
import type { MethodId } from '../catalogue/method-ids';
import { assessmentOf } from '../testing/build';
import { WORKED_JOBS } from '../testing/worked-jobs';
import { planToTell, repairOf } from './repair';

const TALKED: readonly MethodId[] = [
  'look-again',
  'second-opinion',
  'notify-authority',
  'notify-utility-owner',
];

describe('thirty jobs, as a careful contractor would do them', () => {
  it('are thirty', () => {
    expect(WORKED_JOBS).toHaveLength(30);
  });

  it.each(WORKED_JOBS)('$name: $why', ({ said, changes, does, never = [], costs }) => {
    const plan = planToTell(repairOf(assessmentOf(said, changes)));
    const works = plan.works.map(({ method }) => method).filter((one) => !TALKED.includes(one));
    expect(works).toEqual(does);
    for (const method of never) expect(works).not.toContain(method);
    expect(plan.cost.likely).toBeGreaterThanOrEqual(costs[0]);
    expect(plan.cost.likely).toBeLessThanOrEqual(costs[1]);
    expect(plan.complete).toBe(true);
  });
});
