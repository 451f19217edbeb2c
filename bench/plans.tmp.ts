import fc from 'fast-check';
import { assess } from '#core/assess';
import { siteOf } from '#core/planning/site';
import { planAll } from '#core/planning/plans/chert-plans';
import { checkWorks } from '#core/planning/check-works';
import { anyScopedLine } from '#core/testing/scoped-line';
let bad = 0;
for (const one of fc.sample(anyScopedLine, { numRuns: 4000, seed: 77 })) {
  const site = siteOf(assess(one));
  for (const { id, works } of planAll(site)) {
    const broken = checkWorks(site, works).filter(({ rule }) => ['ground', 'pipe', 'first', 'way-in', 'short', 'passes'].includes(rule));
    if (broken.length > 0) { bad += 1; if (bad < 5) console.log(id, JSON.stringify(broken), works.map((w) => `${w.method} ${w.fromFt}-${w.toFt}${w.isFirst ? 'first' : ''} c${w.cures} h${w.holds}`).join('; '), '\n   ', JSON.stringify(one.runs[0]!.entries.map(({ id: _i, at: _a, pass: _p, ...e }) => e)).slice(0, 1100)); }
  }
}
console.log({ bad });
