import type { Inspection } from '../model/job/inspection';
import {
  listFindingDecisions,
  type OverrideDecision,
  type ReviewDecision,
} from '../model/job/rulings';
import type { FoldedLog } from '../model/log/fold';
import { withAdvice } from './conclude';
import type { Finding, StaleDecision } from './finding';

/** What a finding rests on, word by word: a decision over it fits as long as these are the same. */
export function evidenceOf(finding: Finding): string[] {
  const { kind, computed, material, certainty, facts, verified, says } = finding;
  const sizes = Object.entries(facts)
    .filter(([key, value]) => value !== null && value !== false && !NOT_EVIDENCE.includes(key))
    .map(([key, value]) => `${NAMES[key] ?? key}: ${String(value)}`);
  return [
    `what: ${kind}`,
    `Chert’s grade: ${computed.severity}`,
    `Chert’s action: ${computed.action}`,
    `material: ${material}`,
    `certainty: ${certainty}`,
    ...(verified ? [] : ['not verified']),
    ...(says === null ? sizes : [says]),
  ];
}

/** Facts that say how a size was taken and not what it is; the material is named by itself. */
const NOT_EVIDENCE = [
  'eyeSizeIn',
  'eyeShareRatio',
  'byEye',
  'material',
  'impossible',
  'unreadForm',
];
const NAMES: Readonly<Record<string, string>> = {
  depthIn: 'depth, in',
  fillRatio: 'fill',
  extentRatio: 'share of the pipe',
  offsetIn: 'offset, in',
  gapIn: 'gap, in',
  lipIn: 'lip, in',
  lengthFt: 'length, ft',
  boreIn: 'diameter, in',
  holdsDebris: 'holds debris',
  soilVisible: 'soil visible',
  inStandingWater: 'in standing water',
};

/** What changed between what a decision was made over and what there is now. */
function compareEvidence(then: readonly string[], now: readonly string[]): string[] {
  return [
    ...then.filter((word) => !now.includes(word)).map((word) => `was ${word}`),
    ...now.filter((word) => !then.includes(word)).map((word) => `now ${word}`),
  ];
}

type FindingDecision = OverrideDecision | ReviewDecision;

/** Findings of what was logged are named after the first entry that saw them. */
const isLoggedId = (id: string) => id.startsWith('F-');

/** The finding that a decision is over: by its id, else by an entry that has become part of it. */
function subjectOf(
  decision: FindingDecision,
  findings: readonly Finding[],
  logs: ReadonlyMap<string, FoldedLog>,
): Finding | null {
  const named = findings.find(({ id }) => id === decision.findingId);
  // What a rule made of the whole shares its entries with others and is followed by its name alone.
  if (named || !isLoggedId(decision.findingId)) return named ?? null;
  const heirs = new Set(
    decision.entries.flatMap(({ runId, entryId }) =>
      (logs.get(runId)?.heirsOf(entryId) ?? []).map(({ id }) => `${runId} ${id}`),
    ),
  );
  return (
    findings.find(
      ({ id, runIds, entryIds }) =>
        isLoggedId(id) &&
        runIds.some((runId) => entryIds.some((entryId) => heirs.has(`${runId} ${entryId}`))),
    ) ?? null
  );
}

function sayDecision(decision: FindingDecision): string {
  if (decision.kind === 'review-finding') return decision.verdict;
  return [decision.severity, decision.action, decision.wording && `“${decision.wording}”`]
    .filter((word) => word !== undefined && word !== '')
    .join(', ');
}

const staleOf = (decision: FindingDecision, changed: readonly string[]): StaleDecision => ({
  decisionId: decision.id,
  kind: decision.kind,
  said: sayDecision(decision),
  reason: decision.reason,
  changed,
});

function rule(finding: Finding, decision: OverrideDecision): Finding {
  const { severity, action } = finding;
  const said = {
    ...finding,
    severity: decision.severity ?? severity,
    range: decision.severity ? null : finding.range,
    action: decision.action ?? action,
    because: [
      ...finding.because,
      {
        rule: 'inspector',
        text: `the inspector says ${sayDecision(decision)}: ${decision.reason}`,
      },
    ],
    ruling: {
      wording: decision.wording || null,
      reason: decision.reason,
      decisionId: decision.id,
    },
  };
  return said.action === action ? said : withAdvice(said, finding.advice.slice(1));
}

function review(finding: Finding, decision: ReviewDecision): Finding {
  const { verdict, reason, id } = decision;
  const reviewed = { ...finding, review: { verdict, reason, decisionId: id } };
  if (verdict === 'confirmed') return reviewed;
  const why = { rule: 'inspector', text: `the inspector dismissed it: ${reason}` };
  return withAdvice({ ...reviewed, action: 'none', because: [...finding.because, why] }, []);
}

/** What the inspector's decisions left of the findings. */
export type Decided = {
  readonly findings: readonly Finding[];
  /** Decisions over findings that are gone. */
  readonly orphans: readonly StaleDecision[];
};

/**
 * Lays the inspector's last word over the findings. The latest of each kind counts. One whose evidence
 * has changed is not in force: the finding shows it as stale, until it is said again or taken back.
 */
export function applyDecisions(
  findings: readonly Finding[],
  inspection: Inspection,
  logs: ReadonlyMap<string, FoldedLog>,
): Decided {
  const decisions = listFindingDecisions(inspection.decisions);
  if (decisions.length === 0) return { findings, orphans: [] };
  const latest = new Map<string, { finding: Finding; decision: FindingDecision }>();
  const orphans: StaleDecision[] = [];
  for (const decision of decisions) {
    const finding = subjectOf(decision, findings, logs);
    if (finding) latest.set(`${decision.kind} ${finding.id}`, { finding, decision });
    else orphans.push(staleOf(decision, ['its finding is gone']));
  }
  const decided = findings.map((finding) => {
    const over = latest.get(`override-finding ${finding.id}`)?.decision;
    const looked = latest.get(`review-finding ${finding.id}`)?.decision;
    const stale: StaleDecision[] = [];
    let said = finding;
    const now = evidenceOf(finding);
    for (const decision of [over, looked]) {
      if (!decision) continue;
      const changed = compareEvidence(decision.evidence, now);
      if (changed.length > 0) stale.push(staleOf(decision, changed));
      else
        said = decision.kind === 'override-finding' ? rule(said, decision) : review(said, decision);
    }
    return stale.length > 0 ? { ...said, stale } : said;
  });
  return { findings: decided, orphans };
}
