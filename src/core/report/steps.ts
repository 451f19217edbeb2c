import { sayList } from '../base/numbers';
import type { Assessment } from '../judge/assessment';
import type { Finding } from '../judge/finding';
import { stopsOver } from '../judge/stops';
import { endsLine } from '../lateral/terminus';
import type { Step } from './block';
import { dayOf, workingDaysBefore } from './calendar';
import { inOrderOfWork } from './headline';
import { inScope } from './in-scope';
import { sayPipeAbove } from './place';
import { listUnsettled } from './unsettled';

/** Working days before the end of the inspection period by which each step should be done. */
const DAYS_BEFORE = { look: 4, quotes: 3, authority: 3, decide: 1 } as const;

/** What the buyer does next, in order, dated back from the end of the inspection period. */
export function composeSteps(assessment: Assessment): Step[] {
  const { job } = assessment.inspection;
  const { holidays } = assessment.settings;
  const scoped = dayOf(job.scheduledFor);
  const endsOn = job.inspectionPeriodEndsOn ?? null;
  const by = (days: number) => {
    if (endsOn === null || endsOn < scoped) return null;
    const day = workingDaysBefore(endsOn, days, holidays);
    return day < scoped ? workingDaysBefore(endsOn, 0, holidays) : day;
  };
  const findings = inOrderOfWork(inScope(assessment));
  const owners = findings.filter(({ responsibleSide }) => responsibleSide === 'owner');
  // Another utility in the sewer is its owner's to deal with, and no contractor's to quote for.
  const crossings = findings
    .filter(({ kind }) => kind === 'utility-crossing')
    .map(({ number }) => String(number));
  const withAction = (action: Finding['action']) =>
    owners.filter(
      ({ kind, ...finding }) => finding.action === action && kind !== 'utility-crossing',
    );
  const numbersOf = (action: Finding['action']) =>
    withAction(action).map(({ number }) => String(number));
  const name = (numbers: readonly string[]) =>
    `finding${numbers.length > 1 ? 's' : ''} ${sayList(numbers)}`;
  const steps: Step[] = [];

  if (crossings.length > 0) {
    steps.push({
      text: `Call the utility and the utility-locating service now about ${name(crossings)}. Let nobody cut or jet the line before they have dealt with it.`,
      byOn: scoped,
    });
  }
  const urgent = numbersOf('urgent');
  if (urgent.length > 0) {
    steps.push({
      text: `Call a licensed drain contractor now about ${name(urgent)}.`,
      byOn: scoped,
    });
  }
  const look = numbersOf('look-again');
  if (look.length > 0) {
    steps.push({
      text: `Have the line drained or cleaned, and ${name(look)} looked at again.`,
      byOn: by(DAYS_BEFORE.look),
    });
  }
  const missed = sayMissed(assessment);
  if (missed) steps.push({ text: missed, byOn: by(DAYS_BEFORE.look) });
  const repair = [...urgent, ...numbersOf('repair')];
  if (repair.length > 0) {
    steps.push({
      text: `Get two quotes from licensed drain contractors for ${name(repair)}.`,
      byOn: by(DAYS_BEFORE.quotes),
    });
  }
  const publicSide = findings
    .filter(
      ({ responsibleSide, severity }) => responsibleSide === 'public' && severity !== 'slight',
    )
    .map(({ number }) => String(number));
  if (publicSide.length > 0) {
    steps.push({
      text: `Report ${name(publicSide)} to the sewer authority: it is on the public side.`,
      byOn: by(DAYS_BEFORE.authority),
    });
  }
  if (steps.length > 0) {
    steps.push({
      text: 'Decide what to ask the seller for, and say so in writing.',
      byOn: by(DAYS_BEFORE.decide),
    });
  }
  const upkeep = numbersOf('upkeep');
  if (upkeep.length > 0) {
    const waits = withAction('upkeep').some((finding) =>
      stopsOver(assessment.stops, finding).some(({ id }) => id === 'utility'),
    );
    const when = waits ? 'Once the utility in the line is dealt with' : 'After you move in';
    steps.push({ text: `${when}, have ${name(upkeep)} cleaned.`, byOn: null });
  }
  if (repair.length > 0) {
    steps.push({ text: 'After the repair, have the line scoped again to prove it.', byOn: null });
  }
  if (steps.length > 0) return steps;
  const isSettled = assessment.overall === 'serviceable' && listUnsettled(assessment).length === 0;
  return isSettled
    ? [{ text: 'Nothing to do now. Keep this report with the house papers.', byOn: null }]
    : [
        {
          text: 'Ask the inspector to settle what is still open, named under “What we could not see”, before you decide.',
          byOn: by(DAYS_BEFORE.look),
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
