import { sayRange } from '../planning/money';
import { PLAN_NAMES } from '../planning/pick';
import { planToTell, type Repair } from '../planning/repair';
import type { FindingBlock, GlanceBlock, TableBlock } from './block';
import { ACTION_WORDS, SEVERITY_WORDS } from './words';

/** What it may cost, in one line; `null` where the plan has no price. */
function sayCost(repair: Repair): string | null {
  const plan = planToTell(repair);
  if (plan.cost.high <= 0) return null;
  const { close } = repair.pick;
  const isClose = close.length > 0 && plan.id === repair.pick.planId;
  const only = plan.works.some(({ method }) => method === 'look-again')
    ? ' What a look may lead to is not in it.'
    : '';
  return `${sayRange(plan.cost)}: ${PLAN_NAMES[plan.id].toLowerCase()}${isClose ? ', too close to call against another plan' : ''}.${only} Planning figures, not a quote.`;
}

/** What could not be seen, in one line. */
function sayUnseen(limits: readonly string[]): string {
  const [first, ...more] = limits;
  if (first === undefined) return 'Nothing was hidden.';
  return more.length === 0
    ? first
    : `${first} And ${more.length} more ${more.length === 1 ? 'point' : 'points'}, below.`;
}

/** The first page in one minute: what it may cost, what could not be seen, and the worst as it looks. */
export function composeGlance(
  repair: Repair,
  limits: readonly string[],
  findings: readonly FindingBlock[],
  isPriced: boolean,
): GlanceBlock {
  const cost = isPriced ? sayCost(repair) : null;
  const pictures = findings
    .filter(({ severity }) => severity !== 'slight')
    .flatMap(({ places }) => places.flatMap(({ picture }) => picture ?? []));
  return {
    kind: 'glance',
    rows: [
      ...(cost === null ? [] : [{ title: 'What it may cost', text: cost }]),
      { title: 'What could not be seen', text: sayUnseen(limits) },
    ],
    picture: pictures[0] ?? null,
  };
}

/** What the grades and the words beside them mean. */
export const GRADES: TableBlock = {
  kind: 'table',
  title: 'What the grades mean',
  head: ['Grade', 'It means'],
  rows: [
    [SEVERITY_WORDS.slight, 'Small. It does no harm today.'],
    [SEVERITY_WORDS.moderate, 'It can be lived with if it is looked after, or repaired in time.'],
    [SEVERITY_WORDS.major, 'It does harm now, or will before long.'],
    [SEVERITY_WORDS.failed, 'The pipe no longer works there.'],
  ],
  numeric: [],
  notes: [`The word beside the grade is what to do: ${Object.values(ACTION_WORDS).join(', ')}.`],
};
