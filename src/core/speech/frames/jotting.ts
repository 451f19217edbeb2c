import type { Entry } from '../../model/log/entry';
import { type Frame, takeBase, takeFootage, takeHandlesAfter, withRest } from './frame';

/** Takes the words after "note" as they are: numbers in them are not footages. */
const NOTE_WORDS = /^\s*(?:note|remark)\b[\s:,]*(?:at\s+(\d+(?:\.\d+)?)\s*(?:ft|feet)?[\s:,]+)?/i;

/** "note gate code 44": kept as words. */
export const readNote: Frame = (sheet, context) => {
  if (!sheet.leads('act', 'note')) return null;
  const base = takeBase(sheet, context);
  const head = NOTE_WORDS.exec(sheet.text);
  if (!head) return null;
  if (base.note !== undefined) {
    const { readingFt, missing } = takeFootage(sheet, context);
    return {
      drafts: [{ kind: 'note', ...withRest(sheet, base), note: base.note, readingFt }],
      missing,
    };
  }
  const note = sheet.text.slice(head[0].length).trim();
  const readingFt = head[1] === undefined ? context.counterFt : Number(head[1]);
  return {
    drafts: [{ kind: 'note', ...base, readingFt, note }],
    missing: note === '' ? ['the words of the note'] : [],
  };
};

/** "flag", "flag 31": something here, to be settled. */
export const readFlag: Frame = (sheet, context) => {
  if (!sheet.leads('act', 'flag')) return null;
  sheet.take('act');
  const base = takeBase(sheet, context);
  const { readingFt } = takeFootage(sheet, context);
  return { drafts: [{ kind: 'flag', ...withRest(sheet, base), readingFt }], missing: [] };
};

/** `photo #a #b`: stills with no finding in them. */
export const readPhoto: Frame = (sheet, context) => {
  if (!sheet.leads('act', 'photo') || sheet.terms[1]?.kind !== 'handle') return null;
  const photoIds = takeHandlesAfter(sheet, 'photo');
  const base = takeBase(sheet, context);
  const { readingFt } = takeFootage(sheet, context);
  return {
    drafts: [{ kind: 'photo', ...withRest(sheet, base), readingFt, photoIds }],
    missing: [],
  };
};

/** How far a footage said may lie from the entry it means, feet. */
const TARGET_WITHIN_FT = 0.55;

/** Standing entries at a footage, nearest first. */
export function entriesAt(standing: readonly Entry[], targetFt: number): Entry[] {
  const away = ({ readingFt }: Entry) => Math.abs((readingFt ?? Infinity) - targetFt);
  return standing
    .filter((entry) => away(entry) <= TARGET_WITHIN_FT)
    .sort((a, b) => away(a) - away(b));
}

/** "retract 31", "undo", "scrap that", `retract #id`: takes back that entry, or the last one. */
export const readRetract: Frame = (sheet, context) => {
  if (!sheet.leads('act', 'retract')) return null;
  const [named] = takeHandlesAfter(sheet, 'retract');
  if (named === undefined) sheet.take('act');
  const base = takeBase(sheet, context);
  const said = sheet.amounts()[0]?.amount;
  const { readingFt } = takeFootage(sheet, context);
  if (named !== undefined) {
    const at = context.standing.find(({ id }) => id === named)?.readingFt ?? null;
    const draft = { kind: 'retract', ...withRest(sheet, base), retracts: named } as const;
    return { drafts: [{ ...draft, readingFt: said ? readingFt : at }], missing: [] };
  }
  const target = said
    ? entriesAt([...context.standing].reverse(), readingFt!)[0]
    : context.standing.at(-1);
  if (!target) return { drafts: [], missing: ['a footage at which something is logged'] };
  const draft = { kind: 'retract', ...withRest(sheet, base), retracts: target.id } as const;
  return { drafts: [{ ...draft, readingFt: target.readingFt }], missing: [] };
};
