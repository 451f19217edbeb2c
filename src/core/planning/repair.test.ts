import { describe, expect, it } from 'vitest';
import { assess } from '../assess';
import { CLAY, type Said } from '../testing/build';
import { DEMO_NAMES, demoInspection } from '../testing/demo-inspections';
import { alder, locate, repair, zone } from '../testing/repairs';
import { defect, lineIn } from '../testing/rules';
import { cautionsOfPlan } from './cautions';
import { atHorizon, repairOf } from './repair';
import { requestSheetOf } from './request';

describe.each(DEMO_NAMES)('%s', (name) => {
  const all = repairOf(assess(demoInspection(name)));
  it('says of every finding that it owns what each plan does or leaves', () => {
    for (const plan of all.plans) {
      const done = new Set(plan.works.flatMap(({ cures, holds }) => [...cures, ...holds]));
      for (const { id, severity } of all.site.owned)
        expect(
          done.has(id) || plan.leaves.includes(id) || severity === 'slight',
          `${plan.id} ${id}`,
        ).toBe(true);
    }
  });
  it('refuses nothing dearer than what it takes, and gives a reason', () => {
    for (const refusals of all.refusals.values())
      for (const { because } of refusals) expect(because.length).toBeGreaterThan(15);
  });
  it('picks the least objective of those that may be picked', () => {
    const able = all.pick.weighed.filter(({ ruledOut }) => ruledOut === null);
    const least = Math.min(...able.map(({ objective }) => objective));
    const picked = all.pick.weighed.find(({ planId }) => planId === all.pick.planId)!;
    expect(picked.objective).toBeLessThanOrEqual(least + 0.5);
    expect(picked.objective).toBeCloseTo(picked.expected + all.weighing.weight * picked.backup, 6);
  });
});

describe('the pick', () => {
  it('turns with the horizon, and says why', () => {
    const all = alder();
    const [short, long] = [atHorizon(all, 3), atHorizon(all, 20)];
    expect([short.pick.planId, long.pick.planId]).toEqual(['fix-failing', 'renew']);
    expect(short.pick.because[0]).toMatch(/^Over 3 years, Fix what fails is expected to cost \$/);
    expect(long.pick.because.join(' ')).toMatch(
      /Fix what fails costs about \$.* more, with a greater chance of a backup/,
    );
    expect(all.plans).toBe(long.plans);
  });

  it('is never a plan that leaves what must be repaired', () => {
    const all = repairOf(assess(demoInspection('tern-street')));
    const keep = all.pick.weighed.find(({ planId }) => planId === 'keep-running')!;
    expect(keep.ruledOut).toMatch(/^it does not end what must be repaired \(finding/);
    for (let years = 1; years <= 30; years += 1)
      expect(atHorizon(all, years).pick.planId).not.toBe('keep-running');
  });

  it('weighs the chance of a backup more under Renew first', () => {
    const first = demoInspection('alder-bend');
    const renew = repairOf(assess({ ...first, job: { ...first.job, profile: 'renew-first' } }));
    expect(renew.weighing.weight).toBeGreaterThan(alder().weighing.weight);
  });

  it('is nothing to do on a clean line', () => {
    const all = repair([]);
    expect(all.plans.map(({ works, cost }) => [works.length, cost.likely])).toEqual([
      [0, 0],
      [0, 0],
      [0, 0],
    ]);
  });
});

describe('what is said with a plan', () => {
  it('warns of marks, trench, permit and asbestos before anyone digs', () => {
    const inspection = lineIn('asbestos-cement', 6, [
      zone('yard', 0),
      locate(30, 70, 100),
      defect('break', { form: 'invert missing' }),
    ]);
    const { site, plans } = repairOf(assess(inspection));
    const about = cautionsOfPlan(site, plans[1]!);
    expect(about.map((one) => one.about)).toEqual([
      'Utility marks',
      'Trench',
      'Permits',
      'Asbestos cement',
      'Licensed work',
    ]);
    expect(about[1]!.text).toContain('5.9 ft deep');
    expect(cautionsOfPlan(site, { ...plans[1]!, works: [] })).toEqual([]);
  });

  it('asks for each work by its place, with marks near it and proof after, and names no price', () => {
    const { site, plans } = alder();
    const sheet = requestSheetOf(site, plans[1]!);
    expect(sheet.items.map(({ what }) => what)).toEqual(
      plans[1]!.works.map(
        ({ method }) =>
          ({
            'notify-authority': 'Report it to the sewer authority',
            dig: 'Dig and replace',
            cut: 'Cut the roots',
            descale: 'Descale',
          })[method as 'dig'],
      ),
    );
    expect(sheet.marks.length).toBeGreaterThan(0);
    expect(sheet.proof.join(' ')).toMatch(
      /Scope the line again .* on video.* nothing stands where the sag was/,
    );
    expect(JSON.stringify(sheet)).not.toContain('$');
  });

  it('tells the authority of its side, and charges the owner nothing for it', () => {
    const { plans, site } = repair(
      [
        CLAY,
        { kind: 'feature', feature: 'property-line', readingFt: 30 },
        defect('collapse', { readingFt: 45 }),
      ],
      { job: { responsibility: 'to-property-line' } },
    );
    expect(site.owned.filter(({ kind }) => kind === 'collapse')).toEqual([]);
    expect(plans[1]!.works.map(({ method }) => method)).toEqual(['notify-authority']);
    expect(plans[1]!.cost.likely).toBe(0);
  });
});

describe('a dense line, roots logged twice a foot', () => {
  // Roots at every foot from 20 to 39, most logged twice, of every size, under five kinds of ground.
  const grounds = ['yard', 'driveway', 'strip', 'walk', 'street'];
  const extents = [0.3, 0.6, 0.2, 0.8];
  const roots = Array.from({ length: 45 }, (_, index): Said => {
    const readingFt = 20 + (index % 20) + (index < 20 ? 0 : ((index * 7) % 5) / 10);
    const locus = index % 5 < 2 ? 'barrel' : 'joint';
    return { kind: 'defect', defect: 'roots', readingFt, extentRatio: extents[index % 4], locus };
  });
  const all = repair([
    CLAY,
    ...grounds.map((name, index) => zone(name, index * 8)),
    ...roots,
    { kind: 'end', reason: 'main', confirmedBy: 'sight', readingFt: 70 },
  ]);

  it('gets three whole plans, each proved the cheapest', () => {
    expect(all.plans.map(({ isUnproved }) => isUnproved ?? false)).toEqual([false, false, false]);
    for (const id of ['fix-failing', 'renew']) {
      const plan = all.plans.find((one) => one.id === id)!;
      const cured = new Set(plan.works.flatMap(({ cures }) => cures));
      const wanted = all.site.owned.filter(({ action }) => action === 'repair');
      expect(wanted.length).toBeGreaterThan(20);
      expect(wanted.filter((finding) => !cured.has(finding.id))).toEqual([]);
    }
  });
});

describe('what must come first', () => {
  it('cuts no roots in asbestos cement, nor through tar-paper pipe on the way to them', () => {
    const all = repair([
      { kind: 'material', side: 'far', material: 'bituminous-fiber', diameterIn: 4, readingFt: 0 },
      { kind: 'material', side: 'far', material: 'asbestos-cement', diameterIn: 4, readingFt: 30 },
      zone('yard', 0),
      { kind: 'end', reason: 'main', confirmedBy: 'sight', readingFt: 60 },
      { kind: 'defect', defect: 'roots', extentRatio: 0.05, locus: 'joint', readingFt: 30 },
    ]);
    for (const { works } of all.plans)
      expect(works.map(({ method }) => method)).not.toContain('cut');
  });
});
