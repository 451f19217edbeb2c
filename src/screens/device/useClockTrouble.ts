import { useSyncExternalStore } from 'react';
import { deviceAheadMs, watchClock } from '#client/clock';

const MINUTE_MS = 60_000;
const HOUR_MS = 60 * MINUTE_MS;

function sayHowFar(ms: number): string {
  const [count, unit] =
    ms < 2 * HOUR_MS
      ? [Math.round(ms / MINUTE_MS), 'minute']
      : ms < 48 * HOUR_MS
        ? [Math.round(ms / HOUR_MS), 'hour']
        : [Math.round(ms / (24 * HOUR_MS)), 'day'];
  return `${count} ${unit}${count === 1 ? '' : 's'}`;
}

/** What to say when this device's clock is off; `null` while it is not, or while nobody knows. */
export function useClockTrouble(): string | null {
  const aheadMs = useSyncExternalStore(watchClock, deviceAheadMs, () => 0);
  if (aheadMs === 0) return null;
  const which = aheadMs > 0 ? 'ahead of' : 'behind';
  return `This device’s clock is ${sayHowFar(Math.abs(aheadMs))} ${which} the server’s. Entries get the server’s time and keep both; set the clock right.`;
}
