import { specOf } from '../catalogue/defects/kinds';
import { featureOf } from '../catalogue/features/kinds';
import type { EndReason, Pass } from '../catalogue/vocabulary';
import { zoneOf } from '../catalogue/zones';
import type { Entry, EntryDraft, EntryOf } from '../model/log/entry';
import type { CalloutContext } from './draft';
import { LIST_FIELDS } from './exact';
import { formSayingsOf } from './lexicon/defects';
import { SURFACE_SAYINGS } from './lexicon/things';
import { parseCallout } from './parse';

const plain = (code: string) => code.replace(/-/g, ' ');
const quote = (text: string) => `"${text.replace(/[\\"“”]/g, '\\$&')}"`;
const handle = (id: string) => `#${/^[\p{L}\d_.:-]+$/u.test(id) ? id : quote(id)}`;

const END_SAYS: Partial<Record<EndReason, string>> = {
  'lost-push': 'lost push',
  other: 'other reason',
};
const CONFIRM_SAYS = { sight: 'seen', locate: 'located', none: 'not confirmed' } as const;
const CERTAINTY_SAYS = {
  confirmed: 'for sure',
  suspected: 'suspected',
  'cannot-tell': "can't tell",
} as const;
const WATER_SAYS = {
  running: 'water on',
  draining: 'water off',
  drained: 'drained',
  none: 'no water running',
} as const;

const sayHour = (hour: number) =>
  Number.isInteger(hour) ? String(hour) : `${Math.floor(hour) || 12}:30`;
const sayArc = (from: number | undefined, to: number | undefined) =>
  from !== undefined &&
  (to === undefined ? `${sayHour(from)} o'clock` : `${sayHour(from)} to ${sayHour(to)} o'clock`);
const sayShare = (ratio: number) => `${Math.round(ratio * 1e5) / 1e3}%`;

/** Surface things with a name of their own; another one is said exactly. */
const SURFACES = Object.keys(SURFACE_SAYINGS);

/** The footage, with its unit, so that it is never taken for anything else. */
function sayFootage(entry: Entry | EntryDraft): string {
  const { readingFt } = entry;
  if (readingFt === null) return 'no footage';
  const isStretch = ['defect', 'unseen', 'clear', 'advice'].includes(entry.kind);
  if (isStretch && 'toReadingFt' in entry) return `from ${readingFt} to ${entry.toReadingFt} ft`;
  return isStretch && 'open' in entry && entry.open ? `from ${readingFt} ft` : `at ${readingFt} ft`;
}

function sayDefect(entry: Omit<EntryOf<'defect'>, 'id' | 'at'>): (string | false | undefined)[] {
  const { defect } = entry;
  const isWater = defect === 'standing-water';
  const { inches } = specOf(defect).size ?? {};
  return [
    specOf(defect).written ?? plain(defect),
    `${sayFootage(entry)},`,
    entry.lengthFt !== undefined && `${entry.lengthFt} ft long`,
    entry.depthIn !== undefined && isWater && `${entry.depthIn} inch deep`,
    entry.fillRatio !== undefined && isWater && `${sayShare(entry.fillRatio)} full`,
    entry.extentRatio !== undefined && inches === undefined && sayShare(entry.extentRatio),
    entry.offsetIn !== undefined && inches === 'offsetIn' && `${entry.offsetIn} inch`,
    entry.gapIn !== undefined && defect === 'gap' && `${entry.gapIn} inch`,
    entry.lipIn !== undefined && inches === 'lipIn' && `${entry.lipIn} inch`,
    entry.form && entry.form in formSayingsOf(defect) && plain(entry.form),
    entry.direction &&
      defect === 'crack' &&
      (entry.direction === 'multiple' ? 'every way' : entry.direction),
    sayArc(entry.clockFrom, entry.clockTo),
    entry.locus && (entry.locus === 'barrel' ? 'in the barrel' : `at the ${entry.locus}`),
    entry.holdsDebris && 'holds debris',
    entry.soilVisible && 'soil visible',
    entry.movesWithWater && 'moves with water',
    entry.ourDoing && 'our doing',
    entry.sizeBasis === 'measured' && 'measured',
    entry.sizeBasis === 'eye' && 'by eye',
  ];
}

function sayFeature(entry: Omit<EntryOf<'feature'>, 'id' | 'at'>): (string | false | undefined)[] {
  return [
    featureOf(entry.feature).written ?? plain(entry.feature),
    entry.dropFt !== undefined && `${entry.dropFt} ft deep`,
    entry.angleDeg !== undefined && `${entry.angleDeg} degrees`,
    sayFootage(entry),
    entry.turns && /^(?:left|right|up|down)$/.test(entry.turns) && entry.turns,
    sayArc(entry.clock, undefined),
    entry.serves && `serves ${quote(entry.serves)}`,
  ];
}

function sayLocate(entry: Omit<EntryOf<'locate'>, 'id' | 'at'>): (string | false | undefined)[] {
  const { depthIn, depthToIn, swings = [], position } = entry;
  return [
    'locate',
    sayFootage(entry),
    entry.blockedBy && `blocked by ${quote(entry.blockedBy)}`,
    depthIn !== undefined &&
      `depth ${depthIn} inch${depthToIn === undefined ? '' : ` to ${depthToIn} inch`}`,
    entry.mark && `mark ${quote(entry.mark)}`,
    entry.reference && `reference ${quote(entry.reference)}`,
    ...swings.map(({ from, distanceFt }) => `${distanceFt} ft from ${quote(from)}`),
    position && `latDeg=${position.latDeg} lonDeg=${position.lonDeg}`,
    position?.accuracyFt !== undefined && `accuracyFt=${position.accuracyFt}`,
  ];
}

/** An entry in the words of the trade, as far as words reach. */
function sayPlainly(entry: Entry | EntryDraft): (string | false | undefined)[] {
  const place = sayFootage(entry);
  switch (entry.kind) {
    case 'defect':
      return sayDefect(entry);
    case 'feature':
      return sayFeature(entry);
    case 'locate':
      return sayLocate(entry);
    case 'material':
      return [
        entry.material === 'unknown' ? 'unknown material' : plain(entry.material),
        entry.diameterIn !== undefined && `${entry.diameterIn} inch`,
        entry.lined && 'lined',
        entry.joint === 'coupling' && 'sleeve',
        entry.joint === 'smooth' && 'smooth',
        entry.joint === 'lip' && (entry.lipIn === undefined ? 'lip' : `lip ${entry.lipIn} inch`),
        `${entry.side} side`,
        place,
      ];
    case 'zone':
      return [zoneOf(entry.zone).written ?? entry.zone, `${entry.side} side`, place];
    case 'close':
      return [`close ${handle(entry.closes)}`, place];
    case 'water':
      return [WATER_SAYS[entry.state], entry.source && `from ${quote(entry.source)}`, place];
    case 'clear':
      return ['clear', place];
    case 'advice':
      return [`advise ${quote(entry.text)}`, place];
    case 'unseen':
      return [
        "can't see",
        entry.cause === 'submerged'
          ? 'under water'
          : entry.cause === 'other'
            ? undefined
            : plain(entry.cause),
        place,
      ];
    case 'flow-test':
      return [`test ${quote(entry.fixture)}`, plain(entry.result), place];
    case 'setup':
      return [
        'set up',
        entry.aid && (entry.aid === 'none' ? 'skid off' : `${entry.aid} on`),
        entry.head && `head ${quote(entry.head)}`,
        place,
      ];
    case 'end': {
      const reached = entry.reason === 'main' || entry.reason === 'tank';
      const why = END_SAYS[entry.reason] ?? plain(entry.reason);
      return [
        reached ? why : `stopped, ${why}`,
        place,
        CONFIRM_SAYS[entry.confirmedBy],
        entry.remainderFt !== undefined && `${entry.remainderFt} ft left`,
      ];
    }
    case 'home':
      return ['home', place];
    case 'surface':
      return [
        SURFACES.includes(entry.what) ? plain(entry.what) : 'tree',
        place,
        entry.offsetFt !== undefined && `${entry.offsetFt} ft to the side`,
      ];
    case 'retract':
      return [`retract ${handle(entry.retracts)}`, place];
    case 'photo':
      return [`photo ${entry.photoIds.map(handle).join(' ')}`, place];
    case 'note':
      return [`note ${quote(entry.note)}`, place];
    case 'flag':
      return ['flag', place];
  }
}

/** `field=value` for what the words did not carry, `without=field` for what they said too much. */
function sayExactly(wanted: Record<string, unknown>, got: Record<string, unknown>): string[] {
  const fields = new Set([...Object.keys(wanted), ...Object.keys(got)]);
  return [...fields].flatMap((field) => {
    const value = wanted[field];
    if (JSON.stringify(value) === JSON.stringify(got[field])) return [];
    if (value === undefined) return [`without=${field}`];
    if (LIST_FIELDS.includes(field)) return [`${field}=${(value as string[]).join(',')}`];
    if (typeof value === 'string') return [`${field}=${quote(value)}`];
    const isPlain = typeof value === 'number' || typeof value === 'boolean';
    return isPlain ? [`${field}=${value.toString()}`] : [];
  });
}

/**
 * Writes an entry as a call-out that `parseCallout` reads back to it, whatever the counter shows.
 * Plain words first; what these cannot carry follows as `field=value`.
 *
 * @param pass the pass the line is read on: another one is said.
 */
export function writeCallout(entry: Entry | EntryDraft, pass: Pass): string {
  const { id: _id, at: _at, ...wanted } = entry as Entry;
  const note = entry.kind === 'note' ? undefined : entry.note;
  const words = [
    ...sayPlainly(entry),
    entry.kind !== 'photo' &&
      entry.photoIds &&
      entry.photoIds.length > 0 &&
      `photo ${entry.photoIds.map(handle).join(' ')}`,
    entry.audioId && `voice ${handle(entry.audioId)}`,
    entry.pass !== pass && `on the way ${entry.pass}`,
    // Of an end that is not the main the words would be a remark: it is said exactly.
    entry.kind !== 'end' && entry.certainty && CERTAINTY_SAYS[entry.certainty],
    note && `note ${quote(note)}`,
  ]
    .filter((part) => part !== false && part !== undefined && part !== '')
    .join(' ')
    .replace(/,$/, '');
  const context: CalloutContext = {
    counterFt: null,
    pass,
    boreHereIn: null,
    standing: [],
    openIds: new Set(),
  };
  const read = parseCallout(words, context)?.drafts[0];
  return [words, ...sayExactly({ ...wanted }, { ...read })].join(' ');
}
