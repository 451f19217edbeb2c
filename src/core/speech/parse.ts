import type { Entry, EntryDraft } from '../model/log/entry';
import type { CalloutContext, OtherReading, Reading } from './draft';
import { withExact } from './exact';
import { readClose } from './frames/close';
import { readDefect } from './frames/defect';
import { readFeature } from './frames/feature';
import type { Frame } from './frames/frame';
import { readLocate, readSurface } from './frames/ground';
import { entriesAt, readFlag, readNote, readPhoto, readRetract } from './frames/jotting';
import { readAdvice, readClear } from './frames/opinion';
import { readMaterial, readZone } from './frames/pipe';
import { readEnd, readHome, readSetup } from './frames/running';
import { readFlowTest, readUnseen, readWaterState } from './frames/seeing';
import { withOwnWords } from './own-words';
import { type Doubt, openSheet, readTerms, type Sheet } from './sheet';
import type { Unit } from './terms';

/** What the call-out line understood. */
export type Understood = {
  readonly drafts: readonly EntryDraft[];
  /** What is still wanted, in a few words each. */
  readonly missing: readonly string[];
  /** Where the words allow more than one reading: all of them, the likeliest first. Else empty. */
  readonly choices: readonly OtherReading[];
  /** `false` when the words were kept as a flag because nothing in them was understood. */
  readonly understood: boolean;
};

/** A pipe change said with its lip or coupling is a material, not a defect of its own. */
const readMaterialFirst: Frame = (sheet, context) => {
  const isDefect = sheet.terms.some(({ senses }) => senses['defect'] && senses['joint'] !== 'lip');
  return sheet.has('material') && !isDefect && !sheet.has('feature', 'property-line')
    ? readMaterial(sheet, context)
    : null;
};

/** Frames in the order they are asked; the first that knows the words takes them. */
const FRAMES: readonly Frame[] = [
  readNote,
  readRetract,
  readFlag,
  readPhoto,
  readClose,
  readClear,
  readAdvice,
  readHome,
  readLocate,
  readWaterState,
  readUnseen,
  readFlowTest,
  readEnd,
  readSurface,
  readMaterialFirst,
  readDefect,
  readSetup,
  readFeature,
  readMaterial,
  readZone,
];

/** Kinds that can say what a flag was about. */
const SETTLES: readonly EntryDraft['kind'][] = ['defect', 'feature', 'material', 'unseen'];
/** An open flag this close to what is said now was about it, feet. */
const SETTLES_WITHIN_FT = 2;

/** What a thing is, for telling whether two call-outs are about the same one. */
function thingOf(draft: EntryDraft): string {
  if (draft.kind === 'defect') return `defect ${draft.defect}`;
  return draft.kind === 'feature' ? `feature ${draft.feature}` : draft.kind;
}

/**
 * Whether what is said now may be what a flag was about: one press says only "something here"; a flag with
 * words of its own is settled by what is about the same thing, else by hand.
 */
function mayBeAbout(flag: Entry, draft: EntryDraft, context: CalloutContext): boolean {
  const words = flag.note?.trim() ?? '';
  if (words === '') return true;
  const meant = readClause(words, { ...context, standing: [], counterFt: flag.readingFt });
  return meant?.drafts.some((one) => thingOf(one) === thingOf(draft)) ?? false;
}

/** A thing said where a flag waits settles the flag. */
function settleFlag(draft: EntryDraft, context: CalloutContext): EntryDraft {
  const { readingFt } = draft;
  if (!SETTLES.includes(draft.kind) || draft.replaces !== undefined || readingFt === null)
    return draft;
  const away = (entry: Entry) => Math.abs((entry.readingFt ?? Infinity) - readingFt);
  const flag = context.standing
    .filter((entry) => entry.kind === 'flag' && away(entry) <= SETTLES_WITHIN_FT)
    .filter((entry) => mayBeAbout(entry, draft, context))
    .sort((a, b) => away(a) - away(b))[0];
  return flag ? { ...draft, replaces: flag.id } : draft;
}

type Settled = ReadonlyMap<number, Unit>;

function readSheet(
  text: string,
  context: CalloutContext,
  settled?: Settled,
): { reading: Reading; doubts: readonly Doubt[]; sheet: Sheet } | null {
  const terms = readTerms(text);
  for (const frame of FRAMES) {
    const sheet = openSheet(text, settled, terms);
    const reading = frame(sheet, context);
    if (!reading) continue;
    const finish = (draft: EntryDraft) => settleFlag(withExact(draft, sheet), context);
    const others = reading.others?.map((other) => ({ ...other, drafts: other.drafts.map(finish) }));
    return {
      reading: { ...reading, drafts: reading.drafts.map(finish), ...(others ? { others } : {}) },
      doubts: sheet.doubts(),
      sheet,
    };
  }
  return null;
}

const UNIT_SAYS: Readonly<Record<Unit, (said: string) => string>> = {
  ft: (said) => `at ${said} ft`,
  in: (said) => `${said} in`,
  hour: (said) => `${said} o’clock`,
  deg: (said) => `${said}°`,
  part: (said) => `${said} of the pipe`,
  '%': (said) => `${said}%`,
};

/** Reads one clause; a number that fits two meanings gives a choice of readings. */
function readClause(text: string, context: CalloutContext): Understood | null {
  const first = readSheet(text, context);
  if (!first) return null;
  const { reading, doubts, sheet } = first;
  const { drafts, missing, others = [] } = reading;
  const [doubt] = doubts;
  const choices: OtherReading[] = [];
  if (doubt) {
    const { from, to } = sheet.terms[doubt.term]!;
    for (const unit of doubt.units) {
      const again = readSheet(text, context, new Map([[doubt.term, unit]]));
      const label = UNIT_SAYS[unit](sheet.text.slice(from, to).trim());
      if (again && again.reading.drafts.length > 0)
        choices.push({ label, drafts: again.reading.drafts });
    }
  } else if (others.length > 0) {
    choices.push({ label: 'the latest', drafts }, ...others);
  }
  const isOne = new Set(choices.map((choice) => JSON.stringify(choice.drafts))).size < 2;
  return isOne
    ? { drafts, missing, choices: [], understood: true }
    : { drafts: choices[0]!.drafts, missing, choices, understood: true };
}

/** Parts of a call-out that are said one after the other: "clay 27; offset half an inch". */
const CLAUSE = /\s*;\s*|\s+(?:and )?(?:also|then)\s+/i;

/** Reads clauses in turn, each at the footage of the one before; `null` when one is not understood. */
function readClauses(text: string, context: CalloutContext): Understood | null {
  if (/["“]/.test(text) || !CLAUSE.test(text)) return null;
  const clauses = text.split(CLAUSE).filter((clause) => clause.trim() !== '');
  if (clauses.length < 2) return null;
  let { counterFt } = context;
  const read: Understood[] = [];
  for (const clause of clauses) {
    const understood = readClause(clause, { ...context, counterFt });
    if (!understood || understood.drafts.length === 0 || understood.choices.length > 0) return null;
    counterFt = understood.drafts.at(-1)!.readingFt ?? counterFt;
    read.push(understood);
  }
  return {
    drafts: read.flatMap(({ drafts }) => drafts),
    missing: read.flatMap(({ missing }) => missing),
    choices: [],
    understood: true,
  };
}

const keptAsFlag = (
  text: string,
  pass: CalloutContext['pass'],
  readingFt: number | null,
  wanted: string,
): Understood => ({
  understood: false,
  missing: [wanted],
  choices: [],
  drafts: [{ kind: 'flag', pass, readingFt, note: text.trim() }],
});

/**
 * Reads a call-out: what an inspector types, or dictates, into entries.
 *
 * Order and units are free. A footage said wins over the counter. Words that were not understood go
 * along as the entry's note; a call-out of which nothing was understood becomes a flag with its words.
 * A number that could mean two things is not guessed: `choices` holds each reading.
 *
 * @returns `null` for an empty line.
 */
export function parseCallout(said: string, context: CalloutContext): Understood | null {
  if (said.trim() === '') return null;
  const text = withOwnWords(said, context.ownWords ?? []);
  return (
    readCorrection(text, context) ??
    readClauses(text, context) ??
    readClause(text, context) ??
    keptAsFlag(said, context.pass, context.counterFt, 'a word that Chert knows')
  );
}

/** "correct 9.5 asbestos cement", "correct 31 to 32.5", "make that 35%", `correct #id …`. */
function readCorrection(text: string, context: CalloutContext): Understood | null {
  const sheet = openSheet(text);
  if (!sheet.leads('act', 'correct')) return null;
  const actAt = sheet.terms.findIndex(({ senses }) => senses['act'] === 'correct');
  const isLast = !/^(?:correct|correction|fix|change)$/.test(sheet.terms[actAt]!.text);
  const target = isLast ? undefined : sheet.terms[actAt + 1];
  const named = target?.kind === 'handle' ? target.text : null;
  const amount =
    target?.amount && (target.amount.unit === null || target.amount.unit === 'ft')
      ? target.amount
      : null;
  if (!isLast && named === null && amount === null) return null;
  const near =
    named !== null
      ? context.standing.filter(({ id }) => id === named)
      : amount
        ? entriesAt(context.standing, amount.value)
        : context.standing.slice(-1);
  const rest = text
    .slice((target ?? sheet.terms[actAt]!).to)
    .replace(/^[\s,:]*(?:(?:to be|to|as|is)\b)?\s*/i, '');
  const alone = /^(\d+(?:\.\d+)?)\s*(?:ft|feet)?$/.exec(rest.trim());
  const movedFt =
    alone && near.length > 0 ? Number(alone[1]) : rest.trim() === '' ? (amount?.to ?? null) : null;
  const targetFt = amount?.value ?? near[0]?.readingFt ?? context.counterFt;
  // What is corrected keeps its pass, and with it the side that the words are about.
  const pass = near[0]?.pass ?? context.pass;
  const said =
    movedFt === null ? readAbout(rest, near[0], { ...context, pass, counterFt: targetFt }) : null;
  const [draft] = said?.drafts ?? [];
  const old = near.find((entry) => draft !== undefined && entry.kind === draft.kind) ?? near[0];
  if (!old || (movedFt === null && !draft)) {
    const wanted = old ? 'what it should be' : `something logged at ${targetFt}`;
    return keptAsFlag(text, context.pass, targetFt, wanted);
  }
  const saysSide = openSheet(rest).has('side');
  const correct = (one: EntryDraft | null) => correctionOf(old, one, movedFt, saysSide);
  return {
    understood: true,
    missing: said?.missing ?? [],
    choices: (said?.choices ?? []).map(({ label, drafts }) => ({
      label,
      drafts: drafts.slice(0, 1).map(correct),
    })),
    drafts: [correct(draft ?? null)],
  };
}

/** What a correction says; sizes alone are about the thing that is corrected. */
function readAbout(
  words: string,
  old: Entry | undefined,
  context: CalloutContext,
): Understood | null {
  if (words.trim() === '') return null;
  const said = readClause(words, { ...context, standing: [] });
  if (said || old?.kind !== 'defect') return said;
  return readClause(`${old.defect.replace(/-/g, ' ')} ${words}`, { ...context, standing: [] });
}

/** The old entry with what was said laid over it; another kind of thing replaces it whole. */
function correctionOf(
  old: Entry,
  draft: EntryDraft | null,
  movedFt: number | null,
  saysSide: boolean,
): EntryDraft {
  const { id, at: _at, replaces: _replaces, ...facts } = old;
  const base = { pass: old.pass, replaces: id };
  if (movedFt !== null) return { ...facts, ...base, readingFt: movedFt };
  const sameThing =
    draft!.kind === old.kind &&
    (draft!.kind !== 'defect' || (old.kind === 'defect' && draft.defect === old.defect));
  const side = sameThing && 'side' in old && !saysSide ? { side: old.side } : {};
  const said = { ...draft!, readingFt: draft!.readingFt ?? old.readingFt, ...side };
  const isClosed = sameThing && 'open' in facts && 'toReadingFt' in said;
  const { open: _open, ...rest } = facts as typeof facts & { open?: boolean };
  return (
    sameThing ? { ...(isClosed ? rest : facts), ...said, ...base } : { ...said, ...base }
  ) as EntryDraft;
}
