import { type ChildProcess, spawn } from 'node:child_process';
import { Agent, request } from 'node:http';
import { join } from 'node:path';
import { TOKEN } from './chaos/server';
import type { Row } from './row';
import { percentile } from './times';

const agent = new Agent({ keepAlive: true, maxSockets: 50 });
let posted = 0;

/** Posts one durable entry; ms until it was answered. */
function post(port: number, path: string): Promise<number> {
  const entry = {
    id: `post-${(posted += 1)}`,
    at: '2026-11-03T09:00:00-08:00',
    pass: 'out',
    readingFt: 1,
    kind: 'note',
    note: 'x',
  };
  const body = JSON.stringify({ entries: [entry] });
  const headers = {
    'content-type': 'application/json',
    'content-length': Buffer.byteLength(body),
    authorization: `Bearer ${TOKEN}`,
  };
  return new Promise((resolve, reject) => {
    const startMs = performance.now();
    const asked = request({ port, path, method: 'POST', agent, headers }, (response) => {
      response.resume();
      response.on('end', () => {
        if ((response.statusCode ?? 500) < 300) resolve(performance.now() - startMs);
        else reject(new Error(`an entry was answered ${response.statusCode}`));
      });
    });
    asked.on('error', reject);
    asked.end(body);
  });
}

type Load = { readonly perS: number; readonly times: readonly number[] };

/** Posts from so many clients, each one after another. */
async function load(port: number, path: string, clients: number, each: number): Promise<Load> {
  const startMs = performance.now();
  const times = await Promise.all(
    Array.from({ length: clients }, async () => {
      const own: number[] = [];
      for (let index = 0; index < each; index += 1) own.push(await post(port, path));
      return own;
    }),
  );
  const perS = ((clients * each) / (performance.now() - startMs)) * 1000;
  return { perS, times: times.flat() };
}

const say = ({ perS, times }: Load) =>
  `${perS.toFixed(0)}/s, p50 ${percentile(times, 0.5).toFixed(1)} ms, p99 ${percentile(times, 0.99).toFixed(1)} ms`;

async function isUp(port: number): Promise<void> {
  for (;;) {
    const is = await fetch(`http://127.0.0.1:${port}/`).then(
      () => true,
      () => false,
    );
    if (is) return;
    await new Promise((resolve) => setTimeout(resolve, 20));
  }
}

/** Times durable entries beside a bare server that only inserts them, in turns, so that both meet the same machine. */
export async function benchPosts(
  port: number,
  paths: readonly (readonly [name: string, path: string])[],
  data: string,
): Promise<Row[]> {
  const barePort = port + 7;
  const bare: ChildProcess = spawn(
    process.execPath,
    ['--import', 'tsx', 'bench/bare.ts', String(barePort), join(data, 'bare.db')],
    { stdio: 'ignore' },
  );
  try {
    await isUp(barePort);
    const rows: Row[] = [];
    for (const clients of [1, 50]) {
      const each = clients === 1 ? 300 : 40;
      await load(barePort, '/', clients, each);
      for (const [name, path] of paths) {
        await load(port, path, clients, each);
        const least = await load(barePort, '/', clients, each);
        const ours = await load(port, path, clients, each);
        const p99 = (one: Load) => percentile(one.times, 0.99);
        rows.push({
          what: `entry POST, durable, ${clients} client${clients > 1 ? 's' : ''}, ${name}`,
          aim: '≥ 50% of the bare server, p99 ≤ 3 times its',
          got: `${say(ours)}; bare ${say(least)}: ${((100 * ours.perS) / least.perS).toFixed(0)}%, p99 ${(p99(ours) / p99(least)).toFixed(1)} times`,
        });
      }
    }
    return rows;
  } finally {
    bare.kill();
  }
}
