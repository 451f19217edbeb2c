import { findDraft, keepDraft } from '#client/store';
import type { CounterPoint } from '#core/model/job/recording';
import { thin } from '#core/recording/thin';

/** A straight line between two points may be off by this, feet: half of what a counter shows. */
const WITHIN_FT = 0.05;

const keyOf = (recordingId: string) => `counter:${recordingId}`;

/** A reel tells each change: where it told none for so long it stood still, ms. */
const REST_MS = 1000;
/** It is told at most this often: so long before the next change it still stood, ms. */
const TOLD_MS = 200;

/** A record with one reading more. The record is read again thinned, so what rests must say so itself. */
export function withReading(
  points: readonly CounterPoint[],
  [atMs, readingFt]: CounterPoint,
): CounterPoint[] {
  const last = points.at(-1);
  const rested: CounterPoint[] =
    last && atMs - last[0] > REST_MS ? [[atMs - TOLD_MS, last[1]]] : [];
  return [...points, ...rested, [atMs, readingFt]];
}

/** The record without what a straight line tells. */
export const thinned = (points: readonly CounterPoint[]): CounterPoint[] =>
  points.length < 3 ? [...points] : thin(points, WITHIN_FT);

/** Puts by what a reel has told so far, so that a page that is killed loses no more than some seconds of it. */
export function keepCounter(recordingId: string, points: readonly CounterPoint[]): void {
  // Without room for it the log's own footages are left to go by.
  void keepDraft(keyOf(recordingId), JSON.stringify(points)).catch(() => undefined);
}

/** What was put by of a recording that was cut off; empty where nothing was. */
export async function findCounter(recordingId: string): Promise<readonly CounterPoint[]> {
  const text = await findDraft(keyOf(recordingId));
  return text === '' ? [] : (JSON.parse(text) as CounterPoint[]);
}
