import { sayList } from '../base/numbers';
import type { WaterAtStart } from '../catalogue/vocabulary';
import type { Assessment } from '../judge/assessment';
import type { Lateral } from '../lateral/lateral';
import {
  contactLine,
  type Firm,
  FIRM_TEXT_TITLES,
  FIRM_TEXTS,
  firmText,
  type Signing,
  stateText,
} from '../model/firm/firm';
import type { Inspection } from '../model/job/inspection';
import type { Block, ListBlock, MastheadBlock, SignatureBlock } from './block';
import { dayOf, sayClock, sayDay, sayLongDay } from './calendar';

/** The head of every document: who inspected, what it is, of what house, and by when it matters. */
export function composeMasthead(
  { inspection: { job, property }, settings: { firm } }: Assessment,
  title = 'Sewer lateral condition report',
): MastheadBlock {
  const endsOn = job.inspectionPeriodEndsOn;
  const lines = [contactLine(firm), firm.license ? `License ${firm.license}` : ''];
  return {
    kind: 'masthead',
    left: `${title} · ${property.address} · scoped ${sayLongDay(dayOf(job.scheduledFor))}`,
    right: endsOn ? `Your inspection period ends ${sayDay(endsOn)}` : '',
    firm: firm.name
      ? { name: firm.name, lines: lines.filter((line) => line !== ''), logo: firm.logo ?? null }
      : null,
  };
}

const OCCUPANCY_WORDS = { occupied: 'lived in', vacant: 'vacant' } as const;
const FOUNDATION_WORDS = {
  slab: 'on a slab',
  crawlspace: 'over a crawlspace',
  basement: 'with a basement',
} as const;
const WATER_WORDS: Readonly<Record<WaterAtStart, string | null>> = {
  none: 'no water was running',
  running: 'water was running',
  unknown: null,
};

/** The state of the house on the day, as far as somebody said it. */
function sayHouse({ property, runs }: Inspection): string[] {
  const { occupancy, foundation, yearBuilt } = property;
  const facts = [
    ...(yearBuilt === undefined ? [] : [`built ${yearBuilt}`]),
    ...(foundation === 'unknown' ? [] : [FOUNDATION_WORDS[foundation]]),
    ...(occupancy === 'unknown' ? [] : [OCCUPANCY_WORDS[occupancy]]),
  ];
  const water = new Set(
    runs.flatMap(({ waterAtStart }) => (waterAtStart ? (WATER_WORDS[waterAtStart] ?? []) : [])),
  );
  return [
    ...(facts.length > 0 ? [`The house: ${facts.join(', ')}.`] : []),
    ...(water.size > 0 ? [`When the camera went in, ${sayList([...water])}.`] : []),
  ];
}

/** Heads and guides that went in, each once. */
function sayEquipment(lines: readonly Lateral[]): string[] {
  const runs = lines.flatMap(({ axes, unplaced }) => [...axes, ...unplaced].map(({ run }) => run));
  const used = new Set(
    runs.flatMap(({ head, aid }) => [
      ...(head ? [/\bhead\b/i.test(head) ? head : `${head} head`] : []),
      ...(aid === 'none' ? [] : [aid]),
    ]),
  );
  return used.size > 0 ? [`Equipment: push camera, ${[...used].join(', ')}.`] : [];
}

/** When the first thing was logged, by the clock where the job is; `null` where its times do not say where they are. */
function startOf({ runs, job }: Inspection): string | null {
  const day = dayOf(job.scheduledFor);
  const [first] = runs
    .flatMap(({ entries }) => entries.map(({ at }) => at))
    .filter((at) => !at.endsWith('Z') && dayOf(at) === day)
    .toSorted((a, b) => Date.parse(a) - Date.parse(b));
  return first === undefined ? null : sayClock(first);
}

/** For whom, when, with whom and in what weather: what was said of it, and nothing else. */
export function composeWho({ inspection, lateral, branches }: Assessment): string[] {
  const { job } = inspection;
  const clock = startOf(inspection);
  return [
    ...(job.client ? [`For ${job.client}.`] : []),
    ...(job.agent ? [`Agent: ${job.agent}.`] : []),
    `Looked at on ${sayLongDay(dayOf(job.scheduledFor))}${clock === null ? '' : `, from ${clock}`}.`,
    ...(job.attended ? [`Present: ${job.attended}.`] : []),
    ...(job.weather ? [`Weather: ${job.weather}.`] : []),
    ...sayEquipment([lateral, ...branches]),
    ...sayHouse(inspection),
  ];
}

/** What somebody signs with. A license and a signature are one person's: they stand under no other name. */
function signingOf({ signer, inspector, license, signature }: Firm, name: string): Signing {
  const firms = {
    ...(license === undefined ? {} : { license }),
    ...(signature === undefined ? {} : { signature }),
  };
  const isFirms = inspector === undefined ? signer === undefined : inspector === name;
  return { ...(isFirms ? firms : {}), ...(signer?.name === name ? signer : {}) };
}

/** Who signs; nothing where nobody is named. */
export function composeSignature({ inspection, settings: { firm } }: Assessment): SignatureBlock[] {
  const name = inspection.job.inspector || firm.signer?.name || firm.inspector || firm.name;
  if (!name) return [];
  const { license, signature } = signingOf(firm, name);
  const lines = [
    ...(license ? [`License ${license}`] : []),
    ...(firm.name && firm.name !== name ? [firm.name] : []),
  ];
  return [{ kind: 'signature', name, lines, image: signature ?? null, signedOn: null }];
}

const linesOf = (text: string) => text.split(/\n+/).filter((line) => line.trim() !== '');
const recordOf = (title: string, text: string): ListBlock => ({
  kind: 'list',
  title,
  items: linesOf(text),
  isRecord: true,
});

/** The standard, limits, reliance and terms, in the firm's words or Chert's, and what the house's state asks for, with their day. */
export function composeFirmTexts({ inspection, settings: { firm } }: Assessment): Block[] {
  const ofState = stateText(firm, inspection.property.address);
  const parts = [
    ...FIRM_TEXTS.flatMap((part) => {
      const text = firmText(firm, part);
      return text === null ? [] : [recordOf(FIRM_TEXT_TITLES[part], text)];
    }),
    ...(ofState ? [recordOf(`In ${ofState.name}`, ofState.text)] : []),
  ];
  const last = parts.at(-1);
  return !last || firm.textsOn === undefined ? parts : [...parts.slice(0, -1), dated(last, firm)];
}

const dated = (block: ListBlock, { textsOn }: Firm): ListBlock => ({
  ...block,
  items: [...block.items, `These words are of ${sayLongDay(textsOn!)}.`],
});
