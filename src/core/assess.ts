import { memoOf } from './base/memo';
import type { Assessment } from './judge/assessment';
import type { CheckContext } from './judge/check';
import { runChecks } from './judge/checks/index';
import { isLogged } from './judge/finding';
import { heldWaterOf, listNarrowings } from './judge/held-and-left';
import { judge } from './judge/judge';
import { judgeCompleteness, judgeOverall, listAbsences } from './judge/verdict';
import { buildLateral, groupRunsByLine } from './lateral/lateral';
import { nameLines } from './lateral/line-names';
import { findMeetings } from './lateral/meets';
import type { Inspection } from './model/job/inspection';
import { saneInspection } from './model/job/sane';
import { settingsInForce } from './model/job/settings';
import { foldLog } from './model/log/fold';

/**
 * Computes lateral, findings, checks and verdict from an inspection. A pure function: the same
 * inspection gives the same answer, anywhere and at any time.
 */
export function assess(given: Inspection): Assessment {
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

/** The same, worked out once for as long as the inspection lives: for pages, papers and lists of one state of a job. */
export const assessed = memoOf(assess);
