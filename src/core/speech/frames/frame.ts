import { roundTo } from '../../base/numbers';
import type { Certainty, Pass } from '../../catalogue/vocabulary';
import type { CalloutContext, Reading } from '../draft';
import type { Sheet } from '../sheet';
import type { Amount } from '../terms';

/** Reads one kind of call-out. `null` when the words are not of its kind; then nothing was claimed. */
export type Frame = (sheet: Sheet, context: CalloutContext) => Reading | null;

/** What every entry may carry, whatever its kind. */
export type Base = {
  readonly pass: Pass;
  readonly photoIds?: readonly string[];
  readonly audioId?: string;
  readonly note?: string;
};

/** Claims the words that any call-out may hold: the pass, stills, a voice note and quoted words. */
export function takeBase(sheet: Sheet, context: CalloutContext): Base {
  const pass = (sheet.take('pass') as Pass | null) ?? context.pass;
  const photoIds = takeHandlesAfter(sheet, 'photo');
  const [audioId] = takeHandlesAfter(sheet, 'voice');
  const note = takeQuotedNote(sheet);
  return {
    pass,
    ...(photoIds.length > 0 ? { photoIds } : {}),
    ...(audioId === undefined ? {} : { audioId }),
    ...(note === null ? {} : { note }),
  };
}

/** `photo #a #b`: the handles that follow an act word. */
export function takeHandlesAfter(sheet: Sheet, act: string): string[] {
  const index = sheet.terms.findIndex(
    ({ senses }, at) =>
      senses['act'] === act && sheet.free(at) && sheet.terms[at + 1]?.kind === 'handle',
  );
  if (index < 0) return [];
  sheet.claim(index);
  const handles: string[] = [];
  for (let at = index + 1; sheet.terms[at]?.kind === 'handle'; at += 1) {
    sheet.claim(at);
    handles.push(sheet.terms[at]!.text);
  }
  return handles;
}

/** `note "gate code 44"` at the end of any call-out. */
function takeQuotedNote(sheet: Sheet): string | null {
  const index = sheet.terms.findIndex(
    ({ senses }, at) =>
      senses['act'] === 'note' && sheet.free(at) && sheet.terms[at + 1]?.kind === 'quote',
  );
  if (index < 0) return null;
  sheet.claim(index);
  sheet.claim(index + 1);
  return sheet.terms[index + 1]!.text;
}

/** Claims doubt, or its opposite. Without any, the entry is confirmed. */
export function takeCertainty(sheet: Sheet): { certainty?: Certainty } {
  const certainty = sheet.take('certainty') as Certainty | null;
  while (sheet.take('certainty') !== null);
  return certainty === null ? {} : { certainty };
}

/** The words nobody claimed, added to those said as a note. */
export function withRest(sheet: Sheet, base: Base): Base {
  const rest = sheet.rest();
  if (rest === '') return base;
  return { ...base, note: base.note === undefined ? rest : `${base.note}; ${rest}` };
}

const FEET_DIGITS = 3;

/** An amount as feet on the counter; `null` when it is something else. */
export function asFeet(amount: Amount): number | null {
  return amount.unit === null || amount.unit === 'ft' ? roundTo(amount.value, FEET_DIGITS) : null;
}

/** The footage of a call-out: a point, a stretch, or one end of a stretch still open. */
export type Footage = {
  readonly readingFt: number | null;
  readonly toFt: number | null;
  /** "from 43" without an end opens a stretch. */
  readonly opens: boolean;
  /** "to 52" without a start closes one. */
  readonly closes: boolean;
  /** What is wanted when neither a footage was said nor a counter is there. */
  readonly missing: readonly string[];
};

/**
 * Claims the footage last, when every other number has been claimed; else the counter now.
 *
 * @param pairs whether two bare numbers make a stretch ("grease 12 19").
 */
export function takeFootage(sheet: Sheet, context: CalloutContext, pairs = false): Footage {
  const before = sheet.amounts().length;
  const footage = readFootage(sheet, context, pairs);
  if (sheet.amounts().length < before || (footage.readingFt === null && context.counterFt !== null))
    sheet.place();
  return footage;
}

function readFootage(sheet: Sheet, context: CalloutContext, pairs: boolean): Footage {
  const isFeet = (amount: Amount) => asFeet(amount) !== null;
  const isNone = sheet.take('noFootage') !== null;
  const range = sheet.takeAmount((amount) => isFeet(amount) && amount.to !== null);
  const none: string[] = [];
  if (range) {
    sheet.take('opens');
    const toFt = roundTo(range.to!, FEET_DIGITS);
    return { readingFt: asFeet(range), toFt, opens: false, closes: false, missing: none };
  }
  const from = sheet.takeAmount((amount) => isFeet(amount) && amount.link === 'from');
  const to = sheet.takeAmount((amount) => isFeet(amount) && amount.link === 'to');
  const saysOpen = sheet.take('opens') !== null || (!from && takesFrom(sheet));
  const saysClose = sheet.take('closes') !== null;
  const counterFt = isNone ? null : context.counterFt;
  const missing = counterFt === null && !isNone ? ['the footage'] : none;
  if (to && (from || saysOpen)) {
    const readingFt = from ? asFeet(from) : counterFt;
    return {
      readingFt,
      toFt: asFeet(to),
      opens: false,
      closes: false,
      missing: from ? none : missing,
    };
  }
  if (to) return { readingFt: asFeet(to), toFt: null, opens: false, closes: true, missing: none };
  if (from)
    return { readingFt: asFeet(from), toFt: null, opens: true, closes: false, missing: none };
  const first = isNone
    ? null
    : sheet.takeAmount((amount) => isFeet(amount) && amount.link !== 'for');
  const second = first && pairs ? sheet.takeAmount((amount) => isFeet(amount)) : null;
  return {
    readingFt: first ? asFeet(first) : counterFt,
    toFt: second ? asFeet(second) : null,
    opens: saysOpen && !second,
    closes: saysClose && !second,
    missing: first ? none : missing,
  };
}

/** A "from" that stands alone at the end: "standing water from". */
function takesFrom(sheet: Sheet): boolean {
  const last = sheet.terms.length - 1;
  const term = sheet.terms[last];
  const isOpen = term?.senses['from'] !== undefined && term.text === 'from' && sheet.free(last);
  if (isOpen) sheet.claim(last);
  return isOpen;
}
