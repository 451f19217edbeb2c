import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { sayTime } from '../base/webvtt';
import type { Recording } from '../model/job/recording';
import type { Entry } from '../model/log/entry';
import { runOf } from '../testing/build';
import { chaptersOf, writeChapters } from './chapters';
import { readCounterCsv } from './counter-csv';
import { type FootageMark, markOfWords, marksOf } from './mark';
import { thin } from './thin';
import { layTimeline } from './timeline';

const STARTED = '2026-11-03T17:00:00.000Z';
const recording: Recording = {
  id: 'V',
  name: 'run 1',
  source: 'camera',
  place: 'server',
  startedAt: STARTED,
  durationMs: 600_000,
};
const mark = (atS: number, readingFt: number, pass: 'out' | 'back' = 'out'): FootageMark => ({
  atMs: atS * 1000,
  readingFt,
  pass,
  sigmaFt: 0.1,
  sigmaMs: 200,
  from: 'hand',
});
const entry = (id: string, atS: number, readingFt: number | null, more: object = {}): Entry => ({
  id,
  at: new Date(Date.parse(STARTED) + atS * 1000).toISOString(),
  pass: 'out',
  readingFt,
  kind: 'flag',
  ...more,
});

describe('time and footage', () => {
  it('are the marks at the marks, and straight between them', () => {
    const line = layTimeline([mark(0, 0), mark(10, 10), mark(40, 10), mark(60, 30)]);
    expect(line.at(10_000)).toMatchObject({ readingFt: 10, pass: 'out' });
    expect(line.at(50_000)!.readingFt).toBeCloseTo(20, 6);
    expect(line.at(25_000)!.readingFt).toBe(10);
  });
  it('are surest at a mark, and never told surer than it', () => {
    const line = layTimeline([mark(0, 0), mark(60, 30)]);
    const at = (atS: number) => line.at(atS * 1000)!.plusMinusFt;
    expect(at(30)).toBeGreaterThan(at(5));
    expect(at(5)).toBeGreaterThan(at(0));
    expect(at(0)).toBeGreaterThanOrEqual(0.2);
    // Half way between 0 and 30 ft the camera is somewhere between them.
    expect(at(30)).toBeLessThan(15.5);
  });
  it('never go the wrong way between two marks of a pass, and lie between them', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.integer({ min: 1, max: 60 }), fc.integer({ min: 0, max: 20 })), {
          minLength: 2,
          maxLength: 12,
        }),
        (steps) => {
          let [atS, ft] = [0, 0];
          const marks = steps.map(([s, by]) => mark((atS += s), (ft += by)));
          const line = layTimeline(marks);
          let before = -1;
          for (let ms = marks[0]!.atMs; ms <= marks.at(-1)!.atMs; ms += 700) {
            const here = line.at(ms)!.readingFt;
            expect(here).toBeGreaterThanOrEqual(before - 1e-9);
            before = here;
          }
        },
      ),
    );
  });
  it('tell both moments of a place that was passed twice, each on its pass', () => {
    const line = layTimeline([mark(0, 0), mark(50, 50), mark(100, 0, 'back')], { farthestFt: 50 });
    expect(line.momentsOf(20, 'out')[0]!.atMs).toBeCloseTo(20_000, -2);
    expect(line.momentsOf(20, 'back')[0]!.atMs).toBeCloseTo(80_000, -2);
    expect(line.momentsOf(70, 'out')).toEqual([]);
  });
  it('know that the camera turned where the log says how far it went', () => {
    const line = layTimeline([mark(0, 0), mark(40, 40), mark(80, 40, 'back')], { farthestFt: 60 });
    expect(line.at(60_000)!.readingFt).toBeCloseTo(60, 0);
    expect(line.at(50_000)!.pass).toBe('out');
    expect(line.at(70_000)!.pass).toBe('back');
  });
  it('follow the picture where it tells when the camera moved', () => {
    const paces = [
      { fromMs: 0, toMs: 30_000, weight: 0 },
      { fromMs: 30_000, toMs: 60_000, weight: 1 },
    ];
    const line = layTimeline([mark(0, 0), mark(60, 30)], { paces });
    expect(line.at(30_000)!.readingFt).toBeCloseTo(0, 6);
    expect(line.at(45_000)!.readingFt).toBeCloseTo(15, 6);
    expect(line.at(45_000)!.plusMinusFt).toBeLessThan(
      layTimeline([mark(0, 0), mark(60, 30)]).at(45_000)!.plusMinusFt,
    );
  });
  it('say nothing where nothing is known', () => {
    expect(layTimeline([]).at(0)).toBeNull();
    const line = layTimeline([mark(10, 5)]);
    expect(line.at(20_000)!.plusMinusFt).toBeGreaterThan(3);
    expect(line.at(200_000)).toBeNull();
  });
  it('name two marks that no hand could have moved between', () => {
    const line = layTimeline([mark(0, 0), mark(10, 10), mark(11, 80)]);
    expect(line.misfits.map(([, to]) => to.readingFt)).toEqual([80]);
  });
});

describe('marks', () => {
  it('come from what was logged while the recording ran, at its first time', () => {
    const run = runOf([
      entry('a', 20, 12),
      entry('b', 90, 12, { replaces: 'a', note: 'still' }),
      entry('c', 120, 40),
      entry('d', 130, 33, { replaces: 'c' }),
      entry('e', 140, 35, { toReadingFt: 50, kind: 'defect', defect: 'roots' }),
      entry('f', 900, 60),
      entry('g', 150, 44, { secondLook: { by: 'A', at: STARTED } }),
      entry('h', 160, null),
    ]);
    expect(marksOf(run, recording).map(({ atMs, readingFt }) => [atMs, readingFt])).toEqual([
      [20_000, 12],
    ]);
  });
  it('of a counter stand over those of the log, and those of a hand beside them', () => {
    const run = runOf([entry('a', 20, 12)]);
    const counter: Recording = {
      ...recording,
      counter: [
        [0, 0],
        [10_000, 20],
        [15_000, 10],
      ],
      marks: [{ id: 'm', atMs: 5_000, readingFt: 9, pass: 'out' }],
    };
    const spoken = [markOfWords(1_000, 3, 'out')];
    expect(marksOf(run, counter, spoken).map(({ from, pass }) => [from, pass])).toEqual([
      ['counter', 'out'],
      ['hand', 'out'],
      ['counter', 'out'],
      ['counter', 'back'],
    ]);
    expect(marksOf(run, recording, spoken).map(({ from }) => from)).toEqual(['words', 'log']);
  });
});

describe("a counter's record", () => {
  it.each([
    ['time,feet\n0,0\n1.5,2\n3,9', [0, 1500, 3000], [0, 2, 9]],
    ['0:01,1\n0:02.5,2\n1:00:00,30', [1000, 2500, 3_600_000], [1, 2, 30]],
    ['Time (ms);Meter\n0;0\n1000;3.048\n2000;3.048', [0, 1000, 2000], [0, 10, 10]],
    [`stamp,reading\n2026-11-03T17:00:05Z,4\n2026-11-03T17:00:06Z,6`, [5000, 6000], [4, 6]],
  ])('is read: %s', (text, times, readings) => {
    const got = readCounterCsv(text, STARTED);
    if ('trouble' in got) throw new Error(got.trouble);
    expect(got.points.map(([ms]) => ms)).toEqual(times);
    got.points.forEach(([, ft], index) => expect(ft).toBeCloseTo(readings[index]!, 3));
  });
  it('is refused with what was expected, and lines that are none are counted', () => {
    expect(readCounterCsv('hello\nworld', STARTED)).toHaveProperty('trouble');
    expect(readCounterCsv('0,0\nx,y\n2,2', STARTED)).toMatchObject({ skipped: 1 });
  });
  it('is thinned to what a straight line does not tell', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 0, max: 9, noNaN: true }), { minLength: 2 }),
        (feet) => {
          const points = feet.map((ft, index) => [index * 100, ft] as const);
          const kept = thin(points, 0.05);
          const at = (ms: number) => {
            const next = Math.max(
              1,
              kept.findIndex(([atMs]) => atMs >= ms),
            );
            const [fromMs, fromFt] = kept[next - 1]!;
            const [toMs, toFt] = kept[next]!;
            return fromFt + ((ms - fromMs) / (toMs - fromMs)) * (toFt - fromFt);
          };
          for (const [ms, ft] of points) expect(Math.abs(at(ms) - ft)).toBeLessThanOrEqual(0.0501);
        },
      ),
    );
    expect(
      thin(
        [
          [0, 0],
          [1, 1],
          [2, 2],
          [3, 3],
        ],
        0.05,
      ),
    ).toHaveLength(2);
  });
});

describe('chapters', () => {
  it('are what the recording shows, at the moment it was logged or passed, as WebVTT', () => {
    const run = runOf([
      entry('a', 20, 10, { kind: 'feature', feature: 'tee' }),
      entry('b', 80, 40, { kind: 'defect', defect: 'roots' }),
      entry('c', 700, 25, { kind: 'defect', defect: 'crack' }),
      entry('n', 30, 12, { kind: 'note', note: 'lunch --> later' }),
    ]);
    const timeline = layTimeline(marksOf(run, recording));
    const chapters = chaptersOf(run, recording, timeline);
    expect(chapters.map(({ entryId }) => entryId)).toEqual(['a', 'c', 'b']);
    expect(chapters[1]!.atMs).toBeCloseTo(50_000, -2);
    expect(chapters[1]!.plusMinusMs).toBeGreaterThan(0);
    const text = writeChapters(chapters, 600_000, () => '10 ft ');
    expect(text.startsWith('WEBVTT\n\n1\n00:00:20.000 --> 00:00:')).toBe(true);
    expect(text.split('-->')).toHaveLength(4);
    expect(sayTime(3_723_004)).toBe('01:02:03.004');
  });
});
