import { lengthFt, totalFt } from '../base/interval';
import { roundTo, sayList } from '../base/numbers';
import type { Derived } from '../derive';
import type { Finding } from '../judge/finding';
import { isTooObscured } from '../judge/verdict';
import type { Block, FindingBlock, Step } from './block';
import { dayOf, sayDay, sayLongDay } from './calendar';
import { composeCautions } from './cautions';
import { describeFinding, explainFinding, sayFeet } from './describe';
import { composeHeadline, composeLead, inOrderOfWork } from './headline';
import { composeLimits } from './limits';
import { composeMethod } from './method';
import { sayPlace } from './place';
import { composeSteps } from './steps';
import { composeTerms } from './terms';
import { sayWholeLine } from './whole-line';
import { ACTION_WORDS, FINDING_WORDS, MATERIAL_WORDS, OVERALL_WORDS, SEVERITY_WORDS, ZONE_WORDS } from './words'; // prettier-ignore

/** The buyer's report as one list of blocks, with the parts that the headless door prints. */
export type Report = {
  readonly headline: string;
  readonly limits: readonly string[];
  readonly steps: readonly Step[];
  readonly blocks: readonly Block[];
};

/** Composes the buyer's report. Every number in it is in the log or computed from it. */
export function composeReport(derived: Derived): Report {
  const headline = composeHeadline(derived);
  const limits = composeLimits(derived);
  const steps = composeSteps(derived);
  const { job, property } = derived.inspection;
  const endsOn = job.inspectionPeriodEndsOn;
  const accessId = derived.lateral.axes[0]?.run.accessPointId ?? 'the access';
  const blocks: Block[] = [
    {
      kind: 'masthead',
      left: `Sewer lateral condition report · ${property.address} · scoped ${sayLongDay(dayOf(job.scheduledFor))}`,
      right: endsOn ? `Your inspection period ends ${sayDay(endsOn)}` : '',
    },
    {
      kind: 'headline',
      text: headline,
      verdict: OVERALL_WORDS[derived.overall],
      lead: composeLead(derived),
    },
    {
      kind: 'section',
      caption: `The pipe from the house to the city’s sewer (the lateral), cut open from the side. Feet are counted from ${accessId}; the pipe is drawn larger than it is.`,
    },
    ...inOrderOfWork(derived.findings).map((finding) => composeFinding(finding, accessId)),
    {
      kind: 'columns',
      columns: [
        { title: 'What was not found', items: composeSound(derived), ordered: false },
        { title: 'What we could not see', items: sayNothing(limits), ordered: false },
        { title: 'Next', items: steps.map(sayStep), ordered: true },
      ],
    },
    ...composeWhole(derived),
    {
      kind: 'table',
      title: 'What the pipe is made of',
      head: ['From, ft', 'To, ft', 'Pipe', 'Lies under', 'Whose side'],
      rows: derived.lateral.segments.map((segment) => [
        String(roundTo(segment.fromFt, 1)),
        String(roundTo(segment.toFt, 1)),
        segment.diameterIn === null
          ? MATERIAL_WORDS[segment.material]
          : `${segment.diameterIn} in ${MATERIAL_WORDS[segment.material]}${segment.certainty === 'confirmed' ? '' : ' (not certain)'}`,
        segment.zone ? ZONE_WORDS[segment.zone] : 'not logged',
        segment.responsibleSide === 'owner' ? 'owner' : 'public',
      ]),
      numeric: [0, 1],
    },
    { kind: 'list', title: 'How it was inspected', items: composeMethod(derived) },
    { kind: 'terms', title: 'Words in this report', terms: composeTerms(derived) },
    { kind: 'list', title: 'Please note', items: composeCautions(derived) },
  ];
  return { headline, limits, steps, blocks };
}

/** What is to be said of the line as a whole, where there is something. */
function composeWhole(derived: Derived): Block[] {
  const items = [
    ...sayWholeLine(derived),
    ...derived.remarks.map(({ text }) => text),
    ...derived.advice.map(({ text }) => text),
  ];
  return items.length > 0 ? [{ kind: 'list', title: 'The line as a whole', items }] : [];
}

/** A step with its day in front of the period's end: "… by Mon 9 Nov". */
export function sayStep(step: Step): string {
  return step.byOn ? `${step.text.replace(/\.$/, '')}, by ${sayDay(step.byOn)}.` : step.text;
}

const sayNothing = (items: readonly string[]) =>
  items.length > 0 ? items : ['Nothing was hidden.'];

function composeFinding(finding: Finding, accessId: string): FindingBlock {
  const { name, trade } = FINDING_WORDS[finding.kind];
  const isPlain = name.toLowerCase().includes(trade.toLowerCase());
  const severity = SEVERITY_WORDS[finding.severity];
  const place = sayPlace(finding, accessId);
  const remarks: string[] = [];
  if (finding.range) {
    remarks.push(`Sized by eye, so ${finding.range[0]} to ${finding.range[1]}.`);
  }
  for (const { text } of finding.provisos) remarks.push(`This may change: ${text}.`);
  if (finding.courtesy) remarks.push('Outside the agreed scope. Told as a courtesy.');
  return {
    kind: 'finding',
    number: finding.number,
    severity: finding.severity,
    action: finding.action,
    title: `${name}${isPlain ? '' : ` (${trade})`}${place.startsWith('at') || place.startsWith('in ') ? ' ' : ', '}${place}`,
    sentences: [
      describeFinding(finding),
      ...explainFinding(finding),
      ...finding.advice.map(({ text }) => text),
    ],
    verdict: `${severity} · ${ACTION_WORDS[finding.action]}`,
    remarks,
  };
}

/** What was looked for and not found, over how many feet. Empty claims are never made. */
function composeSound(derived: Derived): string[] {
  const { coverage, reached } = derived.lateral;
  if (totalFt(reached) === 0) return ['Nothing has been looked at yet.'];
  if (derived.absences.length === 0) {
    return isTooObscured(derived.lateral)
      ? [
          `Only ${sayFeet(coverage.clearFt)} could be seen. Too much was hidden to rule anything out.`,
        ]
      : ['Every kind of fault was found or suspected somewhere.'];
  }
  const named = derived.absences.map((kind) => FINDING_WORDS[kind].plural);
  return [
    `Over the ${sayFeet(coverage.clearFt)} seen: no ${sayList(named).replace(/ and ([^,]*)$/, ' or $1')}.`,
    ...soundStretches(derived),
  ];
}

/** Stretches of one pipe with nothing wrong in them, named in words. */
function soundStretches(derived: Derived): string[] {
  const { segments, coverage } = derived.lateral;
  const clean = segments.filter(
    (segment) =>
      lengthFt(segment) >= 5 &&
      segment.material !== 'unknown' &&
      !coverage.obscured.some((part) => part.toFt > segment.fromFt && part.fromFt < segment.toFt) &&
      !derived.findings.some(
        ({ span, placed }) => placed && span.toFt >= segment.fromFt && span.fromFt <= segment.toFt,
      ),
  );
  return clean.map(
    (segment) =>
      `Nothing was found in the ${MATERIAL_WORDS[segment.material]} from ${roundTo(segment.fromFt, 0)} to ${roundTo(segment.toFt, 0)} ft.`,
  );
}
