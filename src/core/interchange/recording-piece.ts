/** A recording is kept in pieces of at most this, bytes: each is stored whole, or not at all. */
export const PIECE_BYTES = 4 * 1024 * 1024;

const DIGITS = 6;
const PIECE = /^rec\.(.+)\.(\d{6})$/;

/** The id under which one piece of a recording is kept, among stills: they sort in order. */
export const pieceId = (recordingId: string, number: number): string =>
  `rec.${recordingId}.${String(number).padStart(DIGITS, '0')}`;

/** What piece an id names; `null` when it names a still or a voice note. */
export function pieceOf(
  id: string,
): { readonly recordingId: string; readonly number: number } | null {
  const [, recordingId, number] = PIECE.exec(id) ?? [];
  return recordingId === undefined ? null : { recordingId, number: Number(number) };
}

/** First and last id that pieces of a recording can have: between them lie all, and nothing else. */
export const pieceBounds = (recordingId: string) =>
  [pieceId(recordingId, 0), pieceId(recordingId, 10 ** DIGITS - 1)] as const;

/** A part of a whole in bytes, both ends in it. */
export type ByteSpan = { readonly from: number; readonly to: number };

/**
 * What a `Range` header asks for (RFC 9110, 14.1.2; one range of bytes).
 *
 * @returns `null` when it asks for nothing that there is.
 */
export function readRange(header: string | null, size: number, most: number): ByteSpan | null {
  const whole = { from: 0, to: Math.min(size, most) - 1 };
  if (header === null) return whole;
  const [, first = '', last = ''] = /^bytes=(\d*)-(\d*)$/.exec(header.trim()) ?? [];
  // What is not understood is answered as if it were not there.
  if (first === '' && last === '') return whole;
  const from = first === '' ? Math.max(0, size - Number(last)) : Number(first);
  const to = first === '' || last === '' ? size - 1 : Math.min(Number(last), size - 1);
  return from > to ? null : { from, to: Math.min(to, from + most - 1) };
}
