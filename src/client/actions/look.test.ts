import { describe, expect, it } from 'vitest';
import { assess } from '#core/assess';
import type { Recording } from '#core/model/job/recording';
import type { Entry } from '#core/model/log/entry';
import { layTimeline } from '#core/recording/timeline';
import { hear } from '#core/speech/hear/hear';
import { entries, inspectionOf, runOf } from '#core/testing/build';
import { entriesAgain, measuredDraft, sizesOf } from './look';
import { clipUrlOf, nextOpen, rowAt, rowsOf } from './look-rows';
import { measuresFor, NO_TOUCHES, touched, untouched } from './measuring';
import { acceptedOf, freed, linesOf, spokenMarksOf } from './narration';
import { addRecording, changeRecording, setMark, takeMark } from './recordings';

const LOOKER = { by: 'A. Looker', nowMs: Date.parse('2026-11-05T10:00:00Z') };
const STARTED = '2026-11-03T17:00:00.000Z';
const recording: Recording = {
  id: 'V',
  name: 'run 1',
  source: 'file',
  place: 'file',
  startedAt: STARTED,
  durationMs: 600_000,
};
const runs = (doing: ReturnType<typeof addRecording>) =>
  doing.what === 'run' ? (doing.setup.recordings ?? []) : [];

describe('a second look', () => {
  it('logs as of the moment that the picture shows, and says who saw it when', () => {
    const [one, two] = entriesAgain(
      [
        { kind: 'flag', pass: 'out', readingFt: 12 },
        { kind: 'note', pass: 'out', readingFt: 12, note: 'so' },
      ],
      { startedAt: STARTED, atMs: 90_000 },
      LOOKER,
    );
    expect(Date.parse(one!.at)).toBe(Date.parse('2026-11-03T17:01:30Z'));
    expect(Date.parse(two!.at)).toBeGreaterThan(Date.parse(one!.at));
    expect(one!.secondLook!.by).toBe('A. Looker');
    expect(Date.parse(one!.secondLook!.at)).toBe(LOOKER.nowMs);
  });

  it('writes a measure down in place of what was said by eye', () => {
    const [entry] = entries({
      kind: 'defect',
      defect: 'standing-water',
      depthIn: 1,
      sizeBasis: 'eye',
      sizeWord: 'light',
      photoIds: ['P1'],
    }) as [Entry & { kind: 'defect' }];
    const measure = { photoId: 'P2', what: 'fill', aspect: 1.6, pipe: [], on: [] } as const;
    const draft = measuredDraft(
      entry,
      measure,
      { what: 'fill', ratio: 0.3333, sigma: 0.01 },
      LOOKER,
    );
    expect(draft).toMatchObject({
      replaces: 'e1',
      fillRatio: 0.33,
      sizeBasis: 'measured',
      photoIds: ['P1', 'P2'],
      measures: [measure],
    });
    expect(draft).not.toHaveProperty('depthIn');
    expect(draft).not.toHaveProperty('sizeWord');
  });

  it.each([
    [{ what: 'share', ratio: 0.256, sigma: 0.01 }, { extentRatio: 0.26 }],
    [{ what: 'offset', ratio: 0.1, sizeIn: 0.404, sigma: 0.02 }, { offsetIn: 0.4 }],
    [{ what: 'gap', ratio: 0.1, sizeIn: null, sigma: 0.02 }, {}],
    [
      { what: 'clock', clockFrom: 10, clockTo: 2, sigma: 0.2 },
      { clockFrom: 10, clockTo: 2 },
    ],
  ] as const)('%o gives %o', (measured, fields) => expect(sizesOf(measured)).toEqual(fields));
});

describe('what is measured', () => {
  it.each([
    ['roots', ['share', 'clock']],
    ['standing-water', ['fill', 'clock']],
    ['offset', ['offset', 'clock']],
    ['gap', ['clock']],
    ['crack', ['clock']],
    ['deformation', ['across', 'clock']],
  ])('of %s: %j', (defect, kinds) => {
    const [entry] = entries({ kind: 'defect', defect });
    expect(measuresFor(entry!, false)).toEqual(kinds);
  });
  it('of an open joint is its width too, where the lens is known; a crack is too fine', () => {
    const [gap, crack] = entries(
      { kind: 'defect', defect: 'gap' },
      { kind: 'defect', defect: 'crack' },
    );
    expect(measuresFor(gap!, true)).toEqual(['gap', 'clock']);
    expect(measuresFor(crack!, true)).toEqual(['clock']);
  });
  it('is touched in as many places as it takes; the next begins anew', () => {
    const twice = touched(touched(NO_TOUCHES, 'on', [0.1, 0.1], 'fill'), 'on', [0.2, 0.2], 'fill');
    expect(twice.on).toHaveLength(2);
    expect(touched(twice, 'on', [0.3, 0.3], 'fill').on).toEqual([[0.3, 0.3]]);
    const end = touched(touched(twice, 'vanish', [0.5, 0.5], 'fill'), 'vanish', [0.6, 0.5], 'fill');
    expect(end.vanish).toEqual([[0.6, 0.5]]);
    expect(untouched(end, 'on', 0).on).toEqual([[0.2, 0.2]]);
  });
});

describe('recordings of a run', () => {
  it('are added and changed, and a footage set within a second of another takes its place', () => {
    const bare = runOf([]);
    const run = runOf([], { recordings: runs(addRecording(bare, recording)) });
    expect(run.recordings).toEqual([recording]);
    expect(runs(changeRecording(run, 'V', { bytes: 5 }))[0]!.bytes).toBe(5);
    const [once] = runs(setMark(run, recording, { atMs: 5000.4, readingFt: 9, pass: 'out' }));
    const [twice] = runs(setMark(run, once!, { atMs: 5600, readingFt: 10, pass: 'out' }));
    expect(twice!.marks!.map(({ atMs, readingFt }) => [atMs, readingFt])).toEqual([[5600, 10]]);
    expect(runs(takeMark(run, twice!, twice!.marks![0]!.id))[0]!.marks).toEqual([]);
  });
});

describe('the log beside its time line', () => {
  const run = runOf([
    { kind: 'material', side: 'far', material: 'pvc', diameterIn: 4, readingFt: 0 },
    { kind: 'defect', defect: 'crack', certainty: 'suspected', readingFt: 20 },
    { kind: 'defect', defect: 'roots', readingFt: 40 },
    { kind: 'flag', readingFt: 30 },
  ]);
  const marks = [0, 60].map((ft) => ({
    atMs: ft * 1000,
    readingFt: ft,
    pass: 'out' as const,
    sigmaFt: 0.1,
    sigmaMs: 100,
    from: 'hand' as const,
  }));
  // Logged hours after the recording: only the footage leads to a moment.
  const earlier = { ...recording, startedAt: '2026-11-03T09:00:00.000Z' };
  const rows = rowsOf(run, earlier, layTimeline(marks), assess(inspectionOf([run])));

  it('is in the order of the picture, each with why it is not settled', () => {
    expect(rows.map(({ entry }) => entry.readingFt)).toEqual([0, 20, 30, 40]);
    expect(rows.map(({ open }) => open)).toEqual([
      null,
      expect.stringMatching(/Suspected/),
      expect.stringMatching(/Flag/),
      expect.stringMatching(/size|still/),
    ]);
  });
  it('says which row the picture is at, and which is next', () => {
    expect(rowAt(rows, 25_000)!.entry.readingFt).toBe(20);
    expect(rowAt(rows, 0)!.entry.readingFt).toBe(0);
    expect(nextOpen(rows, 25_000, null)!.entry.readingFt).toBe(30);
    expect(nextOpen(rows, 0, rows[3]!.entry.id)!.entry.readingFt).toBe(20);
    expect(nextOpen([], 0, null)).toBeNull();
  });
});

describe('a narration', () => {
  const heard = hear(
    '[0:05] PVC four inch at zero feet.\n[0:20] Roots at twelve feet.\n[0:40] Roots here too.\n[0:50] Looks like an offset at thirty feet.',
  );
  const timeline = layTimeline(
    [
      [0, 0],
      [60_000, 40],
    ].map(([atMs, readingFt]) => ({
      atMs: atMs!,
      readingFt: readingFt!,
      pass: 'out' as const,
      sigmaFt: 0.05,
      sigmaMs: 10,
      from: 'counter' as const,
    })),
  );
  const part = 0;
  const ids = heard.runs[0]!.entries.map(({ id }) => id);

  it('is shown with what is in doubt first, and takes a footage that nobody said from the picture', () => {
    const lines = linesOf(heard, { part, settled: {} }, timeline);
    expect(lines[0]!.unsure).toBe('Said in doubt');
    const third = lines.find(({ fromMs }) => fromMs === 40_000)!;
    expect(third.drafts[0]!.readingFt).toBeCloseTo(26.7, 1);
    expect(spokenMarksOf(heard, part).map(({ readingFt }) => readingFt)).toContain(12);
  });
  it('is read anew where it is mended, and only what was accepted is logged, in its order', () => {
    const settled = {
      [ids[1]!]: { verdict: 'accepted', says: 'roots 13 20%' },
      [ids[0]!]: { verdict: 'accepted' },
      [ids[3]!]: { verdict: 'dropped' },
    } as const;
    const accepted = acceptedOf(linesOf(heard, { part, settled }, timeline), timeline);
    expect(accepted.map(({ atMs }) => atMs)).toEqual([5_000, 20_000]);
    expect(accepted[1]!.drafts[0]).toMatchObject({ readingFt: 13, extentRatio: 0.2 });
  });
  it('names nothing that is not in the log', () => {
    const close = {
      kind: 'close',
      pass: 'out',
      readingFt: 9,
      closes: 'h1',
      replaces: 'h2',
    } as const;
    expect(freed(close, new Map([['h1', 'NEW']]))).toEqual({
      kind: 'close',
      pass: 'out',
      readingFt: 9,
      closes: 'NEW',
    });
  });
});

describe('a clip of what was logged', () => {
  const [entry] = entries({ kind: 'flag', readingFt: 12 }) as [Entry];
  const stored: Recording = { ...recording, id: 'V/1', source: 'camera', place: 'server' };
  const rowsAt = (atMs: number) => [
    {
      entry,
      chapter: { entryId: entry.id, atMs, plusMinusMs: 0, title: 'Flag' },
      open: null,
    },
  ];
  it('begins before it was said, and never before the recording', () => {
    const from = (atMs: number) => clipUrlOf('J', stored, rowsAt(atMs), entry);
    expect(from(20_000)).toBe('/api/jobs/J/recordings/V%2F1/clip?from=14000&to=26000');
    expect(from(2_000)).toBe('/api/jobs/J/recordings/V%2F1/clip?from=0&to=8000');
  });
  it('is offered only of what Chert recorded and holds, at a moment that is known', () => {
    expect(clipUrlOf('J', recording, rowsAt(0), entry)).toBeNull();
    expect(clipUrlOf('J', { ...stored, source: 'file' }, rowsAt(0), entry)).toBeNull();
    expect(clipUrlOf('J', stored, [{ entry, chapter: null, open: null }], entry)).toBeNull();
    expect(clipUrlOf('J', null, [], entry)).toBeNull();
  });
});
