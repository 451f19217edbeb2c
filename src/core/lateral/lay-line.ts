import { joinRuns, type LineJoin, linksOf } from '../measure/join/join';
import { type Link, reachAccesses } from '../measure/join/network';
import { layRun, type RunAxis } from '../measure/placement';
import { listSightingsDecisions, readEntryWords } from '../model/job/decisions';
import type { Inspection } from '../model/job/inspection';
import { labelIn } from '../model/job/labels';
import type { Run } from '../model/job/run';
import type { Settings } from '../model/job/settings';
import type { FoldedLog } from '../model/log/fold';
import { endsLine } from './terminus';

/** The runs of one line, each on the line's axis as far as something joins it there. */
export type LaidLine = { readonly axes: readonly RunAxis[]; readonly join: LineJoin };

/** Whether a run saw its line end: at the main or a tank, and confirmed. */
const sawEnd = ({ log }: RunAxis) =>
  log.of('end').some(({ reason, confirmedBy }) => endsLine(reason) && confirmedBy !== 'none');

/** Runs that links join, each group by itself; runs from one access are joined by it. */
function groupJoined(axes: readonly RunAxis[], links: readonly Link[]): RunAxis[][] {
  const runs = new Map(axes.map((axis) => [axis.run.id, axis]));
  const groups: RunAxis[][] = [];
  for (const axis of axes) {
    if (groups.some((group) => group.includes(axis))) continue;
    const reference = { runId: axis.run.id, accessId: axis.run.accessPointId };
    const accesses = reachAccesses({ runs, reference, links });
    groups.push(axes.filter(({ run }) => accesses.has(run.accessPointId)));
  }
  return groups;
}

/**
 * The run whose access is station 0 of a line: the one the job names. Where it names none: among groups of
 * joined runs the one that saw the line's end, else the one that went farthest; in it the run that was begun
 * first, so that the order of runs in a file says nothing.
 */
export function chooseReference(
  axes: readonly RunAxis[],
  referenceRunId: string | undefined,
  links: readonly Link[],
): Run | null {
  const named = axes.find(({ run }) => run.id === referenceRunId);
  if (named) return named.run;
  const longestFt = (group: readonly RunAxis[]) => Math.max(...group.map(({ reachFt }) => reachFt));
  const beganMs = ({ log }: RunAxis) => Date.parse(log.standing[0]?.at ?? '') || Infinity;
  const inTime = (group: readonly RunAxis[]) =>
    [...group].sort((a, b) => beganMs(a) - beganMs(b) || (a.run.id < b.run.id ? -1 : 1));
  const [first] = groupJoined(axes, links)
    .map(inTime)
    .sort(
      (a, b) =>
        Number(b.some(sawEnd)) - Number(a.some(sawEnd)) ||
        longestFt(b) - longestFt(a) ||
        beganMs(a[0]!) - beganMs(b[0]!) ||
        (a[0]!.run.id < b[0]!.run.id ? -1 : 1),
    );
  return first?.[0]?.run ?? null;
}

/** Lays all runs of a line together. */
export function layLine(
  inspection: Inspection,
  runs: readonly Run[],
  logs: ReadonlyMap<string, FoldedLog>,
  settings: Settings,
): LaidLine {
  const fromOf = (run: Run) => labelIn(inspection.accessPoints, run.accessPointId);
  const bare = runs.map((run) =>
    layRun(run, logs.get(run.id)!, settings, null, undefined, fromOf(run)),
  );
  const links = linksOf(bare, inspection.ties, inspection.spans ?? []);
  const reference = chooseReference(bare, inspection.job.referenceRunId, links);
  const join = joinRuns(
    bare,
    { runId: reference?.id ?? '', accessId: reference?.accessPointId ?? '' },
    links,
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
