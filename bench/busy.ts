import type { Row } from './row';
import { percentile } from './times';

const EVERY_MS = 15;
const IDLE_POSTS = 400;
const PDFS = 5;

type Ask = (path: string, init?: RequestInit) => Promise<Response>;

let posted = 0;

/** Posts one durable entry; ms. */
async function postEntry(ask: Ask, jobId: string): Promise<number> {
  const entry = {
    id: `busy-${(posted += 1)}`,
    at: '2026-11-03T09:00:00-08:00',
    pass: 'out',
    readingFt: 1,
    kind: 'note',
    note: 'x',
  };
  const body = JSON.stringify({ entries: [entry] });
  const startMs = performance.now();
  const response = await ask(`/api/jobs/${jobId}/runs/R1/entries`, { method: 'POST', body });
  await response.arrayBuffer();
  if (!response.ok) throw new Error(`an entry was answered ${response.status}`);
  return performance.now() - startMs;
}

async function postWhile(
  ask: Ask,
  jobId: string,
  isOn: (count: number) => boolean,
): Promise<number[]> {
  const times: number[] = [];
  while (isOn(times.length)) {
    times.push(await postEntry(ask, jobId));
    await new Promise((resolve) => setTimeout(resolve, EVERY_MS));
  }
  return times;
}

/**
 * Times entry POSTs on an idle server, then while five PDFs, an issue and an import of 5,000 entries run.
 *
 * @param file an inspection file of 5,000 entries.
 */
export async function benchBusy(
  ask: Ask,
  jobs: { readonly entries: string; readonly printed: string; readonly file: string },
): Promise<Row[]> {
  await postWhile(ask, jobs.entries, (count) => count < 50);
  const idle = await postWhile(ask, jobs.entries, (count) => count < IDLE_POSTS);
  const pdf = `/api/jobs/${jobs.printed}/report.pdf`;
  const work = [
    ...Array.from({ length: PDFS }, () => ask(pdf)),
    ask(`/api/jobs/${jobs.printed}/issued`, {
      method: 'POST',
      body: JSON.stringify({ reason: 'r', limits: 'l' }),
    }),
    ask('/api/jobs/import', { method: 'POST', body: jobs.file }),
  ];
  let isBusy = true;
  const startMs = performance.now();
  const done = Promise.all(work.map(async (one) => (await one).arrayBuffer())).then(() => {
    isBusy = false;
  });
  const busy = await postWhile(ask, jobs.entries, () => isBusy);
  await done;
  const tookS = (performance.now() - startMs) / 1000;
  const p99 = (times: readonly number[]) => percentile(times, 0.99);
  const over = p99(busy) - p99(idle);
  return [
    {
      what: `entry POST while ${PDFS} PDFs, an issue and an import of 5,000 entries run (${tookS.toFixed(1)} s, ${busy.length} posts)`,
      aim: 'p99 at most 50 ms over idle',
      got: `p50 ${percentile(busy, 0.5).toFixed(1)} ms, p99 ${p99(busy).toFixed(1)} ms; idle p50 ${percentile(idle, 0.5).toFixed(1)}, p99 ${p99(idle).toFixed(1)}: ${over.toFixed(0)} ms over, ${(p99(busy) / p99(idle)).toFixed(1)} times`,
    },
  ];
}
