import { roundTo } from '../base/numbers';
import type { Segment } from '../lateral/segments';
import type { Derived } from '../derive';
import type { Finding } from '../judge/finding';
import { reportOptions } from '../job/settings';
import { repairOf } from '../repair/repair';
import type { Block, FindingBlock, Step } from './block';
import { composeCare, composeQuestions } from './care';
import { gradeSentences, sentencesOf } from './reading-grade';
import { composeCost, planOfReport, priceOfFinding, sayPlanOver } from './report-plan';
import { chooseStills } from './stills';
import { type EditableText, layWording } from './wording';
import { composeZones } from './zones';
import { dayOf, sayDay, sayLongDay } from './calendar';
import { composeCautions } from './cautions';
import { describeFinding, explainFinding } from './describe';
import { composeHeadline, composeLead, inOrderOfWork } from './headline';
import { inScope } from './in-scope';
import type { LineNames } from '../lateral/line-names';
import { composeSound } from './sound';
import { composeStops } from './stops';
import { composeTold } from './told';
import { composeWaysIn } from './ways-in';
import { listUnsettled } from './unsettled';
import { composeLimits } from './limits';
import { composeMethod } from './method';
import { sayPlace } from './place';
import { composeSteps } from './steps';
import { composeTerms } from './terms';
import { sayWholeLine } from './whole-line';
import {
  ACTION_WORDS,
  FINDING_WORDS,
  MATERIAL_WORDS,
  OVERALL_WORDS,
  SEVERITY_WORDS,
  ZONE_WORDS,
} from './words';

/** The buyer's report as one list of blocks, with the parts that the headless door prints. */
export type Report = {
  readonly headline: string;
  readonly limits: readonly string[];
  readonly steps: readonly Step[];
  readonly blocks: readonly Block[];
  /** Texts that the inspector may put in other words. */
  readonly texts: readonly EditableText[];
  /** The school grade at which it reads. */
  readonly readsAtGrade: number;
};

/** How many steps the first page names. */
const FIRST_STEPS = 3;

/** Composes the buyer's report. Every number in it is in the log or computed from it. */
export function composeReport(derived: Derived): Report {
  const repair = repairOf(derived);
  const { inspection, settings } = derived;
  const options = reportOptions(settings);
  const wording = layWording(inspection.decisions);
  const headline = composeHeadline(derived);
  const limits = composeLimits(derived);
  const steps = composeSteps(derived);
  const { names } = derived;
  const stills = chooseStills(derived);
  const plan = planOfReport(repair);
  const cost = options.prices ? composeCost(repair) : null;
  const zones = composeZones(derived);
  const questions = composeQuestions(plan);
  const remark = wording.say('remark', '');
  const rest = steps.slice(FIRST_STEPS).map(sayStep);
  const blocks: Block[] = [
    composeMasthead(derived),
    {
      kind: 'headline',
      text: headline,
      verdict: OVERALL_WORDS[derived.overall],
      lead: wording.say('lead', composeLead(derived)),
      pass: options.passLine && mayPass(derived) ? PASS_LINE : null,
    },
    {
      kind: 'section',
      caption: `The pipe from the house to the city’s sewer (the lateral), cut open from the side. Feet are counted from ${names.from(derived.lateral.lineId)}. The pipe is drawn larger than it is.`,
    },
    ...composeStops(derived.stops, names),
    { kind: 'steps', title: 'What to do first', steps: steps.slice(0, FIRST_STEPS) },
    ...(remark === ''
      ? []
      : [{ kind: 'list', title: 'From the inspector', items: [remark] } as const]),
    ...inOrderOfWork(derived.findings).map((finding): FindingBlock => {
      const block = composeFinding(finding, names);
      const computed = block.sentences.join(' ');
      const text = wording.say(`finding:${finding.id}`, computed);
      return {
        ...block,
        sentences: text === computed ? block.sentences : [text],
        remarks: [...block.remarks, ...(finding.courtesy ? [] : sayPlanOver(plan, finding))],
        price:
          options.prices && !finding.courtesy
            ? priceOfFinding(plan, finding, derived.findings)
            : null,
        photoId: stills.find(({ photoId }) => finding.photoIds.includes(photoId))?.photoId ?? null,
      };
    }),
    {
      kind: 'columns',
      columns: [
        { title: 'What was not found', items: composeSound(derived), ordered: false },
        { title: 'What we could not see', items: sayNothing(limits), ordered: false },
        rest.length > 0
          ? { title: 'And then', items: rest, ordered: false }
          : { title: 'Upkeep and care', items: composeCare(derived, repair.site), ordered: false },
      ],
    },
    ...(cost ? [cost] : []),
    ...zones,
    ...composeWhole(derived),
    ...composePipeTables(derived),
    ...composeWaysIn(derived),
    ...composeTold(derived),
    ...(rest.length > 0
      ? [
          {
            kind: 'list',
            title: 'Upkeep and care',
            items: composeCare(derived, repair.site),
          } as const,
        ]
      : []),
    ...(questions.length > 0
      ? [{ kind: 'list', title: 'Ask the contractor', items: questions } as const]
      : []),
    ...(stills.length > 0
      ? [{ kind: 'pictures', title: 'Pictures from the camera', pictures: stills } as const]
      : []),
    { kind: 'list', title: 'How it was inspected', items: composeMethod(derived), isRecord: true },
    { kind: 'list', title: 'Please note', items: composeCautions(derived) },
  ];
  const terms = composeTerms(blocks);
  const whole: Block[] = [
    ...blocks.slice(0, -2),
    { kind: 'terms', title: 'Words in this report', terms },
    ...blocks.slice(-2),
  ];
  return {
    headline,
    limits,
    steps,
    blocks: whole,
    texts: wording.texts,
    readsAtGrade: gradeSentences(sentencesOf(whole)),
  };
}

/** Whose report it is, of what, and when the buyer must have decided. */
function composeMasthead({ inspection: { job, property } }: Derived): Block {
  const endsOn = job.inspectionPeriodEndsOn;
  return {
    kind: 'masthead',
    left: `Sewer lateral condition report · ${property.address} · scoped ${sayLongDay(dayOf(job.scheduledFor))}`,
    right: endsOn ? `Your inspection period ends ${sayDay(endsOn)}` : '',
  };
}

const PASS_LINE =
  'This sewer passes. All of it was seen, and nothing was found that asks for work.';

/** Whether the line may be said to pass: nothing open, unseen or adverse. */
export function mayPass(derived: Derived): boolean {
  return (
    derived.overall === 'serviceable' &&
    derived.completeness === 'whole' &&
    derived.checks.every(({ level }) => level !== 'blocker') &&
    listUnsettled(derived).length === 0 &&
    inScope(derived).every(({ ourDoing, review }) => ourDoing || review?.verdict === 'dismissed')
  );
}

/** What each line is made of; where there are several, each says which it is and from where its feet count. */
function composePipeTables({ lateral, branches, names }: Derived): Block[] {
  return [lateral, ...branches].flatMap(({ lineId, segments }): Block[] =>
    segments.length === 0 && lineId !== lateral.lineId
      ? []
      : [
          {
            kind: 'table',
            title: names.isOne
              ? 'What the pipe is made of'
              : `What the ${names.nameOf(lineId)} is made of (feet from ${names.from(lineId)})`,
            head: ['From, ft', 'To, ft', 'Pipe', 'Lies under', 'Whose side', 'Years old'],
            rows: segments.map(sayPipe),
            numeric: [0, 1],
          },
        ],
  );
}

function sayPipe(segment: Segment): string[] {
  const { fromFt, toFt, material, diameterIn, isBoreAssumed, certainty, zone } = segment;
  const size = diameterIn === null ? '' : `${diameterIn} in `;
  const doubt = certainty === 'confirmed' ? '' : ' (not certain)';
  return [
    String(roundTo(fromFt, 1)),
    String(roundTo(toFt, 1)),
    material === 'unknown' && diameterIn === null
      ? MATERIAL_WORDS[material]
      : `${size}${MATERIAL_WORDS[material]}${doubt}${isBoreAssumed && diameterIn !== null ? ' (size assumed)' : ''}`,
    zone ? ZONE_WORDS[zone] : 'not logged',
    segment.responsibleSide === 'owner' ? 'owner' : 'public',
    segment.age ? sayAge(segment.age.ageYears) : '–',
  ];
}

const sayAge = ({ from, to }: { readonly from: number; readonly to: number }) =>
  Math.round(from) === Math.round(to)
    ? `about ${Math.round(from)}`
    : `${Math.round(from)} to ${Math.round(to)}`;

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

function composeFinding(
  finding: Finding,
  names: LineNames,
): Omit<FindingBlock, 'price' | 'photoId'> {
  const { name, trade } = FINDING_WORDS[finding.kind];
  const isPlain = name.toLowerCase().includes(trade.toLowerCase());
  const severity = SEVERITY_WORDS[finding.severity];
  const place = sayPlace(finding, names);
  const remarks: string[] = [];
  if (finding.range) {
    remarks.push(`Sized by eye, so ${finding.range[0]} to ${finding.range[1]}.`);
  }
  for (const { text } of finding.provisos) remarks.push(`This may change: ${text}.`);
  if (finding.courtesy) remarks.push('Outside the agreed scope. Told as a courtesy.');
  return {
    kind: 'finding',
    id: finding.id,
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
