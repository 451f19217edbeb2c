import Dexie, { liveQuery, type Table } from 'dexie';
import { pieceBounds, pieceOf } from '#core/interchange/recording-piece';
import { type Base, type Kept, type KeptState, latestBase } from './change';
import { upgradeOldChanges } from './old-store';

/** A still or a voice note on this device. */
type KeptMedia = { readonly id: string; readonly jobId: string; readonly blob: Blob };
type Row = Omit<Kept, 'seq'> & { seq?: number };
type Draft = { readonly key: string; readonly text: string; readonly at: number };

/** What this device holds: IndexedDB, written through to the disk, so that no crash loses anything. */
class DeviceStore extends Dexie {
  readonly changes!: Table<Row, number>;
  readonly media!: Table<KeptMedia, string>;
  readonly bases!: Table<Base, string>;
  readonly drafts!: Table<Draft, string>;
  readonly told!: Table<{ readonly key: string }, string>;
  readonly files!: Table<{ readonly id: string; readonly handle: FileSystemFileHandle }, string>;

  constructor() {
    super('chert', { chromeTransactionDurability: 'strict' });
    this.version(1).stores({ changes: '++seq, &key, jobId, [jobId+state]', media: 'id, jobId' });
    this.version(2)
      .stores({
        changes: '++seq, &[jobId+id], jobId, [jobId+state]',
        bases: 'jobId',
        drafts: 'key',
        told: 'key',
      })
      .upgrade(upgradeOldChanges);
    this.version(3).stores({ files: 'id' });
    this.version(4).stores({ changes: '++seq, &[jobId+id], jobId, state, [jobId+state]' });
  }
}

let opened: DeviceStore | null = null;
const store = () => (opened ??= new DeviceStore());

/** What this device had no room for, by job: held in memory, sent from there, and lost with the page. */
const unkept = new Map<string, Kept[]>();
const unkeptMedia = new Map<string, Blob>();
const watchers = new Set<() => void>();
const tellWatchers = () => watchers.forEach((tell) => tell());

/** Numbers what is held in memory behind all that is kept. */
const MEMORY_SEQ = 2 ** 50;
let memoryCount = 0;

/** Lets tests start from an empty device. */
export function forgetDevice(): void {
  opened?.close();
  opened = null;
  unkept.clear();
  unkeptMedia.clear();
}

/** Whether a change is only in memory. */
export const isUnkept = ({ seq }: Pick<Kept, 'seq'>): boolean => seq >= MEMORY_SEQ;

/**
 * Keeps changes on this device, in order, all of them or none; one that is there already stays once. What
 * is only in memory so far goes along, before them. Resolves when they are on the disk.
 *
 * @throws when this device has no room or no store; they are held in memory then.
 */
export async function keepChanges(
  jobId: string,
  changes: readonly Omit<Row, 'seq' | 'jobId' | 'state'>[],
): Promise<void> {
  const held = unkept.get(jobId) ?? [];
  const rows = [
    ...held.map(({ seq: _seq, ...row }): Row => row),
    ...changes.map((change): Row => ({ ...change, jobId, state: 'kept' })),
  ];
  try {
    const db = store();
    await db.transaction('rw', db.changes, async () => {
      for (const row of rows)
        if ((await db.changes.where({ jobId, id: row.id }).count()) === 0)
          await db.changes.add(row);
    });
    unkept.delete(jobId);
  } catch (error) {
    const known = new Set(held.map(({ id }) => id));
    const fresh = rows.filter(({ id }) => !known.has(id));
    const numbered = fresh.map((row): Kept => ({ ...row, seq: MEMORY_SEQ + (memoryCount += 1) }));
    unkept.set(jobId, [...(unkept.get(jobId) ?? held), ...numbered]);
    throw error;
  } finally {
    tellWatchers();
  }
}

/** Keeps the bytes of a still or a voice note. Throws as `keepChanges` does, with them held in memory. */
export async function keepMedia(jobId: string, id: string, blob: Blob): Promise<void> {
  try {
    await store().media.put({ id, jobId, blob });
  } catch (error) {
    unkeptMedia.set(id, blob);
    throw error;
  }
}

/** What is still under way. */
const ACTIVE: readonly KeptState[] = ['kept', 'acknowledged', 'refused'];
/** What is only held on. */
const AT_REST: readonly KeptState[] = ['shown', 'superseded'];

async function rowsIn(jobId: string, states: readonly KeptState[]): Promise<Kept[]> {
  const keys = states.map((state) => [jobId, state]);
  return (await store().changes.where('[jobId+state]').anyOf(keys).sortBy('seq')) as Kept[];
}

/** What the server has shown, or what was said anew: held on for some time. */
export const listAtRest = (jobId: string): Promise<Kept[]> => rowsIn(jobId, AT_REST);

/** What this device holds of a job and is not done with, in the order it was done. */
export async function listKept(jobId: string): Promise<Kept[]> {
  const memory = (unkept.get(jobId) ?? []).filter(({ state }) => ACTIVE.includes(state));
  try {
    return [...(await rowsIn(jobId, ACTIVE)), ...memory];
  } catch (error) {
    if (memory.length > 0) return memory;
    throw error;
  }
}

export async function listWaiting(jobId: string): Promise<Kept[]> {
  return (await listKept(jobId)).filter(({ state }) => state === 'kept');
}

/** Tells what this device holds of a job, now and whenever it changes, in any tab. */
export function watchKept(
  jobId: string,
  onKept: (kept: readonly Kept[]) => void,
  onTrouble: (error: unknown) => void,
): () => void {
  const read = () => void listKept(jobId).then(onKept, onTrouble);
  const live = liveQuery(() => listKept(jobId)).subscribe({ next: onKept, error: onTrouble });
  watchers.add(read);
  return () => {
    live.unsubscribe();
    watchers.delete(read);
  };
}

export async function findKeptMedia(id: string): Promise<Blob | null> {
  return unkeptMedia.get(id) ?? (await store().media.get(id))?.blob ?? null;
}

/** The pieces of a recording that this device holds, in order; what it sent it has let go. */
export async function findKeptPieces(recordingId: string): Promise<Map<number, Blob>> {
  const [first, last] = pieceBounds(recordingId);
  const rows = await store().media.where('id').between(first, last, true, true).sortBy('id');
  const held = [...unkeptMedia].filter(([id]) => id >= first && id <= last);
  const pieces = [...rows.map(({ id, blob }) => [id, blob] as const), ...held];
  return new Map(pieces.map(([id, blob]) => [pieceOf(id)!.number, blob]));
}

/** Remembers which file of the inspector's own a recording is in. */
export async function keepFileHandle(id: string, handle: FileSystemFileHandle): Promise<void> {
  await store().files.put({ id, handle });
}

export async function findFileHandle(id: string): Promise<FileSystemFileHandle | null> {
  return (await store().files.get(id))?.handle ?? null;
}

/** Takes changes to another state, with what came of them. */
export async function mark(
  jobId: string,
  rows: readonly Pick<Kept, 'seq'>[],
  to: Partial<Pick<Kept, 'ack' | 'refused' | 'change' | 'id' | 'installation'>> & {
    readonly state: KeptState;
  },
): Promise<void> {
  // Nothing to tell: whoever watches would look again, and again.
  if (rows.length === 0) return;
  const seqs = new Set(rows.map(({ seq }) => seq));
  const held = unkept.get(jobId);
  if (held) {
    unkept.set(
      jobId,
      held.map((one) => (seqs.has(one.seq) ? { ...one, ...to } : one)),
    );
    tellWatchers();
  }
  const stored = [...seqs].filter((seq) => seq < MEMORY_SEQ);
  if (stored.length > 0) await store().changes.where('seq').anyOf(stored).modify(to);
}

/** Forgets changes, and the bytes that they sent. */
export async function forget(jobId: string, rows: readonly Kept[]): Promise<void> {
  if (rows.length === 0) return;
  const seqs = new Set(rows.map(({ seq }) => seq));
  const media = rows.flatMap(({ change }) => (change.what === 'media' ? [change.mediaId] : []));
  const held = unkept.get(jobId);
  if (held)
    unkept.set(
      jobId,
      held.filter(({ seq }) => !seqs.has(seq)),
    );
  for (const id of media) unkeptMedia.delete(id);
  const db = store();
  await db.transaction('rw', db.changes, db.media, async () => {
    await db.changes.bulkDelete([...seqs]);
    await db.media.bulkDelete(media);
  });
  tellWatchers();
}

/** What the server showed of a job last, as far as this device knows. */
export async function findBase(jobId: string): Promise<Base | null> {
  return (await store().bases.get(jobId)) ?? null;
}

/** Holds what the server showed, unless something newer of the same server is held already. */
export async function keepBase(base: Base): Promise<void> {
  const db = store();
  await db.transaction('rw', db.bases, async () => {
    const held = (await db.bases.get(base.jobId)) ?? null;
    if (latestBase(held, base) === base) await db.bases.put(base);
  });
}

/** A line that is typed but not logged yet; an empty one is forgotten. */
export async function keepDraft(key: string, text: string): Promise<void> {
  await store().drafts.put({ key, text, at: Date.now() });
}

export async function findDraft(key: string): Promise<string> {
  return (await store().drafts.get(key))?.text ?? '';
}

/** Whether something was told on this device and put aside. */
export async function wasTold(key: string): Promise<boolean> {
  return (await store().told.get(key)) !== undefined;
}

export async function putAside(key: string): Promise<void> {
  await store().told.put({ key });
}

/** What this device is known by to the server: made once, kept with the rest. */
export async function deviceId(make: () => string): Promise<string> {
  const db = store();
  return db.transaction('rw', db.drafts, async () => {
    const known = await db.drafts.get('device');
    if (known) return known.text;
    const text = make();
    await db.drafts.add({ key: 'device', text, at: Date.now() });
    return text;
  });
}

/** What the server has not taken. */
const UNSENT: readonly KeptState[] = ['kept', 'refused'];

/** How much this device holds, of all jobs, that the server has not taken. */
export async function countHeld(): Promise<number> {
  return store().changes.where('state').anyOf(UNSENT).count();
}

/** All that the server has not taken, of all jobs, in the order it was done. */
export async function listUnsent(): Promise<Kept[]> {
  return (await store().changes.where('state').anyOf(UNSENT).sortBy('seq')) as Kept[];
}

/** The jobs of which something waits to be sent. */
export async function jobsWithUnsent(): Promise<string[]> {
  const rows = await store().changes.where('state').equals('kept').toArray();
  return [...new Set(rows.map(({ jobId }) => jobId))];
}

/** How much waits to be sent, of all jobs, and since when. */
export async function heldNow(): Promise<{
  readonly count: number;
  readonly since: string | null;
}> {
  const waiting = () => store().changes.where('state').equals('kept');
  const oldest = await waiting().first();
  return { count: await waiting().count(), since: oldest?.saidAt ?? null };
}

/** Takes everything of every job off this device. */
export async function forgetStore(): Promise<void> {
  await store().delete();
  opened = null;
}
