import { useCallback, useEffect, useRef, useState } from 'react';
import { ulid } from 'ulid';
import type { Inspection } from '#core/job/inspection';
import type { AccessPoint } from '#core/job/access-point';
import type { Run } from '#core/job/run';
import type { Entry, EntryDraft } from '#core/log/entry';
import { localInstant } from '../shared/time';
import { dropWaiting, keepWaiting, readWaiting, type Waiting } from './outbox';
import { type SaveState, type Sender, startSender } from './sender';

export type Log = {
  readonly inspection: Inspection;
  readonly save: SaveState;
  readonly waiting: readonly Waiting[];
  readonly append: (runId: string, drafts: readonly EntryDraft[]) => readonly Entry[];
  readonly addAccess: (access: AccessPoint) => void;
  readonly addRun: (run: Run) => void;
  /** Takes out an entry that the server refused. */
  readonly takeOut: (entryId: string) => void;
};

/** The job's facts on this device: what the server has, with what still waits to be sent. */
export function useLog(stored: Inspection): Log {
  const jobId = stored.job.id;
  const [inspection, setInspection] = useState(stored);
  const [waiting, setWaiting] = useState<readonly Waiting[]>([]);
  const [save, setSave] = useState<SaveState>('saved');
  const sender = useRef<Sender | null>(null);
  const refresh = useCallback(() => setWaiting(readWaiting(jobId)), [jobId]);

  useEffect(() => {
    const left = readWaiting(jobId);
    setWaiting(left);
    setInspection((now) =>
      left.reduce((facts, { runId, entry }) => withEntries(facts, runId, [entry]), now),
    );
    const started = startSender(jobId, setSave, refresh);
    sender.current = started;
    started.poke();
    window.addEventListener('online', started.poke);
    return () => {
      window.removeEventListener('online', started.poke);
      started.stop();
    };
  }, [jobId, refresh]);

  const append = useCallback(
    (runId: string, drafts: readonly EntryDraft[]) => {
      const at = localInstant(new Date());
      const entries = drafts.map((draft) => ({ id: ulid(), at, ...draft }) as Entry);
      for (const entry of entries) keepWaiting(jobId, { runId, entry });
      setInspection((now) => withEntries(now, runId, entries));
      refresh();
      sender.current?.poke();
      return entries;
    },
    [jobId, refresh],
  );

  const takeOut = useCallback(
    (entryId: string) => {
      dropWaiting(jobId, entryId);
      setInspection((now) => ({
        ...now,
        runs: now.runs.map((run) => ({
          ...run,
          entries: run.entries.filter(({ id }) => id !== entryId),
        })),
      }));
      refresh();
    },
    [jobId, refresh],
  );

  const addAccess = useCallback((access: AccessPoint) => {
    setInspection((now) => ({ ...now, accessPoints: [...now.accessPoints, access] }));
  }, []);
  const addRun = useCallback((run: Run) => {
    setInspection((now) => ({
      ...now,
      job: { ...now.job, referenceRunId: now.job.referenceRunId || run.id },
      runs: [...now.runs, run],
    }));
  }, []);

  return { inspection, save, waiting, append, addAccess, addRun, takeOut };
}

function withEntries(inspection: Inspection, runId: string, entries: readonly Entry[]): Inspection {
  return {
    ...inspection,
    runs: inspection.runs.map((run) => {
      if (run.id !== runId) return run;
      const known = new Set(run.entries.map(({ id }) => id));
      return { ...run, entries: [...run.entries, ...entries.filter(({ id }) => !known.has(id))] };
    }),
  };
}
