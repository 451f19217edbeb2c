import { beforeEach, describe, expect, it } from 'vitest';
import { MEDIA_MOST_BYTES } from '#core/interchange/media-type';
import type { Entry } from '#core/model/log/entry';
import { inspectionOf, runOf } from '#core/testing/build';
import { deviceAheadMs, forgetServerTime, noteServerTime, timeOfEntry } from './clock';
import { changesOf, entriesOf } from './job-on-device';
import { liftOldRow } from './old-store';
import { checkStill } from './still';

const AT = '2026-11-03T09:00:00.000Z';
const entry = (id: string): Entry => ({
  id,
  at: AT,
  pass: 'out',
  readingFt: 1,
  kind: 'note',
  note: id,
});
beforeEach(forgetServerTime);

describe('what the first version kept', () => {
  const lift = (change: object, state: 'waiting' | 'sent' | 'refused') =>
    liftOldRow({ seq: 7, jobId: 'J', key: 'k', change: change as never, state });
  it('is lifted field by field; facts that the server took are not said again', () => {
    const facts = {
      property: { yearBuilt: 1950, bathrooms: null },
      spans: [{ fromAccessPointId: 'A', toAccessPointId: 'B', alongFt: 3, basis: 'taped' }],
    };
    expect(lift({ what: 'facts', facts }, 'waiting')?.change).toEqual({
      what: 'edits',
      edits: [
        { path: ['property', 'yearBuilt'], value: 1950 },
        { path: ['property', 'bathrooms'] },
        { path: ['spans', 'A to B'], value: facts.spans[0] },
      ],
    });
    expect(lift({ what: 'facts', facts }, 'sent')).toBeNull();
    expect(lift({ what: 'run', setup: { id: 'R2' } }, 'refused')).toMatchObject({
      state: 'refused',
      change: { edits: [{ path: ['runs', 'R2'], value: { id: 'R2' } }] },
    });
    // An entry is sent once more: the server knows it, and it is told so.
    expect(lift({ what: 'entry', runId: 'R1', entry: entry('a') }, 'sent')).toMatchObject({
      id: 'a',
      state: 'kept',
    });
  });
});

describe('what a screen does', () => {
  it('becomes changes over what it showed, and nothing where nothing differs', () => {
    const inspection = inspectionOf([runOf([])]);
    const { entries: _entries, ...setup } = inspection.runs[0]!;
    expect(changesOf(inspection, [{ what: 'run', setup }])).toEqual([]);
    expect(
      changesOf(inspection, [{ what: 'run', setup: { ...setup, facing: 'upstream' } }]),
    ).toEqual([{ what: 'edits', edits: [{ path: ['runs', 'R1', 'facing'], value: 'upstream' }] }]);
  });
});

describe('time', () => {
  const nowMs = Date.parse(AT);
  it.each<[string, number, number, number, number | null]>([
    ['goes by the device while nobody knows better', 0, -Infinity, nowMs, null],
    [
      'goes by the server where the device is an hour behind',
      -3_600_000,
      -Infinity,
      nowMs + 3_600_000,
      nowMs,
    ],
    [
      'comes after what stands, though the clock was set back',
      0,
      nowMs + 600_000,
      nowMs + 600_001,
      nowMs,
    ],
    ['comes after what was logged in the same moment', 0, nowMs, nowMs + 1, null],
  ])('%s', (_, aheadMs, lastMs, atMs, deviceAtMs) => {
    expect(timeOfEntry(nowMs, aheadMs, lastMs)).toEqual({ atMs, deviceAtMs });
  });

  it('never lets a clock set back put “drained” before “running”', () => {
    const run = runOf([]);
    const running: Entry = {
      id: 'r',
      at: AT,
      pass: 'out',
      readingFt: null,
      kind: 'water',
      state: 'running',
    };
    const inspection = inspectionOf([{ ...run, entries: [running] }]);
    const [drained] = entriesOf(
      inspection,
      run.id,
      [{ kind: 'water', state: 'drained', pass: 'out', readingFt: null }],
      nowMs - 3_600_000,
    );
    expect(Date.parse(drained!.at)).toBeGreaterThan(nowMs);
    expect(Date.parse(drained!.deviceAt!)).toBe(nowMs - 3_600_000);
  });

  it('is told only where a device is off by more than a minute', () => {
    noteServerTime(AT, nowMs + 59_000, nowMs + 60_000);
    expect(deviceAheadMs()).toBe(0);
    noteServerTime(AT, nowMs + 3_600_000, nowMs + 3_600_000);
    expect(deviceAheadMs()).toBe(3_600_000);
  });
});

describe('a still', () => {
  it.each<[string, Blob, RegExp | null]>([
    ['a JPEG', new Blob([new Uint8Array([0xff, 0xd8, 0xff, 0xe0])]), null],
    [
      'a PNG by its content',
      new Blob([new Uint8Array([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a])], {
        type: 'text/plain',
      }),
      null,
    ],
    [
      'a page that calls itself a picture',
      new Blob(['<html>'], { type: 'image/png' }),
      /Expected a JPEG or PNG/,
    ],
    [
      'eleven megabytes',
      new Blob([new Uint8Array(MEDIA_MOST_BYTES + 1)]),
      /at most 10 MB, got 10\.0 MB/,
    ],
  ])('%s', async (_, blob, trouble) => {
    const checked = await checkStill(blob);
    if (trouble) expect('trouble' in checked && checked.trouble).toMatch(trouble);
    else expect('still' in checked).toBe(true);
  });
});
