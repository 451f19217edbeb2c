import { CLEANING, type MethodId, NEW_INSIDE } from '../catalogue/method-ids';
import type { Assessment } from '../judge/assessment';
import type { Finding } from '../judge/finding';
import { type Course, coursesOf, isPurchase } from '../planning/course';
import { planToTell, type Repair, repairOf } from '../planning/repair';
import type { Block, FindingBlock, Step } from './block';
import { composeReport, type Report } from './compose';
import { composeDocuments, type Documents } from './documents';
import { inScope } from './in-scope';

/** Two places that disagree: where, and what is wrong. */
export type Contradiction = { readonly where: string; readonly what: string };

/** How a sentence asks for a work. Only what asks is held against the plan: what explains is not. */
const ASKS_FOR: Partial<Record<MethodId, RegExp>> = {
  cut: /\broots (?:be )?cut\b|\bcut the roots\b/i,
  jet: /\bjetted\b|\bwater jet\b/i,
  descale: /\bdescal(?:ed|ing)\b|\bscale taken off\b/i,
  'treat-roots': /\b(?:roots|them) treated\b|\btreat the roots\b/i,
  liner: /\bline (?:it|the pipe)\b|\bline or replace\b/i,
  'patch-liner': /\bshort liner\b/i,
  dig: /\bdig and replace\b|\bdug up\b/i,
  'slab-break': /\bopen the floor\b/i,
  reroute: /\banother way\b/i,
  burst: /\bthrough the old one\b/i,
  'ramp-lip': /\bground down\b|\bsmooth the edge\b/i,
  'trim-tap': /\bcut back the pipe\b/i,
};

/** Sentences that forbid, or that only say what would not do. */
const DENIES =
  /^(?:do not|don’t|never|only|a liner|cutting|no work|nothing)\b|\bmust never\b|\bnot have\b/i;

/** What somebody else said is theirs. */
const sentencesOf = (text: string) => text.replace(/“[^”]*”/g, '“…”').split(/(?<=[.!?])\s+/);
const numbersIn = (text: string) =>
  [...text.matchAll(/\bfindings? ([\d, and]+)/gi)].flatMap(([, list = '']) =>
    (list.match(/\d+/g) ?? []).map(Number),
  );

/** What a finding's own words say against its course. */
function againstCourse(block: FindingBlock, course: Course): string[] {
  const sentences = block.sentences.flatMap(sentencesOf).filter((one) => !DENIES.test(one));
  const asked = (Object.entries(ASKS_FOR) as [MethodId, RegExp][]).flatMap(([method, says]) =>
    sentences.filter((one) => says.test(one)).map((one) => ({ method, one })),
  );
  const isActed = ['repair', 'clean', 'look'].includes(course.does);
  const all = block.sentences.join(' ');
  const years = new Set(
    [...all.matchAll(/\b(?:once a year|every year|about every (\d+) years)\b/gi)].map(
      ([, count]) => count ?? '1',
    ),
  );
  return [
    ...asked
      .filter(({ method }) => course.excludes.includes(method))
      .map(({ method, one }) => `asks for ${method}, which must not be done there: “${one}”`),
    ...asked
      .filter(({ method }) => isActed && !mayAsk(method, course))
      .map(({ method, one }) => `asks for ${method}, which the plan does not do: “${one}”`),
    ...(isActed && /\bNo work\b/i.test(all) && course.methods.length > 0
      ? ['says that no work is needed beside a work']
      : []),
    ...(/after you move in/i.test(all) && course.when !== 'after-move-in'
      ? ['says “after you move in” for what is done before']
      : []),
    ...(years.size > 1 ? [`has two intervals for one upkeep: ${[...years].join(', ')} years`] : []),
    ...(course.does === 'look' && block.price !== null ? ['has a price beside “look first”'] : []),
  ];
}

/** A rule may weigh one way of the same sort against another. */
const mayAsk = (method: MethodId, { methods }: Course) =>
  methods.includes(method) ||
  (NEW_INSIDE.includes(method) && methods.some((one) => NEW_INSIDE.includes(one))) ||
  (method === 'treat-roots' && methods.some((one) => CLEANING.includes(one)));

/** What the steps say against the courses, and the other way round. */
function againstSteps(
  steps: readonly Step[],
  findings: readonly Finding[],
  courses: ReadonlyMap<string, Course>,
): string[] {
  const named = new Set(steps.flatMap(({ text }) => numbersIn(text)));
  const known = new Set(findings.map(({ number }) => number));
  const asks = findings.filter(({ id, action }) => {
    const { does, when } = courses.get(id)!;
    if (does === 'repair') return action === 'repair' || action === 'urgent';
    return ['look', 'call', 'tell', 'ask'].includes(does) || (does === 'clean' && when !== 'none');
  });
  const dates = steps.flatMap(({ byOn }) => byOn ?? []);
  return [
    ...[...named].filter((one) => !known.has(one)).map((one) => `a step names no finding: ${one}`),
    ...asks
      .filter(({ number }) => !named.has(number))
      .map(({ number }) => `no step is for finding ${number}`),
    ...(dates.some((date, at) => at > 0 && date < dates[at - 1]!)
      ? ['a step is due before the one before it']
      : []),
    ...steps
      .filter(({ text }) => /^Get two quotes/.test(text))
      .flatMap(({ text }) => numbersIn(text))
      .filter((number) =>
        findings.some((one) => one.number === number && courses.get(one.id)!.does !== 'repair'),
      )
      .map((number) => `quotes are asked for finding ${number}, which no repair ends`),
  ];
}

const wordsOf = (blocks: readonly Block[]) => JSON.stringify(blocks);

/** What the documents of a job say against each other, its courses and its plan. Empty where all speak with one voice. */
export function findContradictions(
  assessment: Assessment,
  repair: Repair = repairOf(assessment),
  report: Report = composeReport(assessment),
  documents: Documents = composeDocuments(assessment),
): Contradiction[] {
  const courses = coursesOf(repair);
  const findings = inScope(assessment);
  const plan = planToTell(repair);
  const blocks = report.blocks.filter((block): block is FindingBlock => block.kind === 'finding');
  const buyer = wordsOf(documents.buyer);
  return [
    ...blocks.flatMap((block) =>
      block.places.flatMap(({ id, number }) =>
        againstCourse(block, courses.get(id)!).map((what) => ({
          where: `buyer’s report, finding ${number}`,
          what,
        })),
      ),
    ),
    ...againstSteps(report.steps, findings, courses).map((what) => ({
      where: 'what to do',
      what,
    })),
    ...(isPurchase(repair.site) || !/\bseller\b|\bbefore you close\b|\bmove in\b/i.test(buyer)
      ? []
      : [{ where: 'buyer’s report', what: 'speaks of a sale where there is none' }]),
    ...(plan.works.some(({ method }) => method === 'cut') &&
    assessment.stops.some(({ span, forbids }) => span === null && forbids.includes('cut'))
      ? [{ where: 'plan', what: 'cuts a line that nothing may cut' }]
      : []),
    ...repair.plans.flatMap(({ id, settles, holds, leaves }) => {
      const all = [...settles, ...holds, ...leaves];
      return new Set(all).size === all.length
        ? []
        : [{ where: `plan ${id}`, what: 'does two things with one finding' }];
    }),
  ];
}
