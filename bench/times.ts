import { Bench } from 'tinybench';

/** The time that a share of all times is not above. */
export function percentile(times: readonly number[], share: number): number {
  const sorted = [...times].sort((a, b) => a - b);
  return sorted[Math.min(sorted.length - 1, Math.floor(sorted.length * share))]!;
}

export const median = (times: readonly number[]): number => percentile(times, 0.5);

/** Times a task of this process after warm-up; milliseconds. */
export async function timeTask(task: () => unknown): Promise<{ p50: number; p99: number }> {
  // A task of seconds is not asked for a hundred rounds.
  const bench = new Bench({ time: 1_500, iterations: 8, warmupTime: 400, warmupIterations: 3 });
  bench.add('task', task);
  await bench.run();
  const result = bench.tasks[0]!.result;
  if (!('latency' in result)) throw new Error('The task did not run');
  return result.latency;
}
