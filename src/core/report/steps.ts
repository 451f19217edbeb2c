import { sayList } from '../base/numbers';
import type { Assessment } from '../judge/assessment';
import type { Finding } from '../judge/finding';
import { endsLine } from '../lateral/terminus';
import { type Course, coursesOf, isPurchase, tellsAuthority } from '../planning/course';
import type { Repair } from '../planning/repair';
import type { Step } from './block';
import { dayOf, workingDaysBefore } from './calendar';
import { inOrderOfWork } from './headline';
import { inScope } from './in-scope';
import { sayPipeAbove } from './place';
import { listUnsettled } from './unsettled';

/** Working days before the end of the inspection period by which each step should be done. */
const DAYS_BEFORE = { look: 4, quotes: 3, authority: 3, decide: 1 } as const;

/** Findings by number, for a sentence. */
const name = (findings: readonly Finding[]) =>
  `finding${findings.length > 1 ? 's' : ''} ${sayList(findings.map(({ number }) => String(number)))}`;

/** Days by which steps are done: back from the end of the inspection period, never before the look itself. */
type Dates = {
  /** The day so many working days before the end; `null` where no end is known. */
  readonly by: (days: number) => string | null;
  readonly scoped: string;
  /** Whether there is too little time left for all of it. */
  readonly isShort: boolean;
};

function datesOf({ inspection: { job }, settings: { holidays } }: Assessment): Dates {
  const scoped = dayOf(job.scheduledFor);
  const endsOn = job.inspectionPeriodEndsOn ?? null;
  const isKnown = endsOn !== null && endsOn >= scoped;
  return {
    scoped,
    isShort: isKnown && workingDaysBefore(endsOn, DAYS_BEFORE.look, holidays) < scoped,
    by: (days) => {
      if (!isKnown) return null;
      const day = workingDaysBefore(endsOn, days, holidays);
      return day < scoped ? workingDaysBefore(endsOn, 0, holidays) : day;
    },
  };
}

/** Findings by the course that each has, in the order of work. */
function byCourse(
  assessment: Assessment,
  courses: ReadonlyMap<string, Course>,
): (isIt: (course: Course, finding: Finding) => boolean) => Finding[] {
  const findings = inOrderOfWork(inScope(assessment));
  return (isIt) => findings.filter((finding) => isIt(courses.get(finding.id)!, finding));
}

type Steps = { readonly steps: Step[]; readonly isRepaired: boolean };

/** What the courses ask for before the matter is decided. */
function stepsBefore(assessment: Assessment, repair: Repair, dates: Dates): Steps {
  const of = byCourse(assessment, coursesOf(repair));
  const steps: Step[] = [];
  const add = (findings: readonly Finding[], text: string, byOn: string | null) => {
    if (findings.length > 0) steps.push({ text, byOn });
  };
  const { by, scoped } = dates;
  const called = of(({ does }) => does === 'call');
  add(
    called,
    `Call the utility and the utility-locating service now about ${name(called)}. Let nobody cut or jet the line before they have dealt with it.`,
    scoped,
  );
  const urgent = of(({ does, when }) => when === 'now' && does !== 'call' && does !== 'look');
  const isUrgent = ({ action }: Finding) => action === 'urgent';
  const now = urgent.filter(isUrgent);
  add(now, `Call a licensed drain contractor now about ${name(now)}.`, scoped);
  const looked = of(({ does }) => does === 'look');
  add(
    looked,
    `Have the line drained or cleaned, and ${name(looked)} looked at again.`,
    by(DAYS_BEFORE.look),
  );
  const missed = sayMissed(assessment);
  if (missed) steps.push({ text: missed, byOn: by(DAYS_BEFORE.look) });
  const repaired = of(({ does }, finding) => does === 'repair' && !isUrgent(finding));
  const asking = repaired.filter(({ action }) => action === 'repair');
  add(
    asking,
    `Get two quotes from licensed drain contractors for ${name(asking)}.`,
    by(DAYS_BEFORE.quotes),
  );
  const asked = of(({ does }, finding) => does === 'ask' && !isUrgent(finding));
  add(
    asked,
    `Ask a licensed drain contractor how to repair ${name(asked)}.`,
    by(DAYS_BEFORE.quotes),
  );
  const told = of(({ does }) => does === 'tell');
  add(
    told,
    tellsAuthority(repair.site)
      ? `For the sewer authority to repair: ${name(told)}, on the public side.`
      : `Report ${name(told)} to the sewer authority: it is on the public side.`,
    by(DAYS_BEFORE.authority),
  );
  const wanted = [...now, ...asking, ...asked];
  if (isPurchase(repair.site)) {
    if (wanted.length > 0)
      add(
        wanted,
        `Ask the seller, in writing, to repair ${name(wanted)}, or for a credit.`,
        by(DAYS_BEFORE.decide),
      );
    else if (steps.length > 0)
      steps.push({
        text: 'Decide what to ask the seller for, and say so in writing.',
        byOn: by(DAYS_BEFORE.decide),
      });
  }
  return { steps, isRepaired: [...now, ...repaired].length > 0 };
}

/** Cleaning by when it is done: with the repairs, or in time. */
function stepsOfCleaning(assessment: Assessment, repair: Repair): Step[] {
  const of = byCourse(assessment, coursesOf(repair));
  const isClean = ({ does }: Course, { action }: Finding) =>
    does === 'clean' && action !== 'urgent';
  const first = of((course, finding) => isClean(course, finding) && course.when === 'before-close');
  const later = of((course, finding) => isClean(course, finding) && course.when !== 'before-close');
  const waiting = of(({ does }, { action }) => does === 'wait' && action !== 'monitor');
  const when = isPurchase(repair.site) ? 'After you move in, have' : 'Have';
  return [
    ...(first.length > 0
      ? [{ text: `Have ${name(first)} cleaned together with the works above.`, byOn: null }]
      : []),
    ...(later.length > 0 ? [{ text: `${when} ${name(later)} cleaned.`, byOn: null }] : []),
    ...(waiting.length > 0
      ? [
          {
            text: `Once the utility in the line is dealt with, have ${name(waiting)} judged again.`,
            byOn: null,
          },
        ]
      : []),
  ];
}

/** What the reader does next, in order, from the courses; dated back from the end of the inspection period. */
export function composeSteps(assessment: Assessment, repair: Repair): Step[] {
  const dates = datesOf(assessment);
  const { steps: before, isRepaired } = stepsBefore(assessment, repair, dates);
  const isDated = before.some(({ byOn }) => byOn !== null && byOn > dates.scoped);
  const more: Step[] =
    dates.isShort && isDated
      ? [
          {
            text: 'Ask for more time: the inspection period ends before all of this can be done.',
            byOn: dates.scoped,
          },
        ]
      : [];
  const proof: Step[] = isRepaired
    ? [{ text: 'After the repair, have the line scoped again to prove it.', byOn: null }]
    : [];
  const calls = before.filter(({ byOn }) => byOn === dates.scoped);
  const steps = [
    ...calls,
    ...more,
    ...before.filter((step) => !calls.includes(step)),
    ...stepsOfCleaning(assessment, repair),
    ...proof,
  ];
  if (steps.length > 0) return steps;
  const isSettled = assessment.overall === 'serviceable' && listUnsettled(assessment).length === 0;
  return isSettled
    ? [{ text: 'Nothing to do now. Keep this report with the house papers.', byOn: null }]
    : [
        {
          text: 'Ask the inspector to settle what is still open, named under “What we could not see”.',
          byOn: dates.by(DAYS_BEFORE.look),
        },
      ];
}

function sayMissed(assessment: Assessment): string | null {
  const { axes, terminus, reachedMain, coverage, unplaced } = assessment.lateral;
  if (axes.length === 0 && unplaced.length === 0) return 'Have the line scoped.';
  if (terminus && endsLine(terminus.kind) && !reachedMain) {
    return 'Have the end of the line confirmed, by sight or by a locate.';
  }
  if (!reachedMain)
    return 'Have the rest of the line seen from another opening, or after cleaning.';
  if (coverage.upper?.state === 'unreached')
    return `Have ${sayPipeAbove(coverage.upper)} looked at.`;
  return coverage.obscuredFt >= 0.5 ? 'Have the hidden part looked at again.' : null;
}
