import { gapBetweenFt } from '../base/interval';
import { sayList } from '../base/numbers';
import { METHOD_IDS } from '../catalogue/method-ids';
import type { Finding } from '../judge/finding';
import { readAdvice } from '../lateral/advice';
import { isForPurchase, purposeOf } from '../model/job/job';
import type { Course, CourseWhen } from './course-type';
import { METHOD_WORDS, PASSIVE_WORDS } from './method-words';
import { methodById } from './methods/index';
import type { Plan } from './plans/plan';
import type { Site } from './site';
import type { Work } from './work';

/** Advice so near to a finding is about it, feet. */
const AT_FINDING_FT = 0.5;

/** Whether the job is for a purchase. */
export const isPurchase = ({ assessment: { inspection } }: Site): boolean =>
  isForPurchase(inspection.job);

/** Whether the reader is the sewer authority itself. */
export const tellsAuthority = ({ assessment: { inspection } }: Site): boolean =>
  purposeOf(inspection.job) === 'authority';

export const sayEvery = (years: number) =>
  years === 1 ? 'once a year' : `about every ${years} years`;

const verbsOf = (works: readonly Work[]) => [
  ...new Set(works.map(({ method }) => METHOD_WORDS[method])),
];

function sayRepair(finding: Finding, works: readonly Work[], site: Site): string[] {
  const verbs = sayList(verbsOf(works));
  if (finding.action === 'urgent')
    return [
      'Call a licensed drain contractor now. Use as little water as you can until it is repaired.',
      `To repair it: ${verbs}.`,
    ];
  if (finding.action === 'upkeep' || finding.action === 'monitor')
    return [`The repair in this plan ends it too: ${verbs}.`];
  return isPurchase(site)
    ? [`Ask the seller to repair it, or for a credit: ${verbs}.`]
    : [`Have it repaired: ${verbs}.`];
}

function sayClean(
  finding: Finding,
  works: readonly Work[],
  when: CourseWhen,
  everyYears: number | null,
): string[] {
  const cleaning = works.filter(({ method }) => methodById(method).role === 'clean');
  const what = sayList([...new Set(cleaning.map(({ method }) => PASSIVE_WORDS[method]))]);
  const openers = works.filter(({ method }) => methodById(method).role === 'prepare');
  const opener =
    openers.length > 0
      ? ` First have ${sayList([...new Set(openers.map(({ method }) => PASSIVE_WORDS[method]))])}.`
      : '';
  const again = everyYears === null ? '' : `, and again ${sayEvery(everyYears)}`;
  const isHeldOnly = finding.action === 'repair' || finding.action === 'urgent';
  const time = when === 'after-move-in' ? ' after you move in' : when === 'now' ? ' soon' : '';
  return [
    `Have ${what}${time}${again}.${opener}`,
    ...(isHeldOnly ? ['That only holds it for a time: it still asks for repair.'] : []),
  ];
}

/** A look: what clears the way for it first, as the plan has it. */
function sayLook(finding: Finding, works: readonly Work[], acted: readonly string[]): string[] {
  const isUndrained = finding.provisos.some(({ rule }) => rule === 'water-unverified');
  if (isUndrained) return [...acted];
  const clearing = works.filter(({ method }) =>
    ['clean', 'mend'].includes(methodById(method).role),
  );
  const words = [...new Set(clearing.map(({ method }) => PASSIVE_WORDS[method]))];
  const open = finding.causes.length > 1 ? ['More than one cause is possible.'] : [];
  return words.length > 0
    ? [...open, `Have ${sayList(words)}, and have the place looked at again before anyone decides.`]
    : [...open, 'Have the place looked at again before anyone decides.'];
}

/** Why nothing is done: by the finding's own reason, or by whose it is. */
function sayNone(finding: Finding, acted: readonly string[]): readonly string[] {
  if (finding.action === 'none') return acted;
  return finding.responsibleSide === 'public'
    ? ['It is slight, and lies on the public side.']
    : ['This inspection caused it: it is no fault of the line.'];
}

/** Whom to ask about what the plan does nothing for, and why it does not. */
function sayAsk({ id, placed, isPlaceUnsaid, courtesy }: Finding, { plans }: Plans): string {
  if (courtesy)
    return 'Ask a licensed drain contractor about it: the plan here does not go so far.';
  if (!placed || isPlaceUnsaid)
    return 'Where it lies was not logged: have it found before anyone quotes for it.';
  return plans.some(({ settles }) => settles.includes(id))
    ? 'The plan in this report leaves it as it is. It still asks for repair: ask a licensed drain contractor.'
    : 'Ask a licensed drain contractor how to repair it: no usual way ends it here.';
}

type Plans = { readonly plans: readonly Plan[] };

/** What the course says of a finding by itself. */
export function sayCourse(
  course: Omit<Course, 'says'>,
  finding: Finding,
  works: readonly Work[],
  repair: Plans & { readonly site: Site },
): readonly string[] {
  const [byAction] = finding.advice.filter(({ rule }) => rule === `advice-${finding.action}`);
  const acted = byAction ? [byAction.text] : [];
  switch (course.does) {
    case 'repair':
      return sayRepair(finding, works, repair.site);
    case 'clean':
      return sayClean(finding, works, course.when, course.everyYears);
    case 'look':
      return sayLook(finding, works, acted);
    case 'call':
      return acted;
    case 'none':
      return sayNone(finding, acted);
    case 'tell':
      return [
        tellsAuthority(repair.site)
          ? 'It lies on the public side, for the sewer authority to repair.'
          : 'Report it to the sewer authority: it lies on the public side.',
      ];
    case 'wait':
      return ['Have nothing done here until the utility in the line is dealt with.'];
    case 'ask':
      return [
        ...(finding.action === 'urgent'
          ? ['Call a licensed drain contractor now. Use as little water as you can.']
          : []),
        sayAsk(finding, repair),
      ];
    case 'watch':
      return finding.action === 'upkeep'
        ? acted
        : ['No work now. Look again when the line is next opened.'];
  }
}

/** What the inspector advises where a finding is, in the inspector's words; told with what the plan does otherwise. */
export function sayInspectors(
  site: Site,
  finding: Finding,
  course: Omit<Course, 'says'>,
): string[] {
  const bed = site.beds.get(finding.lineId);
  if (!bed || !finding.placed || course.does === 'wait') return [];
  return readAdvice(bed.lateral)
    .filter(({ span }) => span !== null && gapBetweenFt(span, finding.span) <= AT_FINDING_FT)
    .filter(({ entry: { does } }) => !course.excludes.some((method) => method === does))
    .map(({ entry: { text, does, not } }) => {
      const says = `The inspector advises: “${text.replace(/[.!]+$/, '')}”.`;
      const isOther =
        not !== true &&
        course.does === 'repair' &&
        METHOD_IDS.some((method) => method === does) &&
        !course.methods.some((method) => method === does);
      return isOther ? `${says} The plan here does it another way: weigh both.` : says;
    });
}
