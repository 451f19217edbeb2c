import { thresholdsInForce } from '../catalogue/severity/thresholds';
import type { Lateral } from '../lateral/lateral';
import { nameLines } from '../lateral/line-names';
import type { Inspection } from '../model/job/inspection';
import type { Settings } from '../model/job/settings';
import type { FoldedLog } from '../model/log/fold';
import { concludeAll, type Judgement } from './conclude';
import { applyDecisions, type Decided } from './decide';
import type { Finding } from './finding';
import { judgeFindings } from './findings';
import { RULES } from './rules/index';
import type { Rule } from './rules/rule';
import type { Scene } from './rules/scene';
import { applyStops, listStops, type Stop } from './stops';

/** Findings in station order by line; what has no station comes last. */
function inOrder(findings: readonly Finding[], laterals: readonly Lateral[]): Finding[] {
  const rankOfLine = new Map(laterals.map((lateral, index) => [lateral.lineId, index]));
  return [...findings].sort(
    (a, b) =>
      rankOfLine.get(a.lineId)! - rankOfLine.get(b.lineId)! ||
      Number(b.placed) - Number(a.placed) ||
      a.span.fromFt - b.span.fromFt ||
      a.number - b.number,
  );
}

/** What the rules look at, before they have spoken. */
export function sceneOf(
  inspection: Inspection,
  laterals: readonly Lateral[],
  settings: Settings,
): Scene {
  const findings = inOrder(judgeFindings(inspection, laterals, settings), laterals);
  return {
    inspection,
    settings,
    thresholds: thresholdsInForce(settings.thresholds),
    laterals,
    names: nameLines(inspection, laterals),
    findings,
  };
}

/** What was judged of a job, the inspector's last word over it. */
export type Judged = Judgement &
  Pick<Decided, 'orphans'> & {
    /** What must not be done, whatever is advised. */
    readonly stops: readonly Stop[];
  };

/**
 * Judges a job: grades by the severity table, then what the rules conclude, then the inspector's last
 * word. The order in which the rules are given changes nothing.
 */
export function judge(
  inspection: Inspection,
  laterals: readonly Lateral[],
  logs: ReadonlyMap<string, FoldedLog>,
  settings: Settings,
  rules: readonly Rule[] = RULES,
): Judged {
  const judgement = concludeAll(sceneOf(inspection, laterals, settings), rules);
  const { findings, orphans } = applyDecisions(judgement.findings, inspection, logs);
  // Last of all, so that no rule and no word of the inspector can lose one.
  const stops = listStops(laterals, findings);
  return { ...judgement, findings: inOrder(applyStops(findings, stops), laterals), orphans, stops };
}
