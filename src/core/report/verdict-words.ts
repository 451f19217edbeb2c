import { sayList } from '../base/numbers';
import { buyerWordsOf } from '../catalogue/defects/kinds';
import type { Assessment } from '../judge/assessment';
import type { Finding } from '../judge/finding';
import { wasSeenDry } from '../judge/verdict';
import type { Purpose } from '../model/job/job';
import { purposeOf } from '../model/job/job';
import { inScope } from './in-scope';
import { sayPlace } from './place';
import { listUnsettled } from './unsettled';
import { sayCount } from './words';

/** How many open points the headline names; the limits name them all. */
const NAMED_IN_HEADLINE = 2;

/** The verdict in the words of those who asked: a buyer decides, an owner mends, an authority is told how it is. */
type Words = {
  /** Before a trouble that cannot wait ("broken pipe at 30 ft"). */
  readonly urgent: string;
  readonly backedUp: string;
  readonly repair: (spots: string) => string;
  readonly lookAgain: string;
  readonly upkeep: string;
  readonly sound: string;
};

const TO_OWNER: Words = {
  urgent: 'Act now',
  backedUp: 'Act now: water backed up when a fixture was run.',
  repair: (spots) => `Repair ${spots}.`,
  lookAgain: 'Have it looked at again before anyone decides what to do.',
  upkeep: 'Plan on upkeep.',
  sound: 'No work is needed now.',
};

const WORDS: Readonly<Record<Purpose, Words>> = {
  purchase: {
    ...TO_OWNER,
    repair: (spots) => `Repair ${spots} before you close.`,
    lookAgain: 'Have it looked at again before you decide.',
  },
  complaint: TO_OWNER,
  'after-repair': TO_OWNER,
  authority: {
    urgent: 'Not fit for use',
    backedUp: 'Not fit for use: water backed up when a fixture was run.',
    repair: (spots) => `Repair is needed at ${spots}.`,
    lookAgain: 'Its condition is not settled: it must be looked at again.',
    upkeep: 'It needs upkeep.',
    sound: 'Nothing that was seen needs work now.',
  },
};

/** "The sewer works", as far as that can be said: never more than what is settled. */
function sayWorks(assessment: Assessment, rest: string): string {
  const open = listUnsettled(assessment);
  if (open.length === 0) return `The sewer works. ${rest}`;
  const named = open.slice(0, NAMED_IN_HEADLINE).join('; ');
  const more = open.length > NAMED_IN_HEADLINE ? '; and more, named below' : '';
  return `What was seen of the sewer works, but not all is settled: ${named}${more}.`;
}

const withAction = (assessment: Assessment, ...actions: Finding['action'][]) =>
  inScope(assessment).filter(({ action }) => actions.includes(action));

/** What to do with the sewer, in a sentence or two, for whom the look was made. */
export function sayVerdict(assessment: Assessment): string {
  const words = WORDS[purposeOf(assessment.inspection.job)];
  switch (assessment.overall) {
    case 'not-serviceable': {
      const [first] = withAction(assessment, 'urgent');
      return first
        ? `${words.urgent}: ${buyerWordsOf(first.kind).name.toLowerCase()} ${sayPlace(first, assessment.names)}.`
        : words.backedUp;
    }
    case 'repair-needed': {
      const count = withAction(assessment, 'repair').length;
      return words.repair(count === 1 ? 'one spot' : `${sayCount(count)} spots`);
    }
    case 'inconclusive':
      return withAction(assessment, 'look-again').length > 0
        ? words.lookAgain
        : 'This sewer cannot be judged yet.';
    case 'serviceable-with-upkeep':
      return sayWorks(assessment, words.upkeep);
    case 'serviceable':
      return sayWorks(assessment, words.sound);
  }
}

/** Why a look after a repair does not prove it; empty where it does. */
function listUnproved(assessment: Assessment): string[] {
  const standing = withAction(assessment, 'urgent', 'repair', 'look-again').filter(
    ({ ourDoing, review }) => !ourDoing && review?.verdict !== 'dismissed',
  );
  const numbers = sayList(standing.map(({ number }) => String(number)));
  return [
    ...(standing.length === 0
      ? []
      : standing.length === 1
        ? [`finding ${numbers} is not settled by it`]
        : [`findings ${numbers} are not settled by it`]),
    ...(assessment.completeness === 'whole' ? [] : ['not all of the line was seen']),
    ...([assessment.lateral, ...assessment.branches].every(wasSeenDry)
      ? []
      : ['it was not seen drained, so a low stretch would not show']),
    ...(inScope(assessment).some(({ kind, ourDoing }) => kind === 'standing-water' && !ourDoing)
      ? ['the bottom of the pipe under standing water was not seen']
      : []),
    ...(assessment.checks.some(({ level }) => level === 'blocker')
      ? ['something in the inspector’s notes is still open']
      : []),
    ...listUnsettled(assessment).slice(0, NAMED_IN_HEADLINE),
  ];
}

/**
 * The answer to what the look was asked for, before anything else: whether it explains the complaint, whether
 * it proves the repair. `null` where nothing was asked but how the line is.
 */
export function sayAnswer(assessment: Assessment): string | null {
  if (assessment.inspection.runs.length === 0) return null;
  switch (purposeOf(assessment.inspection.job)) {
    case 'complaint':
      return assessment.remarks.find(({ rule }) => rule === 'complaint-answered')?.text ?? null;
    case 'after-repair': {
      const [first, ...more] = listUnproved(assessment);
      return first === undefined
        ? 'This look proves the repair: the whole line was seen, and nothing in it asks for repair.'
        : `This look does not prove the repair: ${[first, ...more].join('; ')}.`;
    }
    case 'purchase':
    case 'authority':
      return null;
  }
}
