import 'fake-indexeddb/auto';
import { createHash, randomBytes } from 'node:crypto';
import { type Base, screenOf } from '#client/change';
import { type JobKeeper, openJob } from '#client/job-keeper';
import { changesOf, entriesOf, freshen } from '#client/job-on-device';
import { isUnkept, keepChanges, keepMedia, listKept } from '#client/store';
import type { StoredJob } from '#core/model/job/history';
import type { Inspection } from '#core/model/job/inspection';
import { pause, randomFrom } from './server';

/** What a device reports when it has sent everything. */
export type DeviceReport = {
  readonly entries: readonly string[];
  readonly own: { readonly field: string; readonly value: unknown };
  readonly stills: readonly { readonly id: string; readonly sha256: string }[];
  readonly screen: Inspection;
  readonly refused: number;
  readonly portals: number;
  readonly full: number;
};

// One device of the chaos test: the real client over an IndexedDB in memory, behind a network that lies.
const [base, jobId, number, seed] = process.argv.slice(2) as [string, string, string, string];
const random = randomFrom(Number(seed));
const OWN = ['frontFaces', 'bathrooms', 'households'][Number(number)]!;
const PNG = Buffer.from([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a]);
const realNow = Date.now.bind(Date);
const realFetch = globalThis.fetch;
// eslint-disable-next-line @typescript-eslint/unbound-method -- called with the store it was called on
const realAdd = IDBObjectStore.prototype.add;
let clockMs = 0;
let isWild = true;
let portals = 0;
let full = 0;

Date.now = () => realNow() + clockMs;
Object.defineProperty(globalThis, 'navigator', { value: {}, configurable: true });
const PORTALS = [200, 204, 302, 401, 403, 404, 429, 502];
globalThis.fetch = async (path, init) => {
  if (isWild && random() < 0.08) {
    portals += 1;
    const status = PORTALS[Math.floor(random() * PORTALS.length)]!;
    return new Response(status === 204 ? null : '<html>Log in</html>', { status });
  }
  const headers = new Headers(init?.headers);
  headers.set('origin', base);
  return realFetch(`${base}${path as string}`, { ...init, headers });
};
IDBObjectStore.prototype.add = function add(
  this: IDBObjectStore,
  ...given: Parameters<typeof realAdd>
) {
  if (isWild && random() < 0.01) {
    full += 1;
    throw new DOMException('full', 'QuotaExceededError');
  }
  return realAdd.apply(this, given);
};

async function page(): Promise<StoredJob> {
  for (;;) {
    const answer = await realFetch(`${base}/api/jobs/${jobId}`).catch(() => null);
    const body = answer?.ok
      ? ((await answer.json().catch(() => null)) as
          (StoredJob & { chert?: { installation: string; era: string } }) | null)
      : null;
    if (body?.chert)
      return {
        inspection: body.inspection,
        rev: body.rev,
        told: [],
        late: [],
        who: null,
        readOnly: null,
        installation: body.chert.installation,
        era: body.chert.era,
      };
    await pause(50);
  }
}

const entries: string[] = [];
const stills: { id: string; sha256: string }[] = [];
let ownValue: unknown;
let now: Base;
let keeper: JobKeeper;
const pages: StoredJob[] = [];

function open(stored: StoredJob): void {
  now = { ...stored, jobId };
  const nothing = () => undefined;
  keeper = openJob(stored, {
    onBase: (next) => {
      now = next;
    },
    onTold: nothing,
    onKept: nothing,
    onSave: nothing,
    onTrouble: nothing,
  });
}
const screen = async () => screenOf(now, await listKept(jobId));

async function act(): Promise<void> {
  const dice = random();
  const shown = await screen();
  if (dice < 0.7) {
    const drafts = [{ kind: 'note', note: number, pass: 'out', readingFt: 1 } as const];
    const made = entriesOf(shown, 'R1', drafts, Date.now());
    entries.push(...made.map(({ id }) => id));
    const changes = made.map((entry) => ({ what: 'entry', runId: 'R1', entry }) as const);
    await keepChanges(jobId, freshen(changes, now, Date.now())).catch(() => undefined);
  } else if (dice < 0.85) {
    ownValue = OWN === 'frontFaces' ? `${entries.length}` : entries.length + 1;
    const property = { [OWN]: ownValue, yearBuilt: 1900 + Math.floor(random() * 100) };
    const changes = changesOf(shown, [{ what: 'facts', facts: { property } }]);
    await keepChanges(jobId, freshen(changes, now, Date.now())).catch(() => undefined);
  } else if (dice < 0.88) {
    const bytes = Buffer.concat([PNG, randomBytes(50_000 + Math.floor(random() * 200_000))]);
    const id = `still-${number}-${stills.length}`;
    stills.push({ id, sha256: createHash('sha256').update(bytes).digest('hex') });
    const blob = new Blob([bytes], { type: 'image/png' });
    await keepMedia(jobId, id, blob).catch(() => undefined);
    await keepChanges(jobId, freshen([{ what: 'media', mediaId: id }], now, Date.now())).catch(
      () => undefined,
    );
  } else if (dice < 0.94) {
    // A page is left only when nothing is in its memory alone; it comes back fresh or from a cache.
    if ((await listKept(jobId)).some((one) => isUnkept(one) && one.state === 'kept')) return;
    keeper.stop();
    const fresh = random() < 0.5 || pages.length === 0 ? await page() : null;
    if (fresh) pages.push(fresh);
    open(fresh ?? pages[Math.floor(random() * pages.length)]!);
  } else if (dice < 0.97) {
    clockMs = Math.round((random() - 0.5) * 7_200_000);
  } else void keeper.ask();
}

async function finish(): Promise<DeviceReport> {
  isWild = false;
  for (;;) {
    await keeper.ask();
    const kept = await listKept(jobId);
    if (!kept.some(({ state }) => state === 'kept')) break;
    await pause(100);
  }
  await keeper.ask();
  await pause(300);
  const refused = (await listKept(jobId)).filter(({ state }) => state === 'refused').length;
  return {
    entries,
    own: { field: OWN, value: ownValue },
    stills,
    screen: await screen(),
    refused,
    portals,
    full,
  };
}

open(await page());
let isOver = false;
process.on('message', (message) => {
  if (message === 'finish') isOver = true;
  // The devices have all sent: what each shows now is compared.
  if (message === 'show')
    void keeper
      .ask()
      .then(() => pause(500))
      .then(screen)
      .then((shown) => process.send!({ screen: shown }));
});
// eslint-disable-next-line @typescript-eslint/no-unnecessary-condition -- a message sets it meanwhile
while (!isOver) {
  await act();
  await pause(10 + random() * 60);
}
process.send!({ report: await finish() });
setInterval(() => undefined, 1_000);
