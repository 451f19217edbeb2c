import { liveQuery } from 'dexie';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { ulid } from 'ulid';
import type { Inspection } from '#core/job/inspection';
import type { Entry, EntryDraft } from '#core/log/entry';
import { localInstant } from '../shared/time';
import { applyChanges, type Change, type Kept, mergeKept } from './changes';
import { keepOffline } from './offline';
import { type SaveState, type Sender, startSender } from './sender';
import { forgetShown, keepChanges, keepMedia, listKept, takeOut } from './store';

export type JobOnDevice = {
  /** What the server has, with everything done on this device laid over it. */
  readonly inspection: Inspection;
  readonly save: SaveState;
  /** What the server does not have yet, or refused. */
  readonly waiting: readonly Kept[];
  /** Why this device could not keep something; it is sent from memory, and lost with the page. */
  readonly trouble: string | null;
  /** Logs as of now, or as of `laterMs` after it: a simulated rig lets minutes go by. */
  readonly append: (
    runId: string,
    drafts: readonly EntryDraft[],
    laterMs?: number,
  ) => readonly Entry[];
  readonly change: (change: Change) => void;
  /** Keeps a still or a voice note; returns its id, or `null` when this device has no room. */
  readonly addMedia: (blob: Blob) => Promise<string | null>;
  /** Takes out what the server refused. */
  readonly takeOut: (seq: number) => void;
};

/** A job on this device: written here first, then sent in order. Every tab shows the same. */
export function useJob(stored: Inspection): JobOnDevice {
  const jobId = stored.job.id;
  const [kept, setKept] = useState<readonly Kept[]>([]);
  // What was done a moment ago and is still on its way to this device's disk.
  const [fresh, setFresh] = useState<readonly Change[]>([]);
  const [save, setSave] = useState<SaveState>({ kind: 'saved' });
  const [trouble, setTrouble] = useState<string | null>(null);
  const sender = useRef<Sender | null>(null);

  useEffect(() => {
    const started = startSender(jobId, setSave, () => undefined);
    sender.current = started;
    const fail = (error: unknown) => setTrouble(sayTrouble(error));
    let waitingBefore = -1;
    const live = liveQuery(() => listKept(jobId)).subscribe({
      next: (list) => {
        setKept((before) => mergeKept(before, list));
        const keys = new Set(list.map(({ change }) => identityOf(change)));
        setFresh((now) => {
          const left = now.filter((change) => !keys.has(identityOf(change)));
          return left.length === now.length ? now : left;
        });
        // Another tab may have done it: whoever comes first sends it.
        const waiting = list.filter(({ state }) => state === 'waiting').length;
        if (waiting > waitingBefore) started.poke();
        waitingBefore = waiting;
      },
      error: fail,
    });
    forgetShown(stored).catch(fail);
    keepOffline(jobId);
    window.addEventListener('online', started.poke);
    return () => {
      live.unsubscribe();
      window.removeEventListener('online', started.poke);
      started.stop();
    };
  }, [jobId, stored]);

  const change = useCallback(
    (...changes: readonly Change[]) => {
      setFresh((now) => [...now, ...changes]);
      keepChanges(jobId, changes).catch((error: unknown) => setTrouble(sayTrouble(error)));
    },
    [jobId],
  );
  const append = useCallback(
    (runId: string, drafts: readonly EntryDraft[], laterMs = 0) => {
      const at = localInstant(new Date(Date.now() + laterMs));
      const entries = drafts.map((draft) => ({ id: ulid(), at, ...draft }) as Entry);
      change(...entries.map((entry): Change => ({ what: 'entry', runId, entry })));
      return entries;
    },
    [change],
  );
  const addMedia = useCallback(
    async (blob: Blob) => {
      const id = ulid();
      try {
        await keepMedia(jobId, id, blob);
        return id;
      } catch (error) {
        setTrouble(sayTrouble(error));
        return null;
      }
    },
    [jobId],
  );

  const done = useMemo(
    () => [...kept.filter(({ state }) => state !== 'refused').map((one) => one.change), ...fresh],
    [kept, fresh],
  );
  // That something was kept or sent changes no fact: what is computed from the facts stays as it is.
  const sequence = done.map(identityOf).join('\n');
  const inspection = useMemo(
    () => applyChanges(stored, done),
    // eslint-disable-next-line react-hooks/exhaustive-deps
    [stored, sequence],
  );
  const waiting = useMemo(
    () => [
      ...kept.filter(({ state }) => state !== 'sent'),
      ...fresh.map((change): Kept => ({ seq: -1, jobId, key: '', change, state: 'waiting' })),
    ],
    [kept, fresh, jobId],
  );
  return {
    inspection,
    save,
    waiting,
    trouble,
    append,
    change,
    addMedia,
    takeOut: (seq) => void takeOut(seq),
  };
}

/** What tells one change from another before it has a place in the store. */
function identityOf(change: Change): string {
  return change.what === 'entry' ? change.entry.id : JSON.stringify(change);
}

function sayTrouble(error: unknown): string {
  const name = error instanceof Error ? error.name : '';
  if (name === 'QuotaExceededError')
    return 'This device has no room left. Free some, or stay on this page until everything is saved.';
  return 'This device could not keep what you did. Stay on this page until everything is saved.';
}
