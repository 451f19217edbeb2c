import Dexie, { type Table } from 'dexie';
import { type Change, isShown, type Kept, keyOf } from './changes';
import type { Inspection } from '#core/job/inspection';
import { ulid } from 'ulid';

/** A still or a voice note on this device, until the server has it. */
export type KeptMedia = { readonly id: string; readonly jobId: string; readonly blob: Blob };

/** What this device holds until the server has it: IndexedDB, so that a reload or a crash loses nothing. */
class DeviceStore extends Dexie {
  readonly changes!: Table<Omit<Kept, 'seq'> & { seq?: number }, number>;
  readonly media!: Table<KeptMedia, string>;

  constructor() {
    super('chert');
    this.version(1).stores({ changes: '++seq, &key, jobId, [jobId+state]', media: 'id, jobId' });
  }
}

let opened: DeviceStore | null = null;
const store = () => (opened ??= new DeviceStore());

/** Lets tests start from an empty device. */
export function forgetDevice(): void {
  opened?.close();
  opened = null;
}

/** Keeps changes on this device, in order, all of them or none. Resolves when they are on its disk. */
export async function keepChanges(jobId: string, changes: readonly Change[]): Promise<void> {
  const db = store();
  await db.transaction('rw', db.changes, async () => {
    for (const change of changes) {
      const key = keyOf(jobId, change, ulid());
      if ((await db.changes.where({ key }).count()) > 0) continue;
      await db.changes.add({ jobId, key, change, state: 'waiting' });
    }
  });
}

/** Keeps a still or a voice note with the change that sends it. */
export async function keepMedia(jobId: string, id: string, blob: Blob): Promise<void> {
  const db = store();
  await db.transaction('rw', db.changes, db.media, async () => {
    await db.media.put({ id, jobId, blob });
    const change: Change = { what: 'media', mediaId: id };
    await db.changes.add({ jobId, key: keyOf(jobId, change, id), change, state: 'waiting' });
  });
}

/** What this device holds of a job, in the order it was done. */
export async function listKept(jobId: string): Promise<Kept[]> {
  return (await store().changes.where({ jobId }).sortBy('seq')) as Kept[];
}

export async function listWaiting(jobId: string): Promise<Kept[]> {
  return (await store().changes.where({ jobId, state: 'waiting' }).sortBy('seq')) as Kept[];
}

export async function findKeptMedia(id: string): Promise<Blob | null> {
  return (await store().media.get(id))?.blob ?? null;
}

/** The server has these: they stay until a page from the server shows them. */
export async function markSent(seqs: readonly number[]): Promise<void> {
  await store()
    .changes.where('seq')
    .anyOf([...seqs])
    .modify({ state: 'sent' });
}

export async function markRefused(seq: number, refused: string): Promise<void> {
  await store().changes.update(seq, { state: 'refused', refused });
}

/** Takes a change out that the server refused. */
export async function takeOut(seq: number): Promise<void> {
  await store().changes.delete(seq);
}

/** Forgets what the server has and shows, and stills that it has. */
export async function forgetShown(inspection: Inspection): Promise<void> {
  const db = store();
  const sent = await db.changes.where({ jobId: inspection.job.id, state: 'sent' }).toArray();
  const shown = sent.filter(({ change }) => isShown(inspection, change));
  const mediaIds = shown.flatMap(({ change }) => (change.what === 'media' ? [change.mediaId] : []));
  await db.transaction('rw', db.changes, db.media, async () => {
    await db.changes.bulkDelete(shown.map(({ seq }) => seq!));
    await db.media.bulkDelete(mediaIds);
  });
}
