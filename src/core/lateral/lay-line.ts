import { labelIn } from '../job/labels';
import { listSightingsDecisions, readEntryWords } from '../job/decisions';
import type { Inspection } from '../job/inspection';
import type { Run } from '../job/run';
import type { Settings } from '../job/settings';
import type { FoldedLog } from '../log/fold';
import { joinRuns, type LineJoin } from '../measure/join/join';
import { layRun, type RunAxis } from '../measure/placement';

/** The runs of one line, each on the line's axis as far as something joins it there. */
export type LaidLine = { readonly axes: readonly RunAxis[]; readonly join: LineJoin };

/**
 * The run whose access is station 0 of a line: the job's reference run; on other lines the one that
 * was begun first, so that the order of runs in a file says nothing.
 */
export function chooseReference(
  runs: readonly Run[],
  referenceRunId: string,
  logs: ReadonlyMap<string, FoldedLog>,
): Run | null {
  const named = runs.find(({ id }) => id === referenceRunId);
  if (named) return named;
  const beganMs = ({ id }: Run) => Date.parse(logs.get(id)?.standing[0]?.at ?? '') || Infinity;
  const sorted = [...runs].sort((a, b) => beganMs(a) - beganMs(b) || (a.id < b.id ? -1 : 1));
  return sorted[0] ?? null;
}

/** Lays all runs of a line together. */
export function layLine(
  inspection: Inspection,
  runs: readonly Run[],
  logs: ReadonlyMap<string, FoldedLog>,
  settings: Settings,
): LaidLine {
  const reference = chooseReference(runs, inspection.job.referenceRunId, logs);
  const fromOf = (run: Run) => labelIn(inspection.accessPoints, run.accessPointId);
  const bare = runs.map((run) =>
    layRun(run, logs.get(run.id)!, settings, null, undefined, fromOf(run)),
  );
  const join = joinRuns(
    bare,
    { runId: reference?.id ?? '', accessId: reference?.accessPointId ?? '' },
    inspection.ties,
    inspection.spans ?? [],
  );
  const decisions = listSightingsDecisions(inspection.decisions);
  const axes = runs.map((run) => {
    const log = logs.get(run.id)!;
    const tieOf = (entryId: string) => join.tieOfEntry(run.id, entryId);
    const words = readEntryWords(decisions, run.id, log, tieOf);
    return layRun(run, log, settings, join.originOf(run.id), words, fromOf(run));
  });
  return { axes, join };
}
