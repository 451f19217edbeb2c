import { closeSync, openSync, readSync } from 'node:fs';
import type { Database } from 'better-sqlite3';
import { type ByteSpan, pieceBounds, pieceId } from '#core/interchange/recording-piece';
import { MediaGone, pathOfMedia } from './media';
import { prepared } from './prepared';

type Piece = { readonly id: string; readonly bytes: number };

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
    'SELECT id, type, bytes FROM media WHERE job_id = ? AND id BETWEEN ? AND ? ORDER BY id',
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
function readPart(file: string, into: Uint8Array, from: number): number {
  let handle: number;
  try {
    handle = openSync(file, 'r');
  } catch (error) {
    throw new MediaGone(`${file} is gone`, { cause: error });
  }
  try {
    return readSync(handle, into, 0, into.byteLength, from);
  } finally {
    closeSync(handle);
  }
}

/**
 * Reads a part of a recording, from as many pieces as it lies in.
 *
 * @throws {MediaGone} when a piece is on record and its file is missing or cut short.
 */
export function readRecording(
  folder: string,
  jobId: string,
  { pieces }: StoredRecording,
  { from, to }: ByteSpan,
): Uint8Array<ArrayBuffer> {
  const bytes = new Uint8Array(to - from + 1);
  let beginsAt = 0;
  for (const piece of pieces) {
    const [start, end] = [Math.max(from, beginsAt), Math.min(to, beginsAt + piece.bytes - 1)];
    if (start <= end) {
      const part = bytes.subarray(start - from, end - from + 1);
      const count = readPart(pathOfMedia(folder, jobId, piece.id).file, part, start - beginsAt);
      if (count !== part.byteLength) throw new MediaGone(`piece ${piece.id} is cut short`);
    }
    beginsAt += piece.bytes;
  }
  return bytes;
}
