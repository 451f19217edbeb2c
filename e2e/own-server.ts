import { type ChildProcess, spawn, spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect } from '@playwright/test';
import { SERVER_ENV } from './server-env';

const answers = async (url: string) => (await fetch(url).catch(() => null))?.ok ?? false;

/** A server over data of its own, to be killed and started again. */
export function ownServer(port: number, more: Readonly<Record<string, string>> = {}) {
  const base = `http://127.0.0.1:${port}`;
  let data = '';
  let server: ChildProcess | null = null;
  let printed = '';

  const env = () => ({
    ...process.env,
    ...SERVER_ENV,
    ...more,
    PORT: String(port),
    CHERT_DATA: data,
  });
  const cli = (name: string) => ['scripts/built.mjs', name];

  async function start(): Promise<void> {
    server = spawn(process.execPath, cli('serve'), {
      env: env(),
      stdio: ['ignore', 'pipe', 'ignore'],
    });
    printed = '';
    server.stdout?.on('data', (text: Buffer) => (printed += text.toString('utf8')));
    await expect.poll(() => answers(`${base}/api/health`), { timeout: 30_000 }).toBe(true);
  }
  /** As a power cut would: at once, with nothing put in order. */
  async function kill(): Promise<void> {
    const running = server;
    server = null;
    if (!running || running.exitCode !== null) return;
    const gone = new Promise((resolve) => running.once('exit', resolve));
    running.kill('SIGKILL');
    await gone;
  }
  /** Has it say nothing for a while, as one that is busy. */
  function pause(): () => void {
    const running = server;
    running?.kill('SIGSTOP');
    return () => running?.kill('SIGCONT');
  }
  return {
    port,
    base,
    start,
    kill,
    pause,
    env,
    /** The code that it printed for its first owner; empty where none is wanted. */
    ownerCode: async () => {
      await expect.poll(() => printed, { timeout: 10_000 }).toContain('Chert: http');
      return /good for this start: (\S+)/.exec(printed)?.[1] ?? '';
    },
    reset: () => {
      data = mkdtempSync(join(tmpdir(), 'chert-e2e-'));
    },
    /** Puts the demo jobs into its data, before it is started. */
    seed: () => {
      const { status } = spawnSync(process.execPath, cli('seed'), { env: env(), stdio: 'ignore' });
      expect(status).toBe(0);
    },
    end: async () => {
      await kill();
      rmSync(data, { recursive: true, force: true });
    },
  };
}
