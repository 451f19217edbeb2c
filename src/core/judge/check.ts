import { memoOf } from '../base/memo';
import { sayFt, sayList } from '../base/numbers';
import type { Lateral } from '../lateral/lateral';
import { type LineNames, nameLines } from '../lateral/line-names';
import type { RunAxis } from '../measure/placement';
import type { Inspection } from '../model/job/inspection';
import type { Impossible } from '../model/job/sane';
import type { Settings } from '../model/job/settings';
import type { Entry } from '../model/log/entry';
import type { Finding, StaleDecision } from './finding';

export type Level = 'blocker' | 'warning';

/** Where one must stand to clear something, in the order in which a site is left. */
export const STANDS = ['reel', 'fixture', 'surface', 'desk'] as const;
export type Stand = (typeof STANDS)[number];

/** Something to clear before the report goes out. */
export type Issue = {
  readonly code: string;
  readonly level: Level;
  readonly stand: Stand;
  /** What is wrong, naming the readings and the run. */
  readonly message: string;
  /** The one thing that clears it. */
  readonly action: string;
  readonly runIds: readonly string[];
  readonly entryIds: readonly string[];
};

/** What a check may look at. */
export type CheckContext = {
  readonly inspection: Inspection;
  readonly laterals: readonly Lateral[];
  /** Findings of what was logged, those that the inspector dismissed left out. */
  readonly findings: readonly Finding[];
  /** Every finding, whatever became of it. */
  readonly all: readonly Finding[];
  readonly orphans: readonly StaleDecision[];
  /** Values that cannot be. */
  readonly impossible: readonly Impossible[];
  readonly settings: Settings;
};

/** One check: a stable code, its level, where it is cleared, and how it finds its issues. */
export type Check = {
  readonly code: string;
  readonly level: Level;
  readonly stand: Stand;
  readonly find: (context: CheckContext) => readonly Omit<Issue, 'code' | 'level' | 'stand'>[];
};

/** Every run of the inspection on its axis, placed or not. */
export function allAxes(context: CheckContext): RunAxis[] {
  return context.laterals.flatMap((lateral) => [...lateral.axes, ...lateral.unplaced]);
}

/** Runs a search over every run and gathers what it finds. */
export function perRun<T>(context: CheckContext, find: (axis: RunAxis) => readonly T[]): T[] {
  return allAxes(context).flatMap(find);
}

/** Names the lines of what is checked. */
export const nameLinesOf = memoOf(({ inspection, laterals }: CheckContext): LineNames =>
  nameLines(inspection, laterals),
);

/** Runs by name, to stand in a bracket: "run R1", "runs R1 and R2". */
export function sayRuns(names: readonly string[]): string {
  return `run${names.length > 1 ? 's' : ''} ${sayList([...names])}`;
}

/** The runs of some ids by name. */
export function namesOfRuns(context: CheckContext, runIds: readonly string[]): string {
  const named = allAxes(context).filter(({ run }) => runIds.includes(run.id));
  return sayRuns(named.map(({ name }) => name));
}

/** Where a finding lies and who saw it: "at 12 ft on the guest house line (run R2)". */
export function sayAt(context: CheckContext, finding: Finding): string {
  const { inRiser, placed, span, lineId, runNames } = finding;
  const runs = runNames.length > 0 ? ` (${sayRuns(runNames)})` : '';
  if (inRiser) return `in the riser${runs}`;
  const on = placed ? nameLinesOf(context).on(lineId) : '';
  return `at ${sayFt(span.fromFt)} ft${on}${runs}`;
}

/** A reading as it stands on the counter ("43.0"); "no reading" when nobody said it. */
export function sayReading(readingFt: number | null): string {
  return readingFt === null ? 'no reading' : `${readingFt.toFixed(1)} ft`;
}

/** Where an entry was logged: "run R1 at 43.0 ft". */
export function sayWhere(axis: RunAxis, entry: Entry): string {
  return `run ${axis.name} at ${sayReading(entry.readingFt)}`;
}
