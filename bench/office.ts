import { type ChildProcess, spawn } from 'node:child_process';
import { mkdtempSync, rmSync, statSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium } from '@playwright/test';
import Sqlite from 'better-sqlite3';
import { addDays } from '#core/base/day';
import { seededRandom } from '#core/base/random';
import { USUAL_TRAVEL } from '#core/office/travel';
import { MOST_STOPS, orderDay, type Stop } from '#core/schedule/day-order';
import { demoInspection } from '#core/testing/demo-inspections';
import { CHROMIUM } from '../e2e/chromium';
import type { Row } from './row';
import { median, percentile } from './times';

const PORT = 4898;
const BASE = `http://127.0.0.1:${PORT}`;
const INSPECTORS = 40;
const WEEK_JOBS = 400;
/** A Monday and its week. */
const MONDAY = '2027-03-01';
const YEARS_OF_JOBS = 40_000;

/** The order of a day of as many stops as are weighed exactly, any of them at any time. */
function benchOrder(): Row {
  const random = seededRandom(7);
  const times = Array.from({ length: 20 }, () => {
    const stops = Array.from({ length: MOST_STOPS }, (_, index): Stop => ({
      id: String(index),
      lengthMin: 45,
      fromMin: 480,
      toMin: 1320,
      place: { lat: 45 + random.next() * 0.4, lon: -123 + random.next() * 0.5 },
    }));
    const startMs = performance.now();
    orderDay(stops, { startMin: 480, home: { lat: 45.2, lon: -122.8 } }, USUAL_TRAVEL);
    return performance.now() - startMs;
  });
  return {
    what: `order of a day, ${MOST_STOPS} stops, exact`,
    aim: '≤ 200 ms',
    got: `p50 ${median(times).toFixed(0)} ms, most ${Math.max(...times).toFixed(0)} ms`,
  };
}

const day = (at: number) => addDays(MONDAY, at);

/** Fills a database with a week of a firm, and with what it did in the years before. */
function fill(path: string, from: number, count: number, isWeek: boolean): void {
  const like = demoInspection('mill-street');
  const random = seededRandom(from + 1);
  const db = new Sqlite(path);
  const insert = db.prepare(
    'INSERT INTO jobs (id, job, property, rest, booked_at) VALUES (?, ?, ?, ?, ?)',
  );
  const open = db.prepare(
    'INSERT INTO access_points (job_id, position, id, body) VALUES (?, 0, ?, ?)',
  );
  db.transaction(() => {
    for (let index = from; index < from + count; index += 1) {
      const on = isWeek
        ? day(Math.floor(index / INSPECTORS) % 5)
        : day(-1 - Math.floor(random.next() * 3650));
      const hour = String(8 + Math.floor(random.next() * 9)).padStart(2, '0');
      const job = {
        ...like.job,
        id: `o${index}`,
        title: `${index} Marl Street`,
        inspector: `Inspector ${index % INSPECTORS}`,
        scheduledFor: `${on}T${hour}:00:00-08:00`,
      };
      const property = { ...like.property, address: job.title };
      const rest = { settings: like.settings, decisions: [], ties: [] };
      insert.run(
        job.id,
        JSON.stringify(job),
        JSON.stringify(property),
        JSON.stringify(rest),
        job.scheduledFor,
      );
      for (const access of like.accessPoints.slice(0, 1))
        open.run(job.id, access.id, JSON.stringify(access));
    }
  })();
  db.close();
}

async function untilAnswers(): Promise<void> {
  while (!(await fetch(`${BASE}/api/health`).catch(() => null))?.ok)
    await new Promise((rest) => setTimeout(rest, 50));
}

/** A page is left once it is at rest, ms: nobody loads it anew while the one before is still being made live. */
const REST_MS = 300;

/** How long a page takes until the board is painted, ms: from the press to its first frame with words in it. */
async function paints(path: string, rounds: number): Promise<number[]> {
  const browser = await chromium.launch(CHROMIUM);
  const page = await browser.newPage({
    serviceWorkers: 'block',
    viewport: { width: 1280, height: 800 },
  });
  const times: number[] = [];
  for (let round = 0; round < rounds; round += 1) {
    await page.goto(BASE + path);
    await page.waitForFunction(
      () => performance.getEntriesByName('first-contentful-paint').length > 0,
    );
    await page.waitForSelector('[data-ready=true]');
    await page.waitForTimeout(REST_MS);
    times.push(
      await page.evaluate(
        () => performance.getEntriesByName('first-contentful-paint')[0]!.startTime,
      ),
    );
  }
  await browser.close();
  return times.slice(1);
}

async function answers(path: string, rounds: number): Promise<number[]> {
  const times: number[] = [];
  for (let round = 0; round < rounds; round += 1) {
    const startMs = performance.now();
    await (await fetch(BASE + path)).arrayBuffer();
    times.push(performance.now() - startMs);
  }
  return times.slice(2);
}
const say = (times: readonly number[]) =>
  `p50 ${median(times).toFixed(0)} ms, p95 ${percentile(times, 0.95).toFixed(0)} ms`;

/** Times the board of a large firm, its free times and what is due, alone and over ten years of jobs. */
export async function benchOffice(): Promise<Row[]> {
  const data = mkdtempSync(join(tmpdir(), 'chert-office-'));
  let server: ChildProcess | null = null;
  try {
    server = spawn(process.execPath, ['scripts/built.mjs', 'serve'], {
      env: { ...process.env, PORT: String(PORT), CHERT_DATA: data, CHERT_BACKUPS: 'off' },
      stdio: 'ignore',
    });
    await untilAnswers();
    const path = join(data, 'chert.db');
    const empty = await paints('/board?week=2026-03-02', 8);
    fill(path, 0, WEEK_JOBS, true);
    const board = `/board?week=${MONDAY}`;
    const slots = `/api/slots?from=${MONDAY}&lengthMin=90`;
    const rows = async (what: string): Promise<Row[]> => [
      { what: `the board, ${what}: whole answer`, aim: '–', got: say(await answers(board, 12)) },
      {
        what: `the board, ${what}: first paint`,
        aim: '≤ 200 ms',
        got: say(await paints(board, 8)),
      },
      { what: `free times, ${what}`, aim: '–', got: say(await answers(slots, 12)) },
      { what: `Due, ${what}`, aim: '–', got: say(await answers('/due', 12)) },
    ];
    const week = await rows(`${INSPECTORS} inspectors, ${WEEK_JOBS} jobs in the week`);
    fill(path, WEEK_JOBS, YEARS_OF_JOBS, false);
    const years = await rows(`${YEARS_OF_JOBS} jobs of ten years behind them`);
    const megabytes = (statSync(path).size + statSync(`${path}-wal`).size) / 2 ** 20;
    return [
      benchOrder(),
      { what: 'an empty board: first paint', aim: '–', got: say(empty) },
      ...week,
      ...years,
      {
        what: `the database with ${YEARS_OF_JOBS + WEEK_JOBS} bare jobs`,
        aim: '–',
        got: `${megabytes.toFixed(0)} MB`,
      },
    ];
  } finally {
    server?.kill();
    rmSync(data, { recursive: true, force: true });
  }
}
