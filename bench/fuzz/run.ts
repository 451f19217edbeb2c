import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { benchServer, pause, randomFrom, TOKEN } from '../chaos/server';
import { craftedImports } from './crafted';

// npx tsx bench/fuzz/run.ts: requests made by chance and imports made to hurt. No answer may be 500 or over,
// the server may not die, and its memory stays under 600 MB. FUZZ_REQUESTS and FUZZ_SEED say how many, which.
const REQUESTS = Number(process.env['FUZZ_REQUESTS'] ?? 10_000);
const SEED = Number(process.env['FUZZ_SEED'] ?? 1);
const MOST_MB = 600;
const AT_ONCE = 6;
const PORT = 4879;

const folder = mkdtempSync(join(tmpdir(), 'chert-fuzz-'));
const server = benchServer(PORT, folder);
const random = randomFrom(SEED);
const pick = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)]!;
const authorization = `Bearer ${TOKEN}`;
const alder = readFileSync('demo/alder-bend.chert.json', 'utf8');

const JOBS = [
  'demo-alder-bend',
  'nix',
  '..',
  '%2e%2e',
  'a%2Fb',
  '%',
  '%00',
  'x'.repeat(3000),
  '%F0%9F',
  "'--",
  '__proto__',
];
const RUNS = ['R1', 'R9', '%', '..%2f'];
const TAILS = [
  '',
  '/history',
  '/file',
  '/report.pdf',
  '/report.pdf?reader=x',
  '/issued',
  '/issued/1/buyer.pdf',
  '/shares',
  '/shares/x',
  '/send',
  '/files/job.zip',
  '/files/chapters.vtt?run=R1&offset=NaN',
  '/files/nix',
  '/media/x',
  '/media/%',
  '?since=x',
  '/nix',
];
const PAGES = [
  '/',
  '/?q=%',
  `/?q=${'x'.repeat(2000)}`,
  '/settings',
  '/prices',
  '/outbox',
  '/r/x',
  '/r/x/buyer.pdf',
  '/nix',
  '/light',
  '/access',
  '//evil.example',
  '/%',
  '/jobs/demo-alder-bend/scope',
  '/jobs/demo-alder-bend/repairs',
  '/jobs/nix/scope',
  '/jobs/%/report',
  '/jobs/demo-alder-bend/issued/1?reader=x',
  '/jobs/demo-alder-bend/request?plan=x',
  '/jobs/demo-alder-bend/remove',
  '/_astro/../../package.json',
  '/api/health',
  '/api/preferences',
  '/api/outbox/x/y',
];
const METHODS = ['GET', 'GET', 'GET', 'POST', 'POST', 'PUT', 'PATCH', 'DELETE', 'OPTIONS', 'HEAD'];
const VALUES: readonly unknown[] = [
  null,
  0,
  -1,
  1e308,
  '',
  'x',
  '‮',
  '\ud800',
  [],
  {},
  true,
  'x'.repeat(10_000),
  [[[]]],
  { __proto__: 1 },
  '2026-13-45',
  '9'.repeat(400),
];
const PATHS = [
  ['property', 'yearBuilt'],
  ['job', 'title'],
  ['runs', 'R1', 'zero'],
  ['runs', 'R2'],
  ['ties', 'T'],
  ['decisions', 'd'],
  ['spans', 'A to B'],
  ['property', '@x', '@y'],
  ['__proto__', 'x'],
  ['settings', 'thresholds'],
  [],
  ['lines'],
];

function body(): string {
  const dice = random();
  const entry = {
    id: `f${random()}`,
    at: '2026-11-03T09:00:00Z',
    pass: 'out',
    readingFt: 1,
    kind: pick(['note', 'defect', 'close', 'retract', 'blob']),
    note: pick(VALUES),
    defect: 'roots',
    extentRatio: pick(VALUES),
    closes: pick(VALUES),
  };
  if (dice < 0.25)
    return JSON.stringify({
      entries: [entry, pick(VALUES)].slice(0, 1 + Math.floor(random() * 2)),
    });
  if (dice < 0.5)
    return JSON.stringify({
      id: `c${random()}`,
      device: 'd',
      saidAt: '2026-11-03T09:00:00Z',
      base: 1,
      edits: [{ path: pick(PATHS), value: pick(VALUES) }],
    });
  if (dice < 0.6)
    return JSON.stringify({
      label: pick(VALUES),
      days: pick(VALUES),
      reason: pick(VALUES),
      limits: pick(VALUES),
      to: pick(VALUES),
      attach: pick(VALUES),
    });
  if (dice < 0.7) return JSON.stringify({ reason: 'x', limits: 'x' });
  if (dice < 0.8) return JSON.stringify(pick(VALUES));
  return pick(['', '{', '[1,', '\u0000', 'null', 'a=b&c=d', 'x'.repeat(5_000)]);
}

type Answer = { readonly status: number; readonly what: string; readonly said?: string };

async function ask(): Promise<Answer> {
  const job = pick(JOBS);
  const path =
    random() < 0.3
      ? pick(PAGES)
      : random() < 0.5
        ? `/api/jobs/${job}${pick(TAILS)}`
        : random() < 0.5
          ? `/api/jobs/${job}/runs/${pick(RUNS)}/entries`
          : '/api/jobs/import';
  // A job that is removed is removed for the rest of the round: that alone is not asked.
  const method = path.endsWith('/remove') ? 'GET' : pick(METHODS);
  const isDelete = method === 'DELETE' && path === '/api/jobs/demo-alder-bend';
  const headers: Record<string, string> = { authorization };
  if (random() < 0.9)
    headers['content-type'] = pick([
      'application/json',
      'application/json',
      'text/plain',
      'application/zip',
      'image/png',
    ]);
  if (random() < 0.05) headers['authorization'] = pick(['Bearer x', 'Basic eA==', '']);
  if (random() < 0.05) headers['x-chert-installation'] = 'x';
  if (random() < 0.05)
    headers['cookie'] = pick(['chert-access=x', ';;;', 'light=%', '='.repeat(500)]);
  const what = `${method} ${path.slice(0, 80)}`;
  if (isDelete) return { status: 0, what };
  const withBody = method === 'GET' || method === 'HEAD' ? {} : { body: body() };
  const response = await fetch(server.base + path, {
    method,
    headers,
    redirect: 'manual',
    ...withBody,
  }).catch((error: unknown) => error as Error);
  if (response instanceof Error) return { status: server.hasDied() ? -1 : 0, what };
  const said = await response.text().catch(() => '');
  return { status: response.status, what, ...(response.status >= 500 ? { said } : {}) };
}

/** The most memory that the process ever had, MB. */
function peakMb(): number {
  const status = readFileSync(`/proc/${server.pid()}/status`, 'utf8');
  return Number(/VmHWM:\s+(\d+) kB/.exec(status)?.[1]) / 1024;
}

server.spawn();
await server.ready();
await pause(1_500);
const faults: string[] = [];
const statuses = new Map<number, number>();
const take = ({ status, what, said }: Answer) => {
  statuses.set(status, (statuses.get(status) ?? 0) + 1);
  if (status >= 500 || status < 0)
    faults.push(`${status}: ${what}${said ? `: ${said.slice(0, 200)}` : ''}`);
};
const post = (type: string, bytes: Uint8Array | string) =>
  fetch(`${server.base}/api/jobs/import`, {
    method: 'POST',
    headers: { authorization, 'content-type': type },
    body: bytes as BodyInit,
  });
await post('application/json', alder);
const crafted = craftedImports();
for (const { name, type, body: bytes } of crafted) {
  const startMs = performance.now();
  const response = await post(type, bytes).catch(() => null);
  const said = response ? ((await response.json().catch(() => ({}))) as { id?: string }) : {};
  take({ status: response?.status ?? -1, what: `import of ${name}` });
  // What was taken can be opened, and takes nothing else along.
  for (const page of [
    '/',
    ...(said.id
      ? [
          `/jobs/${encodeURIComponent(said.id)}/report`,
          `/api/jobs/${encodeURIComponent(said.id)}/file`,
        ]
      : []),
  ]) {
    const shown = await fetch(server.base + page, { headers: { authorization } }).catch(() => null);
    const shownText = (await shown?.text()) ?? '';
    take({
      status: shown?.status ?? -1,
      what: `${page} after import of ${name}`,
      ...((shown?.status ?? 0) >= 500 ? { said: shownText } : {}),
    });
  }
  const tookMs = performance.now() - startMs;
  if (tookMs > 10_000) console.log(`${name}: ${Math.round(tookMs)} ms`);
}
console.log(`${crafted.length} crafted imports, peak ${Math.round(peakMb())} MB`);
let asked = 0;
await Promise.all(
  Array.from({ length: AT_ONCE }, async () => {
    while (asked < REQUESTS) {
      asked += 1;
      take(await ask());
    }
  }),
);
const peak = peakMb();
if (peak > MOST_MB) faults.push(`memory: ${Math.round(peak)} MB`);
await server.kill();
rmSync(folder, { recursive: true, force: true });
console.log(
  [...statuses]
    .sort((a, b) => a[0] - b[0])
    .map(([status, n]) => `${status}: ${n}`)
    .join(', '),
);
for (const fault of faults.slice(0, 40)) console.error(fault);
console.log(`${asked} requests, peak ${Math.round(peak)} MB, ${faults.length} faults`);
process.exit(faults.length === 0 ? 0 : 1);
