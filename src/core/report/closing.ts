import type { Assessment } from '../judge/assessment';
import { coursesOf } from '../planning/course';
import { sayRange } from '../planning/money';
import { planToTell, type Repair } from '../planning/repair';
import type { Block, FindingBlock } from './block';
import { sayWork, sayWorkPlace } from './report-plan';
import { capital } from './words';

/** Findings that a seller may be asked to repair: what waits for a utility, or is another's, is not among them. */
function askable(repair: Repair, findings: readonly FindingBlock[]): FindingBlock[] {
  const courses = coursesOf(repair);
  return findings.filter(
    ({ action, id }) =>
      (action === 'repair' || action === 'urgent') &&
      ['repair', 'ask'].includes(courses.get(id)!.does),
  );
}

/** What is to be repaired or paid for: each work with the findings that it ends, then what no work ends. */
function rowsOf(
  { findings, names }: Assessment,
  repair: Repair,
  asked: readonly FindingBlock[],
  isPriced: boolean,
): string[][] {
  const plan = planToTell(repair);
  const wanted = findings.filter(({ id }) =>
    asked.some(({ places }) => places.some((place) => place.id === id)),
  );
  const works = plan.works.filter(({ cures }) => wanted.some(({ id }) => cures.includes(id)));
  const numbersOf = (ids: readonly string[]) =>
    wanted
      .filter(({ id }) => ids.includes(id))
      .map(({ number }) => String(number))
      .join(', ');
  const done = new Set(works.flatMap(({ cures }) => cures));
  const price = (text: string) => (isPriced ? [text] : []);
  const left = asked.filter(({ places }) => places.some(({ id }) => !done.has(id)));
  return [
    ...works.map((work) => [
      numbersOf(work.cures),
      `${capital(sayWork(work))}, ${sayWorkPlace(work, names)}`,
      ...price(sayRange(work.cost)),
    ]),
    ...left.map(({ places, title }) => [
      numbersOf(places.map(({ id }) => id).filter((id) => !done.has(id))),
      title,
      ...price('to be quoted'),
    ]),
    ...(isPriced && works.length > 0 && plan.works.length > works.length
      ? [['', 'All of the plan, upkeep and what must come first counted', sayRange(plan.cost)]]
      : []),
  ];
}

/** What only this seller can answer. */
function questionsFor({ inspection: { property } }: Assessment): string[] {
  const history = property.history ?? [];
  const wasRepaired = history.some(({ what }) => what === 'repaired' || what === 'lined');
  return [
    'Has this sewer ever backed up, been cleaned or been repaired? When, and by whom?',
    ...(wasRepaired && !history.some(({ what }) => what === 'permit')
      ? ['Was there a permit for the repair you mentioned, and was it signed off?']
      : []),
    ...(property.serviceCover === undefined
      ? ['Is the line under a warranty or a service plan, and does it pass to the buyer?']
      : []),
    property.sharedLine === undefined
      ? 'Is any of the line shared with a neighbor, or crossed by an easement?'
      : 'Is the line crossed by an easement?',
  ];
}

/** A sheet for the closing table: repair or credit, proof and questions; nothing where nothing is to be asked for. */
export function composeClosing(
  assessment: Assessment,
  repair: Repair,
  findings: readonly FindingBlock[],
  isPriced: boolean,
): Block[] {
  const asked = askable(repair, findings);
  if (asked.length === 0) return [];
  return [
    {
      kind: 'table',
      title: 'For the closing table: repair, or a credit',
      head: ['No.', 'What', ...(isPriced ? ['May cost'] : [])],
      rows: rowsOf(assessment, repair, asked, isPriced),
      numeric: isPriced ? [0, 2] : [0],
      startsPage: true,
      ...(isPriced
        ? { notes: ['Planning figures: a quote by a licensed contractor takes their place.'] }
        : {}),
    },
    {
      kind: 'list',
      title: 'Proof to ask for, if the seller repairs',
      items: [
        'The permit and its final sign-off, where the work needs one.',
        'A video of the repaired line from the same opening, with the footage in the picture.',
        'The contractor’s license, invoice and warranty, and that the warranty passes to you.',
        'A new scope by your own inspector before closing.',
      ],
    },
    { kind: 'list', title: 'Questions for the seller', items: questionsFor(assessment) },
  ];
}
