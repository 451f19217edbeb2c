import type { Entry, EntryDraft } from '../log/entry';
import type { CalloutContext, Reading } from './draft';
import { DEFECT_SAYINGS, MATERIAL_SAYINGS } from './lexicon';
import { readDefect } from './readers/defect';
import { readFlag, readNote, readRetract } from './readers/jotting';
import { readFeature, readLocate, readMaterial, readSurface, readZone } from './readers/place';
import type { Reader } from './readers/reader';
import { readEnd, readHome, readSetup } from './readers/running';
import { readFlowTest, readUnseen, readWaterState } from './readers/seeing';
import { type Scan, scanCallout } from './scan';

/** What the call-out line understood. */
export type Understood = Reading & {
  /** `false` when the words were kept as a flag because nothing in them was understood. */
  readonly understood: boolean;
};

/** A pipe change said with its lip or coupling is a material, not a defect of its own. */
const readMaterialFirst: Reader = (scan, context) => {
  const isPipe = MATERIAL_SAYINGS.some(([, pattern]) => scan.has(pattern));
  const hasDefect = DEFECT_SAYINGS.some(([kind, pattern]) => kind !== 'lip' && scan.has(pattern));
  return isPipe && !hasDefect ? readMaterial(scan, context) : null;
};

/** Readers in the order they are asked; the first that knows the words takes them. */
const READERS: readonly Reader[] = [
  readNote,
  readRetract,
  readFlag,
  readHome,
  readEnd,
  readLocate,
  readWaterState,
  readUnseen,
  readFlowTest,
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

/** A thing said where a flag waits settles the flag. */
function settleFlag(draft: EntryDraft, context: CalloutContext): EntryDraft {
  const { readingFt } = draft;
  if (!SETTLES.includes(draft.kind) || draft.replaces !== undefined || readingFt === null)
    return draft;
  const away = (entry: Entry) => Math.abs((entry.readingFt ?? Infinity) - readingFt);
  const flag = context.standing
    .filter((entry) => entry.kind === 'flag' && away(entry) <= SETTLES_WITHIN_FT)
    .sort((a, b) => away(a) - away(b))[0];
  return flag ? { ...draft, replaces: flag.id } : draft;
}

function read(text: string, context: CalloutContext): Understood | null {
  const settle = (draft: EntryDraft) => settleFlag(draft, context);
  for (const reader of READERS) {
    const reading = reader(scanCallout(text), context);
    if (reading) return { ...reading, drafts: reading.drafts.map(settle), understood: true };
  }
  return null;
}

/**
 * Reads a call-out: what an inspector types, or dictates, into entries.
 *
 * Order and units are free. A footage said wins over the counter. Words that were not understood go
 * along as the entry's note; a call-out of which nothing was understood becomes a flag with its words.
 *
 * @returns `null` for an empty line.
 */
export function parseCallout(text: string, context: CalloutContext): Understood | null {
  if (text.trim() === '') return null;
  const correction = scanCallout(text);
  const target = correction.take(
    /^ (?:correct|fix|change) (\d+(?:\.\d+)?)\s*(?:ft|feet)?\s*(?:to be|to|as|,|:)?\s/,
  );
  if (target) return correctEntry(Number(target[1]), correction, text, context);
  return (
    read(text, context) ?? {
      understood: false,
      missing: ['a word that Chert knows'],
      drafts: [
        { kind: 'flag', pass: context.pass, readingFt: context.counterFt, note: text.trim() },
      ],
    }
  );
}

/** "correct 9.5 asbestos cement", "correct 31 to 32.5": a new entry that replaces the one there. */
function correctEntry(
  targetFt: number,
  scan: Scan,
  text: string,
  context: CalloutContext,
): Understood {
  const words = scan.rest();
  const moved = /^\d+(?:\.\d+)?$/.test(words) ? Number(words) : null;
  const near = context.standing
    .filter((entry) => Math.abs((entry.readingFt ?? Infinity) - targetFt) <= 0.55)
    .sort((a, b) => Math.abs(a.readingFt! - targetFt) - Math.abs(b.readingFt! - targetFt));
  const said = moved === null ? read(words, { ...context, counterFt: targetFt }) : null;
  const draft = said?.drafts[0] ?? null;
  const old = near.find((entry) => draft !== null && entry.kind === draft.kind) ?? near[0];
  if (!old || (moved === null && draft === null)) {
    const wanted = old ? 'what it should be' : `something logged at ${targetFt}`;
    return {
      understood: false,
      missing: [wanted],
      drafts: [{ kind: 'flag', pass: context.pass, readingFt: targetFt, note: text.trim() }],
    };
  }
  return {
    understood: true,
    missing: said?.missing ?? [],
    drafts: [correctionOf(old, moved === null ? draft! : null, moved)],
  };
}

/** The old entry with what was said laid over it; another kind of thing replaces it whole. */
function correctionOf(old: Entry, draft: EntryDraft | null, movedFt: number | null): EntryDraft {
  const { id, at: _at, replaces: _replaces, ...facts } = old;
  const base = { pass: old.pass, replaces: id };
  if (movedFt !== null) return { ...facts, ...base, readingFt: movedFt } as EntryDraft;
  const sameThing =
    draft!.kind === old.kind &&
    (draft!.kind !== 'defect' || (old.kind === 'defect' && draft!.defect === old.defect));
  const said = { ...draft!, readingFt: draft!.readingFt ?? old.readingFt };
  return (sameThing ? { ...facts, ...said, ...base } : { ...said, ...base }) as EntryDraft;
}
