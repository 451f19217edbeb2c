/** The time that a share of all times is not above. */
export function percentile(times: readonly number[], share: number): number {
  const sorted = [...times].sort((a, b) => a - b);
  return sorted[Math.min(sorted.length - 1, Math.floor(sorted.length * share))]!;
}

export const median = (times: readonly number[]): number => percentile(times, 0.5);

/** Times as a row says them. */
export const sayTimes = (times: readonly number[]): string =>
  `p50 ${percentile(times, 0.5).toFixed(1)} ms, p99 ${percentile(times, 0.99).toFixed(1)} ms`;
