import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { ulid } from 'ulid';
import { applyChanges, type Base, changesOver, type Kept } from '#client/change';
import { type JobKeeper, openJob } from '#client/job-keeper';
import {
  changesOf,
  type Doing,
  entriesOf,
  foreignOf,
  type Fresh,
  freshen,
  type JobOnDevice,
} from '#client/job-on-device';
import { jot, keepJotted, strike } from '#client/journal';
import { keepOffline } from '#client/offline';
import type { SaveState } from '#client/sender';
import { isUnkept, keepChanges, keepMedia } from '#client/store';
import { plainData } from '#core/base/plain-text';
import { pieceId } from '#core/interchange/recording-piece';
import type { StoredJob } from '#core/model/job/history';
import type { EntryDraft } from '#core/model/log/entry';

/** How often a page that is looked at asks whether another device did something, ms. */
const ASK_EVERY_MS = 30_000;

/** Where what is not kept yet stands: behind all that is. */
const LAST = 2 ** 52;

/** A job on this device: written here first, then sent in order. Every tab shows the same. */
export function useJob(stored: StoredJob): JobOnDevice {
  const jobId = stored.inspection.job.id;
  const by = stored.who?.id;
  const isReadOnly = stored.readOnly !== null;
  const [base, setBase] = useState<Base>(() => ({ ...stored, jobId }));
  const [told, setTold] = useState(stored.told);
  const [kept, setKept] = useState<readonly Kept[]>([]);
  // What was done a moment ago and is still on its way to this device's disk.
  const [fresh, setFresh] = useState<readonly Fresh[]>([]);
  const [save, setSave] = useState<SaveState>({ kind: 'saved' });
  const [trouble, setTrouble] = useState<string | null>(null);
  const keeper = useRef<JobKeeper | null>(null);
  const baseNow = useRef(base);

  useEffect(() => {
    const opened = openJob(stored, {
      onBase: (next) => {
        baseNow.current = next;
        setBase(next);
      },
      onTold: setTold,
      onKept: (list) => {
        setKept(list);
        const ids = new Set(list.map(({ id }) => id));
        const isStillFresh = ({ id }: Fresh) => !ids.has(id);
        setFresh((now) => (now.every(isStillFresh) ? now : now.filter(isStillFresh)));
        if (!list.some((one) => isUnkept(one) && one.state === 'kept')) setTrouble(null);
      },
      onSave: setSave,
      onTrouble: (error) => setTrouble(sayTrouble(error)),
    });
    keeper.current = opened;
    keepJotted(jobId).catch((error: unknown) => setTrouble(sayTrouble(error)));
    keepOffline(jobId);
    const ask = () => void opened.ask();
    const timer = setInterval(() => {
      if (document.visibilityState === 'visible') ask();
    }, ASK_EVERY_MS);
    window.addEventListener('online', ask);
    return () => {
      clearInterval(timer);
      window.removeEventListener('online', ask);
      opened.stop();
    };
  }, [jobId, stored]);

  const all = useMemo(
    () => [
      ...kept,
      ...fresh.map((one, index): Kept => ({ ...one, jobId, state: 'kept', seq: LAST + index })),
    ],
    [kept, fresh, jobId],
  );
  const over = changesOver(base, all);
  // That something was kept or sent changes no fact: what is computed from the facts stays as it is.
  const sequence = over.map(({ id }) => id).join('\n');
  const inspection = useMemo(
    () =>
      plainData(
        applyChanges(
          base.inspection,
          over.map((one) => one.change),
        ),
      ),
    // eslint-disable-next-line react-hooks/exhaustive-deps -- `over` is named by its sequence
    [base, sequence],
  );
  // What the screen shows, kept in step within one press that does several things.
  const shown = useRef(inspection);
  useEffect(() => {
    shown.current = inspection;
  }, [inspection]);

  const keep = useCallback(
    (changes: readonly Kept['change'][]) => {
      if (changes.length === 0 || isReadOnly) return;
      shown.current = applyChanges(shown.current, changes);
      const nowMs = Date.now();
      const rows = freshen(changes, baseNow.current, nowMs, by);
      setFresh((now) => [...now, ...rows]);
      const key = jot(jobId, rows, nowMs);
      keepChanges(jobId, rows).then(
        () => strike(key),
        (error: unknown) => setTrouble(sayTrouble(error)),
      );
    },
    [jobId, by, isReadOnly],
  );
  const change = useCallback(
    (...doing: readonly Doing[]) => keep(changesOf(shown.current, doing)),
    [keep],
  );
  const append = useCallback(
    (runId: string, drafts: readonly EntryDraft[], laterMs = 0) => {
      const entries = entriesOf(shown.current, runId, drafts, Date.now() + laterMs);
      keep(entries.map((entry) => ({ what: 'entry', runId, entry })));
      return entries;
    },
    [keep],
  );
  const [atWork, setAtWork] = useState(0);
  const during = useCallback(async <Made>(work: Promise<Made>) => {
    setAtWork((now) => now + 1);
    return work.finally(() => setAtWork((now) => now - 1));
  }, []);
  const addBytes = useCallback(
    async (mediaId: string, blob: Blob) => {
      if (isReadOnly) return mediaId;
      const isKept = keepMedia(jobId, mediaId, blob);
      await during(isKept.catch((error: unknown) => setTrouble(sayTrouble(error))));
      keep([{ what: 'media', mediaId }]);
      return mediaId;
    },
    [jobId, keep, during, isReadOnly],
  );
  const addMedia = useCallback((blob: Blob) => addBytes(ulid(), blob), [addBytes]);
  const addPiece = useCallback(
    async (recordingId: string, number: number, blob: Blob) => {
      await addBytes(pieceId(recordingId, number), blob);
    },
    [addBytes],
  );
  const foreign = foreignOf(base, kept);

  const isAtRisk =
    atWork > 0 || fresh.length > 0 || kept.some((one) => isUnkept(one) && one.state === 'kept');
  useLeaveWarning(isAtRisk);
  return {
    inspection,
    isAtWork: atWork > 0,
    during,
    latest: useCallback(() => shown.current, []),
    save,
    waiting: all.filter(
      (one) => one.state !== 'acknowledged' && one.installation === stored.installation,
    ),
    foreign,
    told,
    late: stored.late,
    who: stored.who,
    readOnly: stored.readOnly,
    trouble,
    append,
    change,
    addMedia,
    addPiece,
    settle: (refused, mended) => void keeper.current?.settle(refused, mended),
    takeOver: () => void keeper.current?.takeOver(foreign),
  };
}

/** Asks before a page is left that holds what nothing else holds. */
function useLeaveWarning(isAtRisk: boolean): void {
  useEffect(() => {
    if (!isAtRisk) return;
    const warn = (event: BeforeUnloadEvent) => event.preventDefault();
    window.addEventListener('beforeunload', warn);
    return () => window.removeEventListener('beforeunload', warn);
  }, [isAtRisk]);
}

function sayTrouble(error: unknown): string {
  const name = error instanceof Error ? error.name : '';
  const why = name === 'QuotaExceededError' ? 'it has no room left' : 'its browser keeps nothing';
  return `Not kept on this device: ${why}. It is sent straight from this page: stay here until everything is saved on the server.`;
}
