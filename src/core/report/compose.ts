import { memoOf } from '../base/memo';
import { roundTo } from '../base/numbers';
import { materialOf } from '../catalogue/materials/kinds';
import { zoneOf } from '../catalogue/zones';
import type { Assessment } from '../judge/assessment';
import type { Segment } from '../lateral/segments';
import { isForPurchase } from '../model/job/job';
import { reportOptions } from '../model/job/settings';
import { planToTell, repairOf } from '../planning/repair';
import type { Block, Step } from './block';
import { sayDay } from './calendar';
import { composeCare, composeQuestions } from './care';
import { composeCautions } from './cautions';
import { composeClosing } from './closing';
import { composeFindings } from './finding-blocks';
import { composeGlance, GRADES } from './glance';
import { composeHeadline, composeLead } from './headline';
import { inScope } from './in-scope';
import { composeLimits } from './limits';
import { composeLookedFor } from './looked-for';
import { composeMethod } from './method';
import { composeOwnAdvice } from './own-advice';
import { gradeSentences, sentencesOf } from './reading-grade';
import { composeCost } from './report-plan';
import { composeSound, composeWell } from './sound';
import { composeSteps } from './steps';
import { chooseStills } from './stills';
import { composeStops } from './stops';
import { composeTerms } from './terms';
import { composeTold } from './told';
import { listUnsettled } from './unsettled';
import { composeWaysIn } from './ways-in';
import { composeFirmTexts, composeMasthead, composeSignature, composeWho } from './who';
import { sayWholeLine } from './whole-line';
import { type EditableText, layWording } from './wording';
import { OVERALL_WORDS } from './words';
import { composeZones } from './zones';

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

const METHOD_TITLE = 'How it was inspected';

/** How many steps the first page names. */
const FIRST_STEPS = 3;

/** Composes the buyer's report. Every number in it is in the log or computed from it. */
export const composeReport = memoOf((assessment: Assessment): Report => {
  const repair = repairOf(assessment);
  const { inspection, settings } = assessment;
  const options = reportOptions(settings);
  const wording = layWording(inspection.decisions);
  const headline = composeHeadline(assessment);
  const limits = composeLimits(assessment);
  const steps = composeSteps(assessment, repair);
  const { names } = assessment;
  const stills = chooseStills(assessment);
  const plan = planToTell(repair);
  const cost = options.prices ? composeCost(repair) : null;
  const zones = composeZones(assessment);
  const questions = composeQuestions(plan);
  const remark = wording.say('remark', '');
  const findings = composeFindings(assessment, repair, stills, wording);
  const shown = new Set(
    findings.flatMap(({ places }) => places.flatMap(({ picture }) => picture?.photoId ?? [])),
  );
  const more = stills.filter(({ photoId }) => !shown.has(photoId));
  const rest = steps.slice(FIRST_STEPS).map(sayStep);
  const blocks: Block[] = [
    composeMasthead(assessment),
    {
      kind: 'headline',
      text: headline,
      verdict: OVERALL_WORDS[assessment.overall],
      lead: wording.say('lead', composeLead(assessment)),
      pass: options.passLine && mayPass(assessment) ? PASS_LINE : null,
    },
    {
      kind: 'section',
      caption: `The pipe from the house to the city’s sewer (the lateral), cut open from the side. Feet are counted from ${names.from(assessment.lateral.lineId)}. The pipe is drawn larger than it is.`,
    },
    ...composeStops(assessment.stops, names),
    { kind: 'steps', title: 'What to do first', steps: steps.slice(0, FIRST_STEPS) },
    composeGlance(repair, limits, findings, options.prices),
    ...(remark === ''
      ? []
      : [{ kind: 'list', title: 'From the inspector', items: [remark] } as const]),
    ...composeOwnAdvice(assessment),
    ...findings,
    ...(findings.length > 0 ? [GRADES] : []),
    ...composeWell(assessment),
    {
      kind: 'columns',
      columns: [
        {
          title: 'What was not found',
          items: [...composeSound(assessment), ...composeLookedFor(assessment)],
          ordered: false,
        },
        { title: 'What we could not see', items: sayNothing(limits), ordered: false },
        rest.length > 0
          ? { title: 'And then', items: rest, ordered: false }
          : {
              title: 'Upkeep and care',
              items: composeCare(assessment, repair),
              ordered: false,
            },
      ],
    },
    ...(cost ? [cost] : []),
    ...zones,
    ...composeWhole(assessment),
    ...composePipeTables(assessment),
    ...composeWaysIn(assessment),
    ...composeTold(assessment),
    ...(rest.length > 0
      ? [
          {
            kind: 'list',
            title: 'Upkeep and care',
            items: composeCare(assessment, repair),
          } as const,
        ]
      : []),
    ...(questions.length > 0
      ? [{ kind: 'list', title: 'Ask the contractor', items: questions } as const]
      : []),
    ...(more.length > 0
      ? [{ kind: 'pictures', title: 'More pictures from the camera', pictures: more } as const]
      : []),
    {
      kind: 'list',
      title: METHOD_TITLE,
      items: [...composeWho(assessment), ...composeMethod(assessment)],
      isRecord: true,
    },
    { kind: 'list', title: 'Please note', items: composeCautions(assessment) },
    ...composeFirmTexts(assessment),
    ...composeSignature(assessment),
    ...(isForPurchase(inspection.job)
      ? composeClosing(assessment, repair, findings, options.prices)
      : []),
  ];
  const terms = composeTerms(blocks);
  const record = blocks.findIndex((block) => block.kind === 'list' && block.title === METHOD_TITLE);
  const whole: Block[] = [
    ...blocks.slice(0, record),
    { kind: 'terms', title: 'Words in this report', terms },
    ...blocks.slice(record),
  ];
  return {
    headline,
    limits,
    steps,
    blocks: whole,
    texts: wording.texts,
    readsAtGrade: gradeSentences(sentencesOf(whole)),
  };
});

const PASS_LINE =
  'This sewer passes. All of it was seen, and nothing was found that asks for work.';

/** Whether the line may be said to pass: nothing open, unseen or adverse. */
export function mayPass(assessment: Assessment): boolean {
  return (
    assessment.overall === 'serviceable' &&
    assessment.completeness === 'whole' &&
    assessment.checks.every(({ level }) => level !== 'blocker') &&
    listUnsettled(assessment).length === 0 &&
    inScope(assessment).every(({ ourDoing, review }) => ourDoing || review?.verdict === 'dismissed')
  );
}

/** What each line is made of; where there are several, each says which it is and from where its feet count. */
function composePipeTables({ lateral, branches, names }: Assessment): Block[] {
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
      ? materialOf(material).buyerName
      : `${size}${materialOf(material).buyerName}${doubt}${isBoreAssumed && diameterIn !== null ? ' (size assumed)' : ''}`,
    zone ? zoneOf(zone).buyerName : 'not logged',
    segment.responsibleSide === 'owner' ? 'owner' : 'public',
    segment.age ? sayAge(segment.age.ageYears) : '–',
  ];
}

const sayAge = ({ from, to }: { readonly from: number; readonly to: number }) =>
  Math.round(from) === Math.round(to)
    ? `about ${Math.round(from)}`
    : `${Math.round(from)} to ${Math.round(to)}`;

/** What is to be said of the line as a whole, where there is something. */
function composeWhole(assessment: Assessment): Block[] {
  const items = [
    ...sayWholeLine(assessment),
    ...assessment.remarks.map(({ text }) => text),
    ...assessment.advice.map(({ text }) => text),
  ];
  return items.length > 0 ? [{ kind: 'list', title: 'The line as a whole', items }] : [];
}

/** A step with its day in front of the period's end: "… by Mon 9 Nov". */
export function sayStep(step: Step): string {
  return step.byOn ? `${step.text.replace(/\.$/, '')}, by ${sayDay(step.byOn)}.` : step.text;
}

const sayNothing = (items: readonly string[]) =>
  items.length > 0 ? items : ['Nothing was hidden.'];
