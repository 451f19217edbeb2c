import { setImmediate } from 'node:timers/promises';
import type { Database } from 'better-sqlite3';
import { type ByteSpan, pieceBounds, pieceId } from '#core/interchange/recording-piece';
import { type ReadBytes, walkWebm, type Webm } from '#core/recording/webm';
import { clipOf, type Fronted, withContents } from '#core/recording/webm-contents';
import { Refusal } from '../http/answer';
import { prepared } from '../prepared';
import { MediaGone } from './media';
import { type ContentRow, fromItsPlace, type MediaStores } from './store';

type Piece = ContentRow & { readonly id: string; readonly received_at: string };

/** What the server has of a recording: pieces in a row from its beginning. */
export type StoredRecording = {
  readonly type: string;
  readonly bytes: number;
  readonly pieces: readonly Piece[];
};

/** Finds a recording; `null` when its first piece is not here. What lies behind a gap is not in it yet. */
export function findRecording(
  db: Database,
  jobId: string,
  recordingId: string,
): StoredRecording | null {
  const [first, last] = pieceBounds(recordingId);
  const rows = prepared<[string, string, string], Piece & { readonly type: string }>(
    db,
    'SELECT id, type, bytes, sha256, place, received_at FROM media WHERE job_id = ? AND id BETWEEN ? AND ? AND removed_at IS NULL ORDER BY id',
  ).all(jobId, first, last);
  const gap = rows.findIndex(({ id }, number) => id !== pieceId(recordingId, number));
  const pieces = gap < 0 ? rows : rows.slice(0, gap);
  const [beginning] = pieces;
  if (!beginning) return null;
  return {
    type: beginning.type,
    bytes: pieces.reduce((sum, { bytes }) => sum + bytes, 0),
    pieces,
  };
}

/** Reads a part of one piece. */
async function readPiece(
  stores: MediaStores,
  piece: Piece,
  from: number,
  length: number,
): Promise<Uint8Array> {
  const part = await fromItsPlace(stores, piece, ({ readPart }) =>
    readPart(piece.sha256, from, length),
  );
  if (part?.byteLength !== length) throw new MediaGone(`piece ${piece.id} is gone or cut short`);
  return part;
}

/**
 * Reads a part of a recording, from as many pieces as it lies in.
 *
 * @throws {MediaGone} when a piece is on record and its content is missing or cut short.
 * @throws {StoreTrouble} when it lies in a bucket that does not answer.
 */
export async function readRecording(
  stores: MediaStores,
  { pieces }: StoredRecording,
  { from, to }: ByteSpan,
): Promise<Uint8Array<ArrayBuffer>> {
  const bytes = new Uint8Array(to - from + 1);
  let beginsAt = 0;
  for (const piece of pieces) {
    const [start, end] = [Math.max(from, beginsAt), Math.min(to, beginsAt + piece.bytes - 1)];
    if (start <= end)
      bytes.set(await readPiece(stores, piece, start - beginsAt, end - start + 1), start - from);
    beginsAt += piece.bytes;
    if (beginsAt > to) break;
  }
  return bytes;
}

/** So many parts are read between two breaths: others wait meanwhile. */
const BREATH = 4000;

function readerOf(stores: MediaStores, stored: StoredRecording): ReadBytes {
  let count = 0;
  return async (from, length) => {
    count += 1;
    if (count % BREATH === 0) await setImmediate();
    const to = Math.min(from + length, stored.bytes) - 1;
    return to < from ? new Uint8Array() : readRecording(stores, stored, { from, to });
  };
}

/** What was found in recordings, or is being found, by what they are; the ones looked at last. */
const walked = new Map<string, Promise<Webm | null>>();
const MOST_WALKED = 20;

/** Finds out what lies where, without holding up anybody else for long; once for as much as there is of it. */
function walk(stores: MediaStores, stored: StoredRecording): Promise<Webm | null> {
  const key = `${stored.pieces[0]!.sha256} ${stored.pieces.at(-1)!.sha256} ${stored.bytes}`;
  const known = walked.get(key);
  if (known) return known;
  const walking = walkWebm(readerOf(stores, stored), stored.bytes);
  walked.set(key, walking);
  // What could not be read is walked again.
  walking.catch(() => walked.delete(key));
  const [oldest] = walked.keys();
  if (walked.size > MOST_WALKED && oldest !== undefined) walked.delete(oldest);
  return walking;
}

/** A recording that got nothing new for so long is not being made any more, ms. */
const AT_REST_MS = 8_000;

/**
 * What stands in front of a recording that its browser left without a length and a table of contents; `null`
 * where it needs none, and while it is still being made: a player would find another file at each piece.
 */
export async function frontOf(
  stores: MediaStores,
  stored: StoredRecording,
  nowMs: number,
): Promise<Fronted | null> {
  const last = stored.pieces.at(-1)!;
  if (nowMs - Date.parse(last.received_at) < AT_REST_MS) return null;
  const webm = await walk(stores, stored);
  return webm && withContents(readerOf(stores, stored), webm);
}

/** Reads a part of a recording as it is served: its own front, then the pictures. */
export async function readFronted(
  stores: MediaStores,
  stored: StoredRecording,
  { front, rest }: Fronted,
  { from, to }: ByteSpan,
): Promise<Uint8Array<ArrayBuffer>> {
  const bytes = new Uint8Array(to - from + 1);
  bytes.set(front.subarray(from, to + 1));
  const shift = rest.from - front.length;
  const begin = Math.max(from, front.length);
  if (begin <= to)
    bytes.set(
      await readRecording(stores, stored, { from: begin + shift, to: to + shift }),
      begin - from,
    );
  return bytes;
}

/**
 * A part of a recording as a file of its own.
 *
 * @returns `null` where only the whole of it can be had: it is no WebM, or has contents of its own.
 * @throws {MediaGone} as `readRecording`.
 */
export async function readClip(
  stores: MediaStores,
  stored: StoredRecording,
  fromMs: number,
  toMs: number,
): Promise<Uint8Array<ArrayBuffer> | null> {
  const webm = await walk(stores, stored);
  return webm && clipOf(readerOf(stores, stored), webm, fromMs, toMs);
}

/** Answers where a piece of a recording is gone from the disk. */
export async function whereGone<Made>(read: () => Promise<Made>): Promise<Made> {
  try {
    return await read();
  } catch (error) {
    if (!(error instanceof MediaGone)) throw error;
    throw new Refusal(410, 'gone', 'A part of this recording is missing on the server’s disk.');
  }
}
