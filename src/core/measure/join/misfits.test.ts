import { describe, expect, it } from 'vitest';
import type { Run } from '../../model/job/run';
import { MAIN_AT_60, type Said } from '../../testing/build';
import { joined, runFrom, tee, tieOf } from '../../testing/joined';

/** True stations of what both runs saw, with B at 70 looking back up. */
const STATIONS = [15, 24, 37, 52];
const TIES = STATIONS.map((_, k) => tieOf(`T${k + 1}`, `R1 ${k + 1} = R2 ${k + 1}`));
const R1 = runFrom('R1', 'A', 'downstream', [...STATIONS.map((at) => tee(at)), MAIN_AT_60]);
const upTo = (readings: readonly number[], setup: Partial<Run> = {}, more: readonly Said[] = []) =>
  runFrom(
    'R2',
    'B',
    'upstream',
    [
      ...readings.map((at) => tee(at)),
      ...more,
      { kind: 'end', reason: 'lost-push', confirmedBy: 'none', readingFt: 88 },
    ],
    setup,
  );
const RIGHT = STATIONS.map((at) => 70 - at);
const misfitsOf = (second: Run, ties = TIES) =>
  joined({ runs: [R1, second], ties }).lateral.join.misfits;

describe('a tie that the others contradict', () => {
  it('is named alone, and the good ones are left in peace', () => {
    const [misfit, ...more] = misfitsOf(upTo(RIGHT.with(1, 31)));
    expect(more).toEqual([]);
    expect(misfit!.links.map(({ id }) => id)).toEqual(['T2']);
    expect(Math.abs(misfit!.offFt)).toBeCloseTo(15, 0);
  });
  it('is told off by feet that follow from the other three, by hand', () => {
    // T1, T3, T4 agree exactly: o = 70 and s = 1, so the fourth lies 70 − 31 = 39 against 24.
    const [misfit] = misfitsOf(upTo(RIGHT.with(1, 31)));
    expect(misfit!.offFt).toBeCloseTo(-15, 6);
  });
  it('of two among five both are named, one after the other', () => {
    const stations = [...STATIONS, 57];
    const first = runFrom('R1', 'A', 'downstream', [...stations.map((at) => tee(at)), MAIN_AT_60]);
    const second = upTo(
      stations
        .map((at) => 70 - at)
        .with(0, 40)
        .with(3, 29),
    );
    const ties = stations.map((_, k) => tieOf(`T${k + 1}`, `R1 ${k + 1} = R2 ${k + 1}`));
    const { misfits } = joined({ runs: [first, second], ties }).lateral.join;
    expect(misfits.flatMap(({ links }) => links.map(({ id }) => id)).sort()).toEqual(['T1', 'T4']);
  });
});

describe('what would make it fit', () => {
  const causesOf = (second: Run, ties = TIES) =>
    misfitsOf(second, ties).flatMap(({ explanations }) => explanations);
  it.each<[string, number, number, object]>([
    // 46 said as 64; 18 said as 80 (eighty); 55 as 5.
    ['swapped-digits', 1, 64, { readingFt: 46 }],
    ['sound-alike', 3, 80, { readingFt: 18 }],
    ['dropped-digit', 0, 5, { readingFt: 55 }],
  ])('%s', (cause, index, said, remedy) => {
    const found = causesOf(upTo(RIGHT.with(index, said)));
    expect(found.find((one) => one.cause === cause)?.remedy).toMatchObject({
      do: 'correct-reading',
      runId: 'R2',
      entryId: `e${index + 1}`,
      ...remedy,
    });
  });
  it('another thing of the same kind, seen nearer to where it should be', () => {
    // The tie names a tee at 62 that is another one; the right one, e5, is at 46.
    const second = upTo(RIGHT.with(1, 62), {}, [tee(46)]);
    const found = causesOf(second).find(({ cause }) => cause === 'another-thing');
    expect(found?.remedy).toEqual({ do: 'tie-instead', runId: 'R2', from: 'e2', to: 'e5' });
    expect(found?.text).toMatch(/R2 has another tee at 46.0 ft/);
  });
  it('not another thing at another clock', () => {
    const at3 = (reading: number) => tee(reading, { clock: 3 });
    const first = runFrom('R1', 'A', 'downstream', [...STATIONS.map(at3), MAIN_AT_60]);
    // Mirrored, 9 facing upstream is 3; a tee at 3 facing upstream is on the other side.
    const second = runFrom('R2', 'B', 'upstream', [
      ...RIGHT.with(1, 62).map((reading) => tee(reading, { clock: 9 })),
      tee(46, { clock: 3 }),
    ]);
    const { misfits } = joined({ runs: [first, second], ties: TIES }).lateral.join;
    expect(misfits).toHaveLength(1);
    const causes = misfits[0]!.explanations.map(({ cause }) => cause);
    expect(causes).not.toContain('another-thing');
  });
  it('a run that faced the other way', () => {
    const second = { ...upTo(RIGHT), facing: 'downstream' as const };
    const found = causesOf(second);
    expect(found[0]).toMatchObject({
      cause: 'wrong-facing',
      remedy: { do: 'turn-run', runId: 'R2', facing: 'upstream' },
    });
  });
  it('a drop that was not taken off, where two runs share an access', () => {
    const third = runFrom('R3', 'B', 'downstream', [tee(13)], {
      zero: { at: 'rim', readingFt: 0, dropFt: 2 },
    });
    const main = runFrom('R1', 'A', 'downstream', [
      ...STATIONS.map((at) => tee(at)),
      tee(76),
      { ...MAIN_AT_60, readingFt: 90 },
    ]);
    // R3 looks down from B at 70 to a thing at 76: 6 ft of pipe, and 7 ft of drop of which 2 were told.
    const ties = [...TIES, tieOf('T5', 'R1 5 = R3 1')];
    const { misfits } = joined({ runs: [main, upTo(RIGHT), third], ties }).lateral.join;
    const found = misfits.flatMap(({ explanations }) => explanations);
    const drop = found.find(({ cause }) => cause === 'drop-forgotten');
    expect(drop?.remedy).toMatchObject({ do: 'set-drop', runId: 'R3' });
    expect(drop?.remedy).toHaveProperty('dropFt', expect.closeTo(7, 0));
  });
});
