import { describe, expect, it } from 'vitest';
import { pieceBounds, pieceId, pieceOf, readRange } from './recording-piece';

describe('pieces of a recording', () => {
  it('have ids that sort in order and tell what they are', () => {
    expect(pieceOf(pieceId('01J', 12))).toEqual({ recordingId: '01J', number: 12 });
    expect([pieceId('a', 10), pieceId('a', 9), pieceId('a', 100)].sort()).toEqual(
      [9, 10, 100].map((number) => pieceId('a', number)),
    );
    expect(pieceOf('P1')).toBeNull();
    const [first, last] = pieceBounds('a');
    expect(pieceId('a', 77) > first && pieceId('a', 77) < last).toBe(true);
    expect(pieceId('b', 0) < last && pieceId('b', 0) > first).toBe(false);
  });
});

describe('a range of bytes', () => {
  it.each([
    [null, { from: 0, to: 99 }],
    ['bytes=0-', { from: 0, to: 99 }],
    ['bytes=950-', { from: 950, to: 999 }],
    ['bytes=10-19', { from: 10, to: 19 }],
    ['bytes=10-5000', { from: 10, to: 109 }],
    ['bytes=-30', { from: 970, to: 999 }],
    ['bytes=-5000', { from: 0, to: 99 }],
    ['bytes=1000-', null],
    ['bytes=20-10', null],
    ['pages=1-2', { from: 0, to: 99 }],
    ['bytes=0-1,5-6', { from: 0, to: 99 }],
  ])('%s of 1,000, at most 100 at once', (header, span) => {
    expect(readRange(header, 1000, 100)).toEqual(span);
  });
});
