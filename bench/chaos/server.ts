import { type ChildProcess, spawn } from 'node:child_process';

/** The token that scripts of the bench bring. */
export const TOKEN = 'bench-bench-bench-bench';
const READY_MS = 60_000;

export const pause = (ms: number): Promise<void> =>
  new Promise((resolve) => setTimeout(resolve, ms));

/** A server over a data folder, to be killed at any moment and started again. */
export function benchServer(port: number, data: string) {
  const base = `http://127.0.0.1:${port}`;
  let child: ChildProcess | null = null;
  return {
    base,
    pid: () => child?.pid ?? 0,
    /** Whether the process has ended by itself. */
    hasDied: () => child !== null && child.exitCode !== null,
    spawn(): void {
      child = spawn(process.execPath, ['scripts/built.mjs', 'serve'], {
        env: {
          ...process.env,
          PORT: String(port),
          CHERT_DATA: data,
          CHERT_TOKEN: TOKEN,
          CHERT_BACKUPS: 'off',
        },
        stdio: ['ignore', 'ignore', process.env['CHAOS_LOUD'] ? 'inherit' : 'ignore'],
      });
    },
    async ready(): Promise<void> {
      const untilMs = Date.now() + READY_MS;
      while (Date.now() < untilMs) {
        const isUp = await fetch(`${base}/api/health`).then(
          (response) => response.ok,
          () => false,
        );
        if (isUp) return;
        await pause(20);
      }
      throw new Error(`the server on ${port} did not come up`);
    },
    async kill(signal: NodeJS.Signals = 'SIGKILL'): Promise<void> {
      const running = child;
      child = null;
      if (!running || running.exitCode !== null) return;
      const gone = new Promise((resolve) => running.once('exit', resolve));
      running.kill(signal);
      await gone;
    },
  };
}

/** A random number in [0, 1) from a seed: mulberry32. */
export function randomFrom(seed: number): () => number {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let mixed = Math.imul(state ^ (state >>> 15), state | 1);
    mixed ^= mixed + Math.imul(mixed ^ (mixed >>> 7), mixed | 61);
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 4_294_967_296;
  };
}
