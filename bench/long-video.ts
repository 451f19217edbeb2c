import { type ChildProcess, spawn } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium, type Page } from '@playwright/test';
import { PIECE_BYTES, pieceId } from '#core/interchange/recording-piece';
import { walkWebm } from '#core/recording/webm';
import { demoInspection } from '#core/testing/demo-inspections';
import { openDatabase } from '#server/database';
import { storeInspection } from '#server/inspections';
import { storeMedia } from '#server/media/media';
import { mediaIn } from '#server/media/places';
import { CHROMIUM } from '../e2e/chromium';
import type { Row } from './row';

const PORT = 4876;
const BASE = `http://127.0.0.1:${PORT}`;
const JOB = 'demo-alder-bend';
const RUN_LENGTH_BYTES = 2 * 1024 ** 3;
/** Pieces came long ago: nothing is being made any more. */
const RECEIVED = '2026-11-03T09:00:00.000Z';
/** Recorded for so long, s, in each of so many parts; the heap is read between them. */
const PART_S = 40;
const PARTS = 4;

/** Some seconds as the browser records them. */
async function recordIn(page: Page): Promise<Uint8Array> {
  const bytes = await page.evaluate(async () => {
    const stream = await navigator.mediaDevices.getUserMedia({ video: true });
    const options = { videoKeyFrameIntervalDuration: 2000, videoBitsPerSecond: 2_500_000 };
    const recorder = new MediaRecorder(stream, options);
    const parts: Blob[] = [];
    recorder.ondataavailable = ({ data }) => parts.push(data);
    recorder.start(1000);
    await new Promise((resolve) => setTimeout(resolve, 11_000));
    await new Promise((resolve) => {
      recorder.onstop = resolve;
      recorder.stop();
    });
    return [...new Uint8Array(await new Blob(parts).arrayBuffer())];
  });
  return Uint8Array.from(bytes);
}

/** Bytes of a cluster without an end, at a time of its own, with what it held, and as much of nothing as makes it long. */
function clusterAt(tick: number, inside: Buffer, padding: number): Buffer {
  const head = Buffer.from('1f43b67501ffffffffffffffe78400000000', 'hex');
  head.writeUInt32BE(tick, head.length - 4);
  const nothing = Buffer.alloc(9 + padding);
  nothing[0] = 0xec;
  nothing[1] = 1;
  nothing.writeUInt32BE(padding, 5);
  return Buffer.concat([head, inside, nothing]);
}

/** Stores two gigabytes of a recording, as a browser would have sent them; how long it is, ms. */
async function storeLong(data: string, recorded: Uint8Array): Promise<number> {
  const read = async (from: number, length: number) => recorded.slice(from, from + length);
  const webm = (await walkWebm(read, recorded.length))!;
  const { clusters } = webm;
  const db = openDatabase(join(data, 'chert.db'));
  storeInspection(db, demoInspection('alder-bend'), RECEIVED);
  let held: Buffer[] = [Buffer.from(recorded.subarray(0, clusters[0]!.at))];
  let heldBytes = held[0]!.length;
  let [piece, bytes] = [0, 0];
  const stores = mediaIn(data);
  const put = async () => {
    const all = Buffer.concat(held);
    await storeMedia(
      db,
      stores,
      { jobId: JOB, id: pieceId('LONG', piece) },
      { type: 'video/webm', bytes: all },
      RECEIVED,
    );
    bytes += all.length;
    piece += 1;
    held = [];
    heldBytes = 0;
  };
  const parts = clusters.slice(0, -1).map(({ tickAt, tickBytes, tick }, index) => ({
    inside: Buffer.from(recorded.subarray(tickAt + tickBytes, clusters[index + 1]!.at)),
    lastsTicks: clusters[index + 1]!.tick - tick,
  }));
  let tick = 0;
  for (let index = 0; bytes < RUN_LENGTH_BYTES; index += 1) {
    const { inside, lastsTicks } = parts[index % parts.length]!;
    // As many bytes a second as a camera's picture takes.
    const whole = Math.round((lastsTicks / 1000) * (2_560_000 / 8));
    const made = clusterAt(tick, inside, Math.max(0, whole - inside.length));
    tick += lastsTicks;
    held.push(made);
    heldBytes += made.length;
    if (heldBytes >= PIECE_BYTES / 2) await put();
  }
  db.close();
  return (tick * webm.tickNs) / 1e6;
}

/** Opens the long recording and goes about in it; times, ms. */
async function seekIn(page: Page): Promise<{ openMs: number; seekMs: number[]; lastsS: number }> {
  await page.goto(`${BASE}/`);
  return page.evaluate(async (url) => {
    const video = document.createElement('video');
    video.preload = 'auto';
    const until = (name: string) =>
      new Promise((resolve, reject) => {
        video.addEventListener(name, resolve, { once: true });
        video.addEventListener('error', () => reject(new Error(video.error?.message)));
      });
    const startMs = performance.now();
    video.src = url;
    await until('loadeddata');
    const openMs = performance.now() - startMs;
    const seekMs: number[] = [];
    for (const share of [0.75, 0.1, 0.99, 0.5]) {
      const fromMs = performance.now();
      video.currentTime = video.duration * share;
      await until('seeked');
      seekMs.push(performance.now() - fromMs);
    }
    return { openMs, seekMs, lastsS: video.duration };
  }, `/api/jobs/${JOB}/recordings/LONG`);
}

/** What a page holds while Scope records, MB, after each part of the recording. */
async function heapWhileRecording(page: Page): Promise<number[]> {
  const devtools = await page.context().newCDPSession(page);
  const heap = async () => {
    await devtools.send('HeapProfiler.collectGarbage');
    const { usedSize } = await devtools.send('Runtime.getHeapUsage');
    return usedSize / 1024 ** 2;
  };
  await page.goto(`${BASE}/jobs/${JOB}/scope`);
  await page.getByRole('button', { name: 'Camera' }).click();
  await page.getByRole('button', { name: 'Record', exact: true }).click();
  const sizes: number[] = [];
  for (let part = 0; part < PARTS; part += 1) {
    await new Promise((resolve) => setTimeout(resolve, PART_S * 1000));
    sizes.push(await heap());
  }
  await page.getByRole('button', { name: /^Stop/ }).click();
  return sizes;
}

async function untilUp(): Promise<void> {
  const isUp = () =>
    fetch(`${BASE}/api/health`).then(
      ({ ok }) => ok,
      () => false,
    );
  while (!(await isUp())) await new Promise((resolve) => setTimeout(resolve, 50));
}

/** Two gigabytes of recording, gone about in; and what an hour of recording leaves in a page. */
export async function benchLongVideo(): Promise<Row[]> {
  const data = mkdtempSync(join(tmpdir(), 'chert-long-'));
  const browser = await chromium.launch(CHROMIUM);
  let server: ChildProcess | null = null;
  try {
    const page = await browser.newPage();
    // What runs in the page is compiled to call this by name.
    await page.addInitScript('globalThis.__name = (one) => one');
    // A camera is given to secure places alone: an empty page of this machine is one.
    await page.route(`${BASE}/empty`, (route) =>
      route.fulfill({ contentType: 'text/html', body: '<p>' }),
    );
    await page.goto(`${BASE}/empty`);
    const recorded = await recordIn(page);
    const lastsMs = await storeLong(data, recorded);
    server = spawn('node', ['scripts/built.mjs', 'serve'], {
      env: { ...process.env, CHERT_DATA: data, PORT: String(PORT) },
      stdio: 'ignore',
    });
    await untilUp();
    const { openMs, seekMs, lastsS } = await seekIn(page);
    const again = await seekIn(page);
    const heaps = await heapWhileRecording(page);
    const perPart = (heaps.at(-1)! - heaps[1]!) / (PARTS - 2);
    const anHour = (perPart * 3600) / PART_S;
    const say = (times: readonly number[]) => times.map((ms) => ms.toFixed(0)).join(', ');
    return [
      {
        what: `2 GB of recording (${(lastsMs / 60_000).toFixed(0)} min) opens, the first time and again`,
        aim: '–',
        got: `${say([openMs, again.openMs])} ms; its length as told: ${(lastsS / 60).toFixed(0)} min`,
      },
      {
        what: 'and goes to ¾, 1/10, 99/100, ½ of it',
        aim: '–',
        got: `${say(seekMs)} ms; again ${say(again.seekMs)} ms`,
      },
      {
        what: `the page’s heap while Scope records, each ${PART_S} s`,
        aim: 'flat',
        got: `${heaps.map((mb) => mb.toFixed(1)).join(', ')} MB: ${anHour < 0 ? '−' : '+'}${Math.abs(anHour).toFixed(0)} MB in an hour at this rate`,
      },
    ];
  } finally {
    await browser.close();
    server?.kill();
    rmSync(data, { recursive: true, force: true });
  }
}
