import { describe, expect, it } from 'vitest';
import { assess } from '../assess';
import type { Inspection } from '../model/job/inspection';
import { type Said } from '../testing/build';
import { demoInspection } from '../testing/demo-inspections';
import { alder, locate, repair, zone } from '../testing/repairs';
import { defect, pool } from '../testing/rules';
import { addWhatComesFirst, planOwn, workFor } from './own-plan';
import { evidenceOfPlan, repairOf, withOwnPlan } from './repair';
describe('a choice in place of the pick', () => {
  const chosen = (evidence: readonly string[]): Inspection => {
    const first = demoInspection('alder-bend');
    return {
      ...first,
      decisions: [
        {
          id: 'D',
          kind: 'choose-plan',
          reason: 'the seller pays',
          planId: 'fix-failing',
          evidence,
        },
      ],
    };
  };
  it('stands while the plan is the same, and says what changed when it is not', () => {
    const now = evidenceOfPlan(alder().plans[1]!);
    expect(repairOf(assess(chosen(now))).chosen).toMatchObject({
      planId: 'fix-failing',
      changed: [],
    });
    const { changed } = repairOf(assess(chosen(['Dig and replace, 1.0 to 2.0 ft']))).chosen!;
    expect(changed[0]).toBe('was Dig and replace, 1.0 to 2.0 ft');
    expect(changed).toContain(`now ${now[0]}`);
  });
});

describe('a plan of one’s own', () => {
  const all = repair([
    zone('yard', 0),
    pool({ fillRatio: 0.5 }),
    defect('roots', { extentRatio: 0.4, readingFt: 50 }),
  ]);
  const sag = all.site.owned.find(({ kind }) => kind === 'standing-water')!;
  const own = (method: Parameters<typeof workFor>[2], change = {}) => ({
    ...workFor(all.site, sag, method),
    ...change,
  });

  it.each<[string, ReturnType<typeof own>, string[]]>([
    ['a dig from where grade is lost to where it is recovered', own('dig'), []],
    ['a dig that stops short', own('dig', { toFt: 34 }), ['short']],
    ['a liner over a sag, with no cleaning', own('liner'), ['first', 'passes']],
    ['a floor broken in open ground', own('slab-break'), ['ground']],
  ])('%s', (_, work, rules) => {
    const { broken, plan } = planOwn(all.site, [work]);
    expect([...new Set(broken.map(({ rule }) => rule))].sort()).toEqual(rules);
    expect(plan.works[0]!.cures.includes(sag.id)).toBe(rules.length === 0);
    for (const { text } of broken) expect(text).toMatch(/^[A-Z].*\.$/);
  });

  it('adds what must come first, once', () => {
    const whole = addWhatComesFirst(all.site, [own('liner')]);
    expect(whole.map(({ method }) => method)).toEqual(['liner', 'jet']);
    expect(addWhatComesFirst(all.site, whole)).toEqual(whole);
    expect(planOwn(all.site, whole).broken.map(({ rule }) => rule)).toEqual(['passes']);
  });

  it('is weighed beside the others and never picked', () => {
    const with4 = withOwnPlan(all, [own('dig')]);
    expect(with4.plans).toHaveLength(4);
    expect(with4.pick.weighed.map(({ planId }) => planId)).toContain('own');
    expect(with4.pick.planId).not.toBe('own');
    expect(withOwnPlan(with4, null).plans).toEqual(all.plans);
  });

  it('may not dig where nobody knows yet what is wrong', () => {
    const open = repair([
      zone('yard', 0),
      { kind: 'water', state: 'running', readingFt: 20 },
      pool({ fillRatio: 0.5 }),
    ]);
    const [finding] = open.site.owned;
    expect(finding!.action).toBe('look-again');
    expect(
      planOwn(open.site, [workFor(open.site, finding!, 'dig')]).broken.map(({ rule }) => rule),
    ).toContain('look-first');
  });
});

describe('before the choice', () => {
  it('says what a look is worth: the guess, less looking and doing what is then needed', () => {
    const { looks, site } = repairOf(assess(demoInspection('heron-court')));
    const [look] = looks;
    const sum = look!.paths.reduce((all, { chance, cost }) => all + chance * cost, look!.price);
    expect(look!.looking).toBeCloseTo(sum, 6);
    expect(look!.paths.reduce((all, { chance }) => all + chance, 0)).toBeCloseTo(1, 9);
    expect(look!.worth).toBeCloseTo(look!.guess - look!.looking, 6);
    expect(look!.says).toMatch(
      /^Finding 3 may be debris, roots or belly\. Clearing it and looking again costs about \$800 and saves about \$/,
    );
    // New pipe deals with every cause, so no guess costs more than digging for the dearest one.
    expect(look!.guess).toBeLessThanOrEqual(
      Math.max(...look!.paths.map(({ cost }) => cost)) + 1e-6,
    );
    expect(site.assumptions.causeBelly).toBe(1);
  });

  it.each<[string, Said[], RegExp]>([
    ['not measured', [], /The fall was not measured\./],
    [
      'plenty of fall',
      [locate(0, 36, 100), locate(60, 36, 70)],
      /Fall available 30 in, fall required 7\.5 in, .*Gravity can serve/,
    ],
    ['none', [locate(0, 36, 100), locate(60, 36, 106)], /Gravity cannot serve by 13\.5 in: .*pump/],
    ['too close', [locate(0, 36, 100), locate(60, 36, 92)], /too close to tell/],
  ])('gravity or pump: %s', (_, located, says) => {
    expect(repair([...located, pool({ fillRatio: 0.5 })]).gravity[0]!.says).toMatch(says);
  });

  it('cures no sag by new pipe where the fall is not there: it pumps, or leaves it', () => {
    const { plans } = repair([locate(0, 36, 100), locate(60, 36, 106), pool({ fillRatio: 0.5 })]);
    const sagCures = plans[1]!.works.filter(({ cures }) => cures.length > 0);
    expect(sagCures.every(({ method }) => method === 'ejector')).toBe(true);
  });
});
