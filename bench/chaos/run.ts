import { type ChildProcess, fork } from 'node:child_process';
import { createHash } from 'node:crypto';
import { once } from 'node:events';
import { mkdirSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import Sqlite from 'better-sqlite3';
import { writeInspectionFile } from '#core/interchange/inspection-file';
import type { Inspection } from '#core/model/job/inspection';
import { migrationsFolder, openDatabase } from '#server/database';
import { migrate, readMigrations } from '#server/migrate';
import type { DeviceReport } from './device';
import { benchServer, pause, randomFrom, TOKEN } from './server';

// npx tsx bench/chaos/run.ts: kills, lying networks, full stores and disks, clocks that jump, three devices;
// afterwards nothing may be lost or doubled. CHAOS_KILLS and CHAOS_MIGRATIONS say how often, CHAOS_SEED how.
const KILLS = Number(process.env['CHAOS_KILLS'] ?? 500);
const MIGRATIONS = Number(process.env['CHAOS_MIGRATIONS'] ?? 50);
const SEED = Number(process.env['CHAOS_SEED'] ?? 1);
const PORT = 4877;
const JOB = 'demo-alder-bend';
const random = randomFrom(SEED);
const folder = mkdtempSync(join(tmpdir(), 'chert-chaos-'));
const data = join(folder, 'data');
mkdirSync(data);

const alder = readFileSync('demo/alder-bend.chert.json', 'utf8');
const server = benchServer(PORT, data);
const headers = { authorization: `Bearer ${TOKEN}`, 'content-type': 'application/json' };
const post = (path: string, body: string) =>
  fetch(`${server.base}${path}`, { method: 'POST', headers, body }).catch(() => null);

/** Whatever else goes on while the server is killed. */
function disturb(round: number): void {
  const dice = random();
  if (dice < 0.3)
    void post(`/api/jobs/${JOB}/issued`, JSON.stringify({ reason: 'r', limits: 'l' }));
  else if (dice < 0.6) void post('/api/jobs/import', alder.replace(JOB, `copy-${round}`));
  else if (dice < 0.8) void fetch(`${server.base}/api/jobs/${JOB}/report.pdf`).catch(() => null);
  if (random() < 0.1) void fillDisk();
}

/** Leaves the database no page to grow by, for a moment: what a full disk looks like to it. */
async function fillDisk(): Promise<void> {
  const db = new Sqlite(join(data, 'chert.db'), { timeout: 2_000 });
  try {
    db.exec(
      "CREATE TRIGGER IF NOT EXISTS disk_is_full BEFORE INSERT ON entries BEGIN SELECT RAISE (FAIL, 'database or disk is full'); END",
    );
    await pause(150);
  } finally {
    db.exec('DROP TRIGGER IF EXISTS disk_is_full');
    db.close();
  }
}

const ask = async <T>(child: ChildProcess, message: string): Promise<T> => {
  child.send(message);
  const [answer] = (await once(child, 'message')) as [T];
  return answer;
};

async function chaos(): Promise<string[]> {
  const faults: string[] = [];
  server.spawn();
  await server.ready();
  await post('/api/jobs/import', alder);
  const devices = [0, 1, 2].map((number) =>
    fork('bench/chaos/device.ts', [server.base, JOB, String(number), String(SEED * 10 + number)], {
      execArgv: ['--import', 'tsx'],
    }),
  );
  for (let kill = 1; kill <= KILLS; kill += 1) {
    disturb(kill);
    await pause(30 + random() * 700);
    await server.kill(random() < 0.9 ? 'SIGKILL' : 'SIGTERM');
    server.spawn();
    // Now and then it is killed again while it starts.
    if (random() < 0.1) await pause(random() * 800);
    else await server.ready();
    if (kill % 25 === 0) console.log(`${kill} kills`);
  }
  await server.kill();
  const cleaned = new Sqlite(join(data, 'chert.db'));
  cleaned.exec('DROP TRIGGER IF EXISTS disk_is_full');
  cleaned.close();
  server.spawn();
  await server.ready();
  const reports: DeviceReport[] = [];
  for (const device of devices)
    reports.push((await ask<{ report: DeviceReport }>(device, 'finish')).report);
  const file = (await (await fetch(`${server.base}/api/jobs/${JOB}/file`)).json()) as Inspection;
  const logged = file.runs.find(({ id }) => id === 'R1')!.entries.map(({ id }) => id);
  const counts = new Map<string, number>();
  for (const id of logged) counts.set(id, (counts.get(id) ?? 0) + 1);
  for (const [number, report] of reports.entries()) {
    const lost = report.entries.filter((id) => !counts.has(id));
    const doubled = report.entries.filter((id) => (counts.get(id) ?? 0) > 1);
    const inOrder = logged.filter((id) => report.entries.includes(id));
    if (lost.length > 0) faults.push(`device ${number}: ${lost.length} entries lost`);
    if (doubled.length > 0) faults.push(`device ${number}: ${doubled.length} entries doubled`);
    if (inOrder.join() !== report.entries.join()) faults.push(`device ${number}: another order`);
    if (report.refused > 0) faults.push(`device ${number}: ${report.refused} refused`);
    const { field, value } = report.own;
    const there = (file.property as Record<string, unknown>)[field];
    if (value !== undefined && there !== value)
      faults.push(
        `device ${number}: ${field} is ${JSON.stringify(there)}, said ${JSON.stringify(value)}`,
      );
    for (const { id, sha256 } of report.stills) {
      const answer = await fetch(`${server.base}/api/jobs/${JOB}/media/${id}`);
      const bytes = Buffer.from(await answer.arrayBuffer());
      if (createHash('sha256').update(bytes).digest('hex') !== sha256)
        faults.push(`device ${number}: still ${id} is not what was sent`);
    }
  }
  for (const [number, device] of devices.entries()) {
    const { screen } = await ask<{ screen: Inspection }>(device, 'show');
    if (writeInspectionFile(screen) !== writeInspectionFile(file)) {
      faults.push(`device ${number}: its screen is not what the server has`);
      writeFileSync(join(tmpdir(), `chaos-screen-${number}.json`), writeInspectionFile(screen));
      writeFileSync(join(tmpdir(), 'chaos-server.json'), writeInspectionFile(file));
    }
    device.kill();
  }
  await server.kill();
  const db = openDatabase(join(data, 'chert.db'));
  const integrity = db.pragma('integrity_check', { simple: true });
  if (integrity !== 'ok') faults.push(`integrity: ${String(integrity)}`);
  db.close();
  const sum = (of: (report: DeviceReport) => number) =>
    reports.reduce((all, one) => all + of(one), 0);
  console.log(
    `${KILLS} kills, ${sum(({ entries }) => entries.length)} entries and ${sum(({ stills }) => stills.length)} stills of three devices, ${sum(({ portals }) => portals)} answers of login pages, ${sum(({ full }) => full)} times no room on a device`,
  );
  return faults;
}

/** Kills the server while it brings an older database up to date. */
async function migrations(): Promise<string[]> {
  const faults: string[] = [];
  const migrationsData = join(folder, 'old');
  mkdirSync(migrationsData);
  const path = join(migrationsData, 'chert.db');
  const all = readMigrations(migrationsFolder());
  const other = benchServer(PORT + 1, migrationsData);
  for (let round = 0; round < MIGRATIONS; round += 1) {
    for (const part of ['', '-wal', '-shm']) rmSync(`${path}${part}`, { force: true });
    const old = new Sqlite(path);
    old.pragma('journal_mode = WAL');
    migrate(old, all.slice(0, 3));
    for (let job = 0; job < 300; job += 1)
      old
        .prepare(
          "INSERT INTO jobs (id, job, property, rest, booked_at) VALUES (?, '{}', '{}', '{}', '')",
        )
        .run(`j${job}`);
    old.close();
    other.spawn();
    await pause(300 + random() * 900);
    await other.kill();
    const after = openDatabase(path);
    const count = after.prepare('SELECT count(*) AS n FROM jobs').get() as { n: number };
    const isWhole = after.pragma('integrity_check', { simple: true }) === 'ok';
    if (count.n !== 300 || !isWhole)
      faults.push(`migration ${round}: ${count.n} jobs, ${isWhole ? 'whole' : 'not whole'}`);
    after.close();
  }
  console.log(`${MIGRATIONS} kills during a migration`);
  return faults;
}

const faults = [...(await chaos()), ...(await migrations())];
rmSync(folder, { recursive: true, force: true });
for (const fault of faults) console.error(fault);
console.log(
  faults.length === 0
    ? 'lost 0, doubled 0, integrity good, screens equal'
    : `${faults.length} faults`,
);
process.exit(faults.length === 0 ? 0 : 1);
