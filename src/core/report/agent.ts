import { sayList } from '../base/numbers';
import { methodById } from '../planning/methods/index';
import { sayRange } from '../planning/money';
import { planToTell, type Repair } from '../planning/repair';
import type { Block, Step } from './block';
import type { Report } from './compose';
import { sayWork, sayWorkPlace } from './report-plan';
import { composeStops } from './stops';
import { capital } from './words';

/** How many limits one page has room for. */
const LIMITS = 3;

/** What nobody could see, beside the worst as it looks; the list alone where there is no still. */
function composeUnseen({ limits, blocks }: Report): Block[] {
  const more = limits.length - LIMITS;
  const items = [
    ...limits.slice(0, LIMITS),
    ...(more > 0 ? [`And ${more} more: see the report.`] : []),
  ];
  const glance = blocks.find((block) => block.kind === 'glance');
  const title = 'What nobody could see';
  if (glance?.picture)
    return [{ ...glance, rows: items.length > 0 ? [{ title, text: items.join(' ') }] : [] }];
  return items.length > 0 ? [{ kind: 'list', title, items }] : [];
}

/** One page for the agent: what to ask for, by when, and what nobody could see. */
export function composeAgentPage(
  report: Report,
  repair: Repair,
  isPriced: boolean,
): readonly Block[] {
  const [masthead, headline] = report.blocks;
  const { names, stops } = repair.site.assessment;
  const plan = planToTell(repair);
  const numberOf = (id: string) =>
    repair.site.assessment.findings.find((one) => one.id === id)?.number;
  const asks = plan.works
    .filter(({ method }) => methodById(method).role !== 'tell')
    .map((work) => {
      const numbers = [...work.cures, ...work.holds]
        .flatMap((id) => numberOf(id) ?? [])
        .map(String);
      const forWhat =
        numbers.length > 0
          ? `, for finding${numbers.length > 1 ? 's' : ''} ${sayList(numbers)}`
          : '';
      return `${capital(sayWork(work))}, ${sayWorkPlace(work, names)}${forWhat}${isPriced && work.cost.high > 0 ? `: ${sayRange(work.cost)}` : ''}.`;
    });
  const total =
    isPriced && asks.length > 1 && plan.cost.high > 0
      ? [`All of it: ${sayRange(plan.cost)}, planning figures.`]
      : [];
  const dated: readonly Step[] = report.steps;
  return [
    masthead!,
    headline!,
    {
      kind: 'list',
      title: 'What to ask for',
      items: asks.length > 0 ? [...asks, ...total] : ['Nothing on this line asks for work now.'],
    },
    ...composeStops(stops, names),
    { kind: 'steps', title: 'By when', steps: dated },
    ...composeUnseen(report),
    {
      kind: 'list',
      title: 'Please note',
      items: [
        'The buyer’s report says how each finding was graded. Local codes and licensed practice govern.',
      ],
    },
  ];
}
