import { SERVER_ENV } from './server-env';
import { type ChildProcess, spawn } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { type APIRequestContext, expect } from '@playwright/test';

/** A server of a test's own, over data of its own, to be killed and started again. */
export function ownServer(port: number) {
  const base = `http://127.0.0.1:${port}`;
  let data = '';
  let server: ChildProcess | null = null;

  async function start(request: APIRequestContext): Promise<void> {
    server = spawn(process.execPath, ['--import', 'tsx', 'src/cli/serve.ts'], {
      env: { ...process.env, ...SERVER_ENV, PORT: String(port), CHERT_DATA: data },
      stdio: 'ignore',
    });
    await expect(async () => {
      expect((await request.get(`${base}/api/health`)).ok()).toBe(true);
    }).toPass();
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
  return {
    port,
    base,
    start,
    kill,
    reset: () => {
      data = mkdtempSync(join(tmpdir(), 'chert-own-'));
    },
    end: async () => {
      await kill();
      rmSync(data, { recursive: true, force: true });
    },
  };
}
