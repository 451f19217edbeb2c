import { describe, expect, it } from 'vitest';
import { madeWebm } from '../testing/webm';
import { type ReadBytes, walkWebm, type Webm } from './webm';
import { clipOf, durationMsOf, withContents } from './webm-contents';

const SOUND = 1;
const PICTURE = 2;
/** Ten seconds: a key picture each four, a cluster between that begins with none. */
const RECORDED = madeWebm([
  {
    atMs: 0,
    blocks: [
      [SOUND, 0, true, [1]],
      [PICTURE, 5, true, [2, 2, 2]],
      [PICTURE, 2000, false, [3]],
    ],
  },
  { atMs: 4000, blocks: [[PICTURE, 0, true, [4, 4]]] },
  { atMs: 6000, blocks: [[PICTURE, 10, false, [5]]] },
  {
    atMs: 8000,
    blocks: [
      [PICTURE, 0, true, [6]],
      [SOUND, 2000, true, [7]],
    ],
  },
]);

const readerOf =
  (bytes: Uint8Array): ReadBytes =>
  async (from, length) =>
    bytes.slice(from, from + length);

const walk = (bytes: Uint8Array): Promise<Webm | null> => walkWebm(readerOf(bytes), bytes.length);

/** What a player reads of a file: how long it is, what its table says, and the bytes that stand at each place. */
function played(bytes: Uint8Array) {
  const text = Buffer.from(bytes);
  const durationAt = text.indexOf(Buffer.from([0x44, 0x89]));
  const segmentAt = text.indexOf(Buffer.from([0x18, 0x53, 0x80, 0x67])) + 12;
  const cues: { ms: number; content: string }[] = [];
  for (let at = text.indexOf(0xbb); ;) {
    at = text.indexOf(Buffer.from([0xb3, 1, 0, 0, 0, 0, 0, 0, 8]), at + 1);
    if (at < 0) break;
    const ms = Number(text.readBigUInt64BE(at + 9));
    const placeAt = text.indexOf(Buffer.from([0xf1, 1, 0, 0, 0, 0, 0, 0, 8]), at) + 9;
    const place = segmentAt + Number(text.readBigUInt64BE(placeAt));
    cues.push({ ms, content: text.subarray(place, place + 4).toString('hex') });
  }
  return {
    durationMs: text.readDoubleBE(durationAt + 2 + 8),
    segmentBytes: Number(text.readBigUInt64BE(segmentAt - 8) & 0xffffffffffffffn),
    cues,
    segmentAt,
  };
}

const CLUSTER = '1f43b675';

describe('what lies where in a recording', () => {
  it('is found without a length and without an end of any cluster', async () => {
    const webm = (await walk(RECORDED))!;
    expect(webm.videoTrack).toBe(PICTURE);
    expect(webm.clusters.map(({ tick, isKey }) => [tick, isKey])).toEqual([
      [0, true],
      [4000, true],
      [6000, false],
      [8000, true],
    ]);
    expect(durationMsOf(webm)).toBe(10_000);
    expect(webm.endsAt).toBe(RECORDED.length);
  });

  it('leaves out what was cut off in the middle of a picture', async () => {
    const webm = (await walk(RECORDED.subarray(0, RECORDED.length - 1)))!;
    expect(durationMsOf(webm)).toBe(8000);
    expect(webm.endsAt).toBeLessThan(RECORDED.length - 1);
  });

  it('is not asked of a file that tells it itself, nor of any other file', async () => {
    const { front, rest } = await withContents(readerOf(RECORDED), (await walk(RECORDED))!);
    const whole = Uint8Array.from([...front, ...RECORDED.subarray(rest.from, rest.to)]);
    expect(await walk(whole)).toBeNull();
    expect(await walk(Uint8Array.from([1, 2, 3, 4]))).toBeNull();
    expect(await walk(new Uint8Array())).toBeNull();
    expect(await walk(madeWebm([]))).toBeNull();
  });

  it('tells its length and where each key picture is, in front', async () => {
    const { front, rest } = await withContents(readerOf(RECORDED), (await walk(RECORDED))!);
    const whole = Uint8Array.from([...front, ...RECORDED.subarray(rest.from, rest.to)]);
    const read = played(whole);
    expect(read.durationMs).toBe(10_000);
    expect(read.cues).toEqual([0, 4000, 8000].map((ms) => ({ ms, content: CLUSTER })));
    expect(read.segmentAt + read.segmentBytes).toBe(whole.length);
    // The pictures are as they were.
    expect(whole.subarray(front.length)).toEqual(RECORDED.subarray(rest.from));
  });

  it('gives a part of it as a file of its own, that begins with a key picture at zero', async () => {
    const webm = (await walk(RECORDED))!;
    const clip = await clipOf(readerOf(RECORDED), webm, 5000, 7000);
    const read = played(clip);
    expect(read.durationMs).toBe(4000);
    expect(read.cues).toEqual([{ ms: 0, content: CLUSTER }]);
    expect(read.segmentAt + read.segmentBytes).toBe(clip.length);
    const text = Buffer.from(clip);
    const ticks = [...text.toString('hex').matchAll(/e7010000000000000 ?4(.{8})/g)];
    expect(ticks.map(([, tick]) => parseInt(tick!, 16))).toEqual([0, 2000]);
    // To the end, where what is asked for goes past it.
    const toEnd = await clipOf(readerOf(RECORDED), webm, 9000, 20_000);
    expect(played(toEnd).durationMs).toBe(2000);
  });
});
