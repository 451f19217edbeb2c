import Sqlite from 'better-sqlite3';
import type { Inspection } from '#core/model/job/inspection';
import type { Row } from './row';
import { median, percentile } from './times';

type Ask = (path: string, init?: RequestInit) => Promise<Response>;

async function time(ask: Ask, path: string): Promise<number> {
  const startMs = performance.now();
  await (await ask(path)).arrayBuffer();
  return performance.now() - startMs;
}

const say = (times: readonly number[]) =>
  `p50 ${median(times).toFixed(0)} ms, p99 ${percentile(times, 0.99).toFixed(0)} ms`;

/** Times the report's page and PDF with nothing new, and each time after an entry came in. */
export async function benchPages(ask: Ask, jobId: string): Promise<Row[]> {
  const page = `/jobs/${jobId}/report`;
  for (let round = 0; round < 15; round += 1) await time(ask, page);
  const warm: number[] = [];
  for (let round = 0; round < 30; round += 1) warm.push(await time(ask, page));
  const cold: number[] = [];
  for (let round = 0; round < 15; round += 1) {
    const entry = {
      id: `page-${round}`,
      at: '2026-11-03T09:00:00-08:00',
      pass: 'out',
      readingFt: 1,
      kind: 'note',
      note: 'x',
    };
    await ask(`/api/jobs/${jobId}/runs/R1/entries`, {
      method: 'POST',
      body: JSON.stringify({ entries: [entry] }),
    });
    cold.push(await time(ask, page));
  }
  const pdfs: number[] = [];
  for (let round = 0; round < 4; round += 1)
    pdfs.push(await time(ask, `/api/jobs/${jobId}/report.pdf`));
  return [
    { what: 'report page, 200 entries, nothing new', aim: '≤ 15 ms', got: say(warm) },
    { what: 'report page, 200 entries, after an entry', aim: '≤ 60 ms', got: say(cold) },
    {
      what: 'report as PDF, 200 entries, fonts read',
      aim: '≤ 1 s',
      got: `${(median(pdfs.slice(1)) / 1000).toFixed(2)} s; the first ${(pdfs[0]! / 1000).toFixed(2)} s`,
    },
  ];
}

/** Fills a database with copies of a job, by other names and days, as ten years of a firm would. */
function fill(path: string, like: Inspection, from: number, to: number): void {
  const db = new Sqlite(path);
  const insert = db.prepare(
    'INSERT INTO jobs (id, job, property, rest, booked_at) VALUES (?, ?, ?, ?, ?)',
  );
  db.transaction(() => {
    for (let index = from; index < to; index += 1) {
      const day = new Date(Date.parse('2016-01-04T16:00:00Z') + (index % 3_600) * 86_400_000);
      const job = {
        ...like.job,
        id: `filled-${index}`,
        title: `${index} Flint Row`,
        scheduledFor: day.toISOString(),
        inspectionPeriodEndsOn: day.toISOString().slice(0, 10),
      };
      const property = { ...like.property, address: `${index} Flint Row` };
      insert.run(job.id, JSON.stringify(job), JSON.stringify(property), '{}', job.scheduledFor);
    }
  })();
  db.close();
}

/** Times Jobs with a firm's years in it, and a search through them. */
export async function benchLists(ask: Ask, path: string, like: Inspection): Promise<Row[]> {
  const rows: Row[] = [];
  let filled = 0;
  for (const [count, aim] of [
    [10_000, '≤ 50 ms'],
    [100_000, '≤ 100 ms'],
  ] as const) {
    fill(path, like, filled, count);
    filled = count;
    for (const [what, query] of [
      ['', '/'],
      [', searched', '/?q=77%20flint'],
    ] as const) {
      for (let round = 0; round < 8; round += 1) await time(ask, query);
      const times: number[] = [];
      for (let round = 0; round < 20; round += 1) times.push(await time(ask, query));
      rows.push({
        what: `Jobs with ${count.toLocaleString('en-US')} jobs${what}`,
        aim: what === '' ? aim : '–',
        got: say(times),
      });
    }
  }
  return rows;
}
