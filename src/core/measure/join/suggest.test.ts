import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Tie } from '../../model/job/inspection';
import { DEFAULT_SETTINGS } from '../../model/job/settings';
import { MAIN_AT_60, type Said } from '../../testing/build';
import { joined, runFrom, tee, tieOf } from '../../testing/joined';
import { suggestTies } from './suggest';

const offered = (runs: ReturnType<typeof runFrom>[], ties: Tie[] = [], dropped: string[] = []) => {
  const { lateral } = joined({ runs, ties });
  return suggestTies([...lateral.axes, ...lateral.unplaced], DEFAULT_SETTINGS, new Set(dropped));
};
const pairs = (list: ReturnType<typeof offered>) =>
  list.map(({ sightings: [a, b] }) => `${a!.entryId}=${b!.entryId}`).sort();
const feature = (name: string, readingFt: number, more: object = {}): Said => ({
  kind: 'feature',
  feature: name,
  readingFt,
  ...more,
});
const END: Said = { kind: 'end', reason: 'lost-push', confirmedBy: 'none', readingFt: 58 };

describe('suggested ties', () => {
  // B at 62 looking up: the tees at 12 and 31 and the wye at 47 are at 50, 31 and 15 from B.
  const R1 = runFrom('R1', 'A', 'downstream', [tee(12), tee(31), feature('wye', 47), MAIN_AT_60]);
  const R2 = runFrom('R2', 'B', 'upstream', [feature('wye', 15.2), tee(31.3), tee(49.8), END]);

  it('find what lines up, though nothing joins the runs yet', () => {
    expect(pairs(offered([R1, R2]))).toEqual(['e1=e3', 'e2=e2', 'e3=e1']);
    expect(offered([R1, R2])[0]).toMatchObject({ matches: 3, tieId: null });
    expect(offered([R1, R2])[0]!.evidence).toMatch(/2 other things of both runs line up/);
  });
  it('leave out what is tied, and what was dropped', () => {
    const one = offered([R1, R2], [tieOf('T1', 'R1 2 = R2 2')]);
    expect(pairs(one)).toEqual(['e1=e3', 'e3=e1']);
    expect(pairs(offered([R1, R2], [], [one[0]!.key]))).not.toContain(pairs(one.slice(0, 1))[0]);
  });
  it('offer to add to a tie what a third run saw of it', () => {
    const R3 = runFrom('R3', 'A', 'downstream', [tee(12.2), tee(31.1), END]);
    const more = offered([R1, R2, R3], [tieOf('T1', 'R1 2 = R2 2')]);
    const added = more.find(({ sightings }) =>
      sightings.some(({ runId, entryId }) => runId === 'R3' && entryId === 'e2'),
    );
    expect(added?.tieId).toBe('T1');
  });
  it('are none where two ways of laying the runs are as good', () => {
    // Tees every 10 ft: any of them may be any other.
    const even = [10, 20, 30, 40];
    const down = runFrom('R1', 'A', 'downstream', [...even.map((at) => tee(at)), MAIN_AT_60]);
    const short = runFrom('R2', 'B', 'upstream', [tee(5), tee(15), { ...END, readingFt: 20 }]);
    expect(offered([down, short])).toEqual([]);
  });
  it('are none for a single tee, but one for a single property-line cleanout', () => {
    const single = (name: string) => [
      runFrom('R1', 'A', 'downstream', [feature(name, 40), MAIN_AT_60]),
      runFrom('R2', 'B', 'upstream', [feature(name, 12), END]),
    ];
    expect(offered(single('tee'))).toEqual([]);
    expect(offered(single('property-line-cleanout'))).toHaveLength(1);
  });
  it('mind the clock, mirrored for a lens facing upstream', () => {
    const at = (facing: 'downstream' | 'upstream', clock: number) => [
      runFrom('R1', 'A', 'downstream', [tee(12, { clock: 3 }), tee(31, { clock: 9 }), MAIN_AT_60]),
      runFrom('R2', 'B', facing, [tee(31, { clock: 12 - clock }), tee(50, { clock }), END]),
    ];
    expect(pairs(offered(at('upstream', 9)))).toEqual(['e1=e2', 'e2=e1']);
    expect(offered(at('upstream', 3))).toEqual([]);
  });

  it('are right wherever the other access lies, with things that only one run saw', () => {
    const scene = fc.record({
      things: fc.uniqueArray(fc.integer({ min: 5, max: 55 }), { minLength: 5, maxLength: 8 }),
      accessFt: fc.integer({ min: 58, max: 90 }),
      missing: fc.nat(),
      noise: fc.array(fc.integer({ min: -3, max: 3 }), { minLength: 8, maxLength: 8 }),
    });
    let right = 0;
    let all = 0;
    fc.assert(
      fc.property(scene, ({ things, accessFt, missing, noise }) => {
        const stations = [...things].sort((a, b) => a - b);
        const names = ['tee', 'wye', 'bend', 'coupling'];
        const nameAt = (k: number) => names[(stations[k]! * 7) % names.length]!;
        const down = runFrom('R1', 'A', 'downstream', [
          ...stations.map((at, k) => feature(nameAt(k), at)),
          MAIN_AT_60,
        ]);
        const kept = stations.map((_, k) => k).filter((k) => k !== missing % stations.length);
        const said = kept.map((k) => feature(nameAt(k), accessFt - stations[k]! + noise[k]! / 10));
        const up = runFrom('R2', 'B', 'upstream', [...said, { ...END, readingFt: accessFt }]);
        for (const { sightings } of offered([down, up])) {
          const [a, b] = sightings.map(({ entryId }) => Number(entryId.slice(1)) - 1);
          all += 1;
          // Two like things a foot apart may be taken for one another: no reading tells them apart.
          if (Math.abs(stations[a!]! - stations[kept[b!]!]!) <= 2) right += 1;
        }
      }),
      { numRuns: 150, seed: 4 },
    );
    expect(all).toBeGreaterThan(300);
    expect(right / all).toBeGreaterThan(0.99);
  });
});
