import { groupBy } from '../base/group';
import type { Reason } from '../catalogue/severity/grade';
import { segmentAt, sideAt } from '../lateral/segments';
import { issuedNumbers } from '../model/job/report-words';
import { adviseByAction } from './advise';
import { isCourtesy } from './courtesy';
import { factsWithoutSizes } from './facts-of';
import { type Advice, type Finding, type Proviso, type Suspicion, UNJUDGED } from './finding';
import { keepIssued, numberMade } from './numbering';
import { type Asked, type Concluded, type MadeFinding, pick } from './rules/conclusion';
import type { Rule } from './rules/rule';
import { lineOf, type Scene } from './rules/scene';
import { settleAction } from './settle';

/** Something to ask, with the rule that needs to know. */
export type Question = Omit<Asked, 'kind'> & { readonly rule: string; readonly on: string | null };

/** Advice on the job as a whole. */
export type JobAdvice = Reason & { readonly runIds: readonly string[] };

/** What the rules made of a job. */
export type Judgement = {
  readonly findings: readonly Finding[];
  /** What is to be said of the job as a whole. */
  readonly remarks: readonly Reason[];
  readonly advice: readonly JobAdvice[];
  readonly suspicions: readonly Suspicion[];
  readonly provisos: readonly Proviso[];
  readonly questions: readonly Question[];
};

/** Conclusions in an order of their own, whatever order the rules were asked in. */
function conclude(scene: Scene, rules: readonly Rule[]): Concluded[] {
  const all: Concluded[] = [];
  for (const { id, conclude: ask } of rules.toSorted((a, b) => a.number - b.number))
    for (const conclusion of ask(scene)) all.push({ ...conclusion, rule: id });
  return all;
}

const said = ({ rule, text }: Reason): Reason => ({ rule, text });

const advised = ({ rule, text, methods }: Advice): Advice => ({
  rule,
  text,
  ...(methods ? { methods } : {}),
});

/** One of each: the same words by the same rule are said once. */
function once<T extends { readonly rule: string; readonly text: string }>(
  items: readonly T[],
  keyOf: (item: T) => string = ({ rule, text }) => `${rule} ${text}`,
): readonly T[] {
  if (items.length < 2) return items;
  const seen = new Set<string>();
  return items.filter((item) => {
    const key = keyOf(item);
    return !seen.has(key) && seen.add(key);
  });
}

const suspect = ({ rule, text, defect, settledBy }: Suspicion): Suspicion => ({
  rule,
  text,
  defect,
  settledBy,
});
const provide = ({ rule, text, settledBy }: Proviso): Proviso => ({ rule, text, settledBy });
const byDefect = ({ rule, text, defect }: Suspicion) => `${rule} ${text} ${defect}`;

/** Lays what rules concluded about a finding over it. Its action and causes are settled already. */
function layOver(finding: Finding, all: readonly Concluded[]): Finding {
  const more = pick(all, 'advice').map(advised);
  // Of most findings the rules say nothing but what to do by their action.
  if (all.length === more.length) return withAdvice(finding, more);
  const provisos = once([...finding.provisos, ...pick(all, 'proviso').map(provide)]);
  const judged: Finding = {
    ...finding,
    because: once([...finding.because, ...pick(all, 'reason').map(said)]),
    suspicions: once(pick(all, 'suspicion').map(suspect), byDefect),
    provisos,
    provisional: provisos.length > 0,
  };
  return withAdvice(judged, more);
}

/** The advice by the action first, then what rules add; a finding with no action keeps to its reason. */
export function withAdvice(finding: Finding, more: readonly Advice[]): Finding {
  const first = adviseByAction(finding);
  const rest = finding.action === 'none' && finding.kind !== 'material' ? [] : more;
  return { ...finding, advice: once([first, ...rest]) };
}

/** Conclusions by the finding that they are about. */
function groupByFinding(all: readonly Concluded[]): (id: string) => readonly Concluded[] {
  const about = groupBy(all, (one) => (one.kind === 'finding' ? null : one.on));
  return (id) => about.get(id) ?? [];
}

/**
 * Asks every rule about the scene and lays what they conclude over the findings.
 *
 * First only those that may change an action (causes that compete, a call for more, a reason for none) for
 * what does, and then, with every action settled, all of them for all that follows from it.
 */
export function concludeAll(graded: Scene, rules: readonly Rule[]): Judgement {
  const turning = groupByFinding(
    conclude(
      graded,
      rules.filter(({ turns }) => turns),
    ),
  );
  const scene: Scene = {
    ...graded,
    findings: graded.findings.map((finding) => settleAction(finding, turning(finding.id))),
  };
  const all = conclude(scene, rules);
  const about = groupByFinding(all);
  const onJob = all.filter((one) => one.kind !== 'finding' && one.on === null);
  const made = pick(all, 'finding');
  const rough = numberMade(scene, made);
  const ids = made.map((one, index) => ({ id: idOfMade(one), number: rough[index]! }));
  const numbers = keepIssued(ids, issuedNumbers(scene.inspection.decisions));
  return {
    findings: [
      ...scene.findings.map((finding) => layOver(finding, about(finding.id))),
      ...made.map((one, index) => makeFinding(scene, one, numbers[index]!)),
    ],
    remarks: once(pick(onJob, 'reason').map(said)),
    advice: once(pick(onJob, 'advice').map(({ rule, text, runIds }) => ({ rule, text, runIds }))),
    suspicions: once(pick(onJob, 'suspicion').map(suspect), byDefect),
    provisos: once(pick(onJob, 'proviso').map(provide)),
    questions: once(
      pick(all, 'question').map(({ kind: _kind, ...asked }) => asked),
      ({ rule, on, text, entryIds }) => [rule, on, text, ...entryIds].join(' '),
    ),
  };
}

const idOfMade = ({ of, lineId, key }: MadeFinding) =>
  `${of === 'layout' ? 'L' : 'M'}-${lineId}-${key}`;

function makeFinding(
  scene: Scene,
  made: MadeFinding & { readonly rule: string },
  number: number,
): Finding {
  const { inspection, settings } = scene;
  const lateral = lineOf(scene, made.lineId);
  const middleFt = (made.span.fromFt + made.span.toFt) / 2;
  const zone = segmentAt(lateral.segments, middleFt)?.zone ?? null;
  const provisos = made.provisos.map((proviso) => ({ rule: made.rule, ...proviso }));
  const lengthFt = made.span.toFt - made.span.fromFt;
  const pipe = { boreIn: made.boreIn, material: made.material };
  const owners = lateral.axes.filter(({ log }) => made.entryIds.some((id) => log.byId.has(id)));
  const runIds = made.runIds.length > 0 ? made.runIds : owners.map(({ run }) => run.id);
  const finding: Finding = {
    id: idOfMade(made),
    number,
    lineId: made.lineId,
    kind: made.of,
    span: made.span,
    sigmaFt: made.sigmaFt,
    placed: true,
    inRiser: false,
    isPlaceUnsaid: false,
    runIds,
    runNames: [...lateral.axes, ...lateral.unplaced]
      .filter(({ run }) => runIds.includes(run.id))
      .map(({ name }) => name),
    severity: made.severity,
    range: null,
    action: made.action,
    computed: { severity: made.severity, action: made.action },
    provisional: provisos.length > 0,
    provisos,
    verified: true,
    water: null,
    courtesy: isCourtesy(inspection, lateral, made.span, zone),
    certainty: 'confirmed',
    clock: null,
    locus: null,
    material: made.material,
    zone,
    responsibleSide: sideAt(inspection.job, lateral.responsibilityLineFt, middleFt, zone),
    facts: factsWithoutSizes(pipe, lengthFt, settings),
    says: made.says,
    missing: null,
    stillOpen: false,
    ourDoing: false,
    because: [{ rule: made.rule, text: made.says }],
    ...UNJUDGED,
    entryIds: made.entryIds,
    photoIds: [],
    notes: [],
  };
  return withAdvice(
    finding,
    made.advice.map((text) => ({ rule: made.rule, text })),
  );
}
