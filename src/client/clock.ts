/** A device that is off by more than this is told, and its entries carry both times. */
export const OFF_TOLD_MS = 60_000;

/** How far this device's clock is ahead of the server's, ms; `null` until an answer has told. */
let aheadMs: number | null = null;
const watchers = new Set<() => void>();

/**
 * Takes the server's time from an answer. The server wrote it somewhere between asking and hearing; the
 * middle is taken, so it is good to half of what the answer took.
 *
 * @param askedMs and `heardMs`: this device's clock, ms since 1970.
 */
export function noteServerTime(at: string, askedMs: number, heardMs: number): void {
  const serverMs = Date.parse(at);
  if (!Number.isFinite(serverMs)) return;
  const before = deviceAheadMs();
  aheadMs = (askedMs + heardMs) / 2 - serverMs;
  if (before !== deviceAheadMs()) watchers.forEach((tell) => tell());
}

/** How far this device's clock is ahead (behind: negative), whole seconds in ms; 0 within what is not told. */
export function deviceAheadMs(): number {
  if (aheadMs === null || Math.abs(aheadMs) <= OFF_TOLD_MS) return 0;
  return Math.round(aheadMs / 1000) * 1000;
}

/** Calls when it changes how far the clock is off. */
export function watchClock(onChange: () => void): () => void {
  watchers.add(onChange);
  return () => watchers.delete(onChange);
}

/** Lets tests start without a known server. */
export function forgetServerTime(): void {
  aheadMs = null;
}

/** When an entry is logged: its time, and what this device's own clock said where that is off. */
export type EntryTime = { readonly atMs: number; readonly deviceAtMs: number | null };

/**
 * The time of an entry: the server's as far as it is known, and always after what stands in the run's log,
 * so that a clock set back never turns the order of a log.
 *
 * @param nowMs this device's clock.
 * @param aheadOfServerMs how far that is ahead.
 * @param lastMs the time of the run's last entry; −∞ in an empty log.
 */
export function timeOfEntry(nowMs: number, aheadOfServerMs: number, lastMs: number): EntryTime {
  const serverMs = nowMs - aheadOfServerMs;
  // A millisecond on: what was logged earlier is never taken for what came after.
  const atMs = serverMs > lastMs ? serverMs : lastMs + 1;
  return { atMs, deviceAtMs: Math.abs(atMs - nowMs) > OFF_TOLD_MS ? nowMs : null };
}
