import fc from 'fast-check';
import { assess } from '#core/assess';
import { findContradictions } from '#core/report/contradictions';
import { anyScopedLine } from '#core/testing/scoped-line';
const n = Number(process.argv[2]);
const seen = new Map<string, [number, string]>();
for (const one of fc.sample(anyScopedLine, { numRuns: n, seed: Number(process.argv[3] ?? 5) }))
  for (const { where, what } of findContradictions(assess(one))) {
    const key = (where + ': ' + what).replace(/finding \d+/g, 'finding N');
    seen.set(key, [(seen.get(key)?.[0] ?? 0) + 1, JSON.stringify(one.runs[0]!.entries.map(({ id: _i, at: _a, ...e }) => e)).slice(0, 900)]);
  }
for (const [k, [c, ex]] of seen) console.log(c, k, '\n     ', ex);
