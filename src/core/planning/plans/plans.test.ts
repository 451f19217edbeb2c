import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { assess } from '../../assess';
import { gapBetweenFt } from '../../base/interval';
import { scaleRange } from '../../base/range';
import { CHERT_BOOK } from '../../model/prices/price-book';
import { PRICE_KEYS, PRICE_TABLE } from '../../model/prices/price-table';
import { assessmentOf, type Said } from '../../testing/build';
import { demoInspection } from '../../testing/demo-inspections';
import { anyScopedLine } from '../../testing/scoped-line';
import { cellsWithin, lineOf } from '../bed';
import { checkWorks } from '../check-works';
import { choose } from '../choose/choose';
import { methodById } from '../methods/index';
import { poseProblem } from '../pose';
import { bedOf, type Site, siteOf } from '../site';
import { planAll } from './chert-plans';
import { needsOfFixing } from './needs';

const RUNS = { numRuns: 300 };
const optimum = (site: Site) => choose(poseProblem(site, needsOfFixing(site)).problem)!.cost;
const roleOf = (work: { method: Parameters<typeof methodById>[0] }) => methodById(work.method).role;

describe('the three plans, on any line', () => {
  it('never cure a sag by a liner or by bursting', () => {
    fc.assert(
      fc.property(anyScopedLine, (inspection) => {
        const site = siteOf(assess(inspection));
        const sags = site.owned.filter(({ kind }) => kind === 'standing-water').map(({ id }) => id);
        for (const { works } of planAll(site))
          for (const { method, cures } of works.filter(({ cures }) =>
            cures.some((id) => sags.includes(id)),
          ))
            expect(
              roleOf({ method }) === 'replace' && method !== 'burst',
              `${method} ${cures.join()}`,
            ).toBe(true);
      }),
      RUNS,
    );
  });

  it('cut no asbestos cement without abatement first, and none of it by scraping', () => {
    fc.assert(
      fc.property(anyScopedLine, (inspection) => {
        const site = siteOf(assess(inspection));
        for (const { works } of planAll(site))
          for (const [at, work] of works.entries()) {
            const asbestos = cellsWithin(bedOf(site, work.lineId), work).filter(
              ({ material }) => material === 'asbestos-cement',
            );
            if (asbestos.length === 0) continue;
            expect(work.method).not.toBe('descale');
            if (roleOf(work) !== 'replace' || work.method === 'reroute') continue;
            for (const cell of asbestos)
              expect(
                works
                  .slice(0, at)
                  .some(
                    (first) =>
                      first.method === 'abatement' &&
                      first.fromFt <= cell.fromFt &&
                      first.toFt >= cell.toFt,
                  ),
              ).toBe(true);
          }
      }),
      RUNS,
    );
  });

  it('neither cut nor jet a line that another utility runs through, and call its owner', () => {
    fc.assert(
      fc.property(anyScopedLine, (inspection) => {
        const site = siteOf(assess(inspection));
        fc.pre(site.utilityLines.size > 0);
        for (const { works } of planAll(site)) {
          const forced = works.filter(({ method }) =>
            ['cut', 'jet', 'descale', 'burst', 'liner', 'patch-liner'].includes(method),
          );
          expect(forced.filter(({ lineId }) => site.utilityLines.has(lineId))).toEqual([]);
        }
        const isOwned = site.owned.some(({ kind }) => kind === 'utility-crossing');
        for (const { works } of planAll(site))
          expect(works.some(({ method }) => method === 'notify-utility-owner')).toBe(isOwned);
      }),
      RUNS,
    );
  });

  it('break none of the rules that a plan of one’s own is held to, save what no method can end', () => {
    fc.assert(
      fc.property(anyScopedLine, (inspection) => {
        const site = siteOf(assess(inspection));
        for (const { id, works } of planAll(site)) {
          const broken = checkWorks(site, works).filter(({ rule }) =>
            ['ground', 'pipe', 'first', 'way-in', 'short', 'passes'].includes(rule),
          );
          expect(broken, id).toEqual([]);
        }
      }),
      RUNS,
    );
  });

  it('dig no public pipe and no courtesy, and leave nothing that calls for repair and can be ended', () => {
    fc.assert(
      fc.property(anyScopedLine, (inspection) => {
        const assessment = assess(inspection);
        const site = siteOf(assessment);
        const fixing = planAll(site)[1]!;
        const cured = new Set(fixing.works.flatMap(({ cures }) => cures));
        for (const id of cured) expect(site.owned.map((one) => one.id)).toContain(id);
        for (const need of needsOfFixing(site)) {
          if (need.what !== 'cure') continue;
          // Where another utility runs through the line, nobody works before it is dealt with.
          if (site.utilityLines.has(need.finding.lineId)) continue;
          const isWorked = fixing.works.some((work) => gapBetweenFt(work, need.finding.span) === 0);
          expect(cured.has(need.finding.id) || fixing.leaves.includes(need.finding.id)).toBe(true);
          expect(isWorked).toBe(true);
        }
      }),
      RUNS,
    );
  });

  it('visit a line once with each tool, stay within it, and go round a floor once', () => {
    fc.assert(
      fc.property(anyScopedLine, (inspection) => {
        const site = siteOf(assess(inspection));
        for (const { works, complete } of planAll(site)) {
          expect(complete).toBe(true);
          const named = works.map(({ method, lineId }) => `${method} ${lineId}`);
          const once = works.filter(
            ({ extent, visit, method }) =>
              method === 'reroute' || method === 'ejector' || (extent === 'visit' && visit),
          );
          for (const { method, lineId } of once)
            expect(named.filter((one) => one === `${method} ${lineId}`)).toHaveLength(1);
          for (const { visit, cost, lineId, fromFt, toFt, lines } of works) {
            if (visit) expect(cost.likely).toBeGreaterThanOrEqual(lines[0]!.rate.likely);
            if (visit) expect(lines[0]!.key).toMatch(/\.visit$/);
            const whole = lineOf(bedOf(site, lineId));
            expect(fromFt).toBeGreaterThanOrEqual(whole.fromFt - 1e-6);
            expect(toFt).toBeLessThanOrEqual(whole.toFt + 1e-6);
          }
        }
      }),
      RUNS,
    );
  });

  it('end, hold or leave each finding, and never two of these', () => {
    fc.assert(
      fc.property(anyScopedLine, (inspection) => {
        const site = siteOf(assess(inspection));
        for (const { works, settles, holds, leaves } of planAll(site)) {
          const all = [...settles, ...holds, ...leaves];
          expect(new Set(all).size).toBe(all.length);
          expect(new Set(settles)).toEqual(new Set(works.flatMap(({ cures }) => cures)));
          const asks = site.owned.filter(({ severity }) => severity !== 'slight');
          expect(asks.filter(({ id }) => !all.includes(id))).toEqual([]);
        }
      }),
      RUNS,
    );
  });

  it('are never cheaper with a finding more', () => {
    fc.assert(
      fc.property(anyScopedLine, fc.nat(), (inspection, pick) => {
        const site = siteOf(assess(inspection));
        fc.pre(site.owned.length > 0);
        // A whole run that fails is renewed but for what must be dug or looked at: there one more may ask for less.
        fc.pre(needsOfFixing(site).every(({ what }) => what !== 'renew'));
        const without = { ...site, owned: site.owned.toSpliced(pick % site.owned.length, 1) };
        expect(optimum(without)).toBeLessThanOrEqual(optimum(site) + 1e-6);
      }),
      RUNS,
    );
  });

  it('pay once for a way in, however many trades a line may need', () => {
    // Past nine things that are paid once the way in had two names, and a patch beside it was too dear to be chosen.
    const roots = (readingFt: number, locus: string): Said => ({
      kind: 'defect',
      defect: 'roots',
      readingFt,
      extentRatio: 0.05,
      locus,
    });
    const job = (...more: readonly Said[]) =>
      assessmentOf(
        [
          { kind: 'zone', side: 'far', zone: 'under-house', readingFt: 0 },
          { kind: 'zone', side: 'far', zone: 'yard', readingFt: 34 },
          { kind: 'defect', defect: 'hole', readingFt: 3 },
          roots(3, 'barrel'),
          { kind: 'defect', defect: 'scale', extentRatio: 0.05, readingFt: 34 },
          ...more,
        ],
        {
          accessPoints: [
            {
              id: 'A',
              kind: 'cleanout',
              diameterIn: 4,
              material: 'abs',
              place: 'yard',
              zone: 'yard',
              usable: false,
              obstacle: 'stuck',
            },
          ],
          job: { profile: 'renew-first', scope: 'lateral-and-building-drain' },
        },
      );
    expect(optimum(siteOf(job()))).toBeLessThanOrEqual(
      optimum(siteOf(job(roots(2, 'joint')))) + 1e-6,
    );
  });

  it('cost twice as much at twice the price', () => {
    const doubled = {
      ...CHERT_BOOK,
      id: 'double',
      prices: Object.fromEntries(
        PRICE_KEYS.map((key) => {
          const { low, likely, high } = PRICE_TABLE[key];
          return [key, scaleRange({ low, likely, high }, 2)];
        }),
      ),
    };
    fc.assert(
      fc.property(anyScopedLine, (inspection) => {
        const once = planAll(siteOf(assess(inspection)));
        const twice = planAll(siteOf(assess({ ...inspection, settings: { priceBook: doubled } })));
        for (const [at, plan] of once.entries())
          for (const side of ['low', 'likely', 'high'] as const)
            expect(twice[at]!.cost[side]).toBeCloseTo(2 * plan.cost[side], 6);
      }),
      RUNS,
    );
  });
});

describe('what holds a pool', () => {
  const plans = planAll(siteOf(assess(demoInspection('sedge-lane'))));

  it('is smoothed once, where it is, and right before the pool is looked at again', () => {
    for (const { works } of plans) {
      const ramps = works.filter(({ method }) => method === 'ramp-lip');
      expect(ramps.map(({ fromFt }) => Math.round(fromFt * 10) / 10)).toEqual([46.9]);
      expect(works.indexOf(ramps[0]!) + 1).toBe(
        works.findIndex(({ method }) => method === 'look-again'),
      );
    }
  });

  it('at one spot, no line has the same work twice', () => {
    fc.assert(
      fc.property(anyScopedLine, (inspection) => {
        for (const { works } of planAll(siteOf(assess(inspection)))) {
          const spots = works.filter(({ method }) => ['ramp-lip', 'trim-tap'].includes(method));
          for (const [at, one] of spots.entries())
            for (const other of spots.slice(at + 1))
              expect(
                one.method === other.method &&
                  one.lineId === other.lineId &&
                  gapBetweenFt(one, other) <= 0.1,
                `${one.method} at ${one.fromFt} and ${other.fromFt}`,
              ).toBe(false);
        }
      }),
      RUNS,
    );
  });
});
