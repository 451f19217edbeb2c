import { settingsInForce } from './job/settings';
import type { Inspection } from './job/inspection';
import { saneInspection } from './job/sane';
import { type CheckContext, type Issue } from './judge/check';
import { runChecks } from './judge/checks/index';
import { isLogged } from './judge/finding';
import { judge, type Judged } from './judge/judge';
import { heldWaterOf, listNarrowings, type Narrowing } from './judge/held-and-left';
import {
  type Completeness,
  judgeCompleteness,
  judgeOverall,
  listAbsences,
  type Overall,
} from './judge/verdict';
import { buildLateral, groupRunsByLine, type Lateral } from './lateral/lateral';
import { type LineNames, nameLines } from './lateral/line-names';
import { findMeetings, type Meeting } from './lateral/meets';
import type { HeldWater } from './lateral/grade/held-water';
import { foldLog, type FoldedLog } from './log/fold';
import type { DefectKind } from './log/vocabulary';
import type { Settings } from './job/settings';

/** Everything that is computed from an inspection. Nothing in it is stored. */
export type Derived = Judged & {
  readonly inspection: Inspection;
  readonly settings: Settings;
  readonly logs: ReadonlyMap<string, FoldedLog>;
  /** The house line. */
  readonly lateral: Lateral;
  /** Other lines, each on its own axis. */
  readonly branches: readonly Lateral[];
  /** Where each branch meets the line it joins, as far as somebody saw it. */
  readonly meets: ReadonlyMap<string, Meeting>;
  /** The water that stands in the house line. */
  readonly held: HeldWater;
  /** What obstructs the bore of the house line, and what it leaves. */
  readonly narrowings: readonly Narrowing[];
  /** How the lines are told apart wherever a footage is said. */
  readonly names: LineNames;
  readonly checks: readonly Issue[];
  readonly overall: Overall;
  readonly completeness: Completeness;
  readonly absences: readonly DefectKind[];
};

/**
 * Computes lateral, findings, checks and verdict from an inspection. A pure function: the same
 * inspection gives the same answer, anywhere and at any time.
 */
export function derive(given: Inspection): Derived {
  const { inspection, impossible } = saneInspection(given);
  const settings = settingsInForce(inspection.settings);
  const logs = new Map(inspection.runs.map((run) => [run.id, foldLog(run.entries)]));
  const laterals = [...groupRunsByLine(inspection)].map(([lineId, runs]) =>
    buildLateral(inspection, lineId, runs, logs, settings),
  );
  const judged = judge(inspection, laterals, logs, settings);
  const { findings } = judged;
  const context: CheckContext = {
    inspection,
    laterals,
    findings: findings.filter((one) => isLogged(one) && one.review?.verdict !== 'dismissed'),
    all: findings,
    orphans: judged.orphans,
    impossible,
    settings,
  };
  const checks = runChecks(context);
  return {
    inspection,
    settings,
    logs,
    lateral: laterals[0]!,
    branches: laterals.slice(1),
    names: nameLines(inspection, laterals),
    meets: findMeetings(inspection, laterals),
    ...judged,
    held: heldWaterOf(laterals[0]!, findings),
    narrowings: listNarrowings(laterals[0]!, findings),
    checks,
    overall: judgeOverall(laterals, findings, checks),
    completeness: judgeCompleteness(laterals),
    absences: listAbsences(laterals, findings, judged.suspicions),
  };
}
