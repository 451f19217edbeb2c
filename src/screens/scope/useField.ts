import { useCallback, useState } from 'react';
import { type Place, placeAfter, resumeAt } from '#client/actions/counter';
import type { JobOnDevice } from '#client/job-on-device';
import type { Inspection } from '#core/model/job/inspection';
import type { Run } from '#core/model/job/run';
import type { Entry, EntryDraft } from '#core/model/log/entry';

export type Field = {
  readonly run: Run | null;
  readonly place: Place;
  readonly setPlace: (change: Partial<Place>) => void;
  readonly append: (drafts: readonly EntryDraft[], laterMs?: number) => readonly Entry[];
  readonly showRun: (run: Run) => void;
};

/** The run in hand: what is logged moves the counter and the pass along. */
export function useField(inspection: Inspection, job: JobOnDevice): Field {
  const [runId, setRunId] = useState<string | null>(null);
  // What this device holds arrives after the page: until a run is chosen, the last one there is.
  const run = inspection.runs.find(({ id }) => id === runId) ?? inspection.runs.at(-1) ?? null;
  const [held, setHeld] = useState<(Place & { readonly runId: string }) | null>(null);
  const placeIn = (now: typeof held): Place =>
    run === null ? AT_ZERO : now?.runId === run.id ? now : resumeAt(run);
  const place = placeIn(held);
  const move = (next: (place: Place) => Place) => {
    if (run) setHeld((now) => ({ ...next(placeIn(now)), runId: run.id }));
  };
  const append = (drafts: readonly EntryDraft[], laterMs = 0) => {
    if (!run) return [];
    const entries = job.append(run.id, drafts, laterMs);
    move((now) => placeAfter(entries, now));
    return entries;
  };
  const showRun = useCallback(
    (next: Run) => {
      setRunId(next.id);
      setHeld({ ...resumeAt(next), runId: next.id });
    },
    [setHeld],
  );
  return {
    run,
    place,
    setPlace: (change) => move((now) => ({ ...now, ...change })),
    append,
    showRun,
  };
}

const AT_ZERO: Place = { counterFt: 0, pass: 'out' };
