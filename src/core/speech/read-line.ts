import { roundTo } from '../base/numbers';
import type { SizeField } from '../catalogue/vocabulary';
import { cleanEntry } from '../model/job/sane';
import type { EntryDraft } from '../model/log/entry';
import { impossibleSizes, MOST } from '../model/log/possible';
import type { CalloutContext, OtherReading } from './draft';
import { isIdle } from './heads';
import { keptAs, type Understood } from './kept';
import { parseCallout } from './parse';
import { readTerms } from './sheet';
import type { Term } from './terms';

const SIZE_SAYS: Record<SizeField, string> = {
  depthIn: 'a depth that the pipe has room for',
  fillRatio: 'a share of the pipe, 100% at the most',
  extentRatio: 'a share of the pipe, 100% at the most',
  offsetIn: 'an offset no larger than the pipe',
  gapIn: 'a width that a joint can open by',
  lipIn: 'a height no larger than the pipe',
};
const INCHES: readonly SizeField[] = ['depthIn', 'offsetIn', 'gapIn', 'lipIn'];
/** A footage said this far from a counter that runs by itself is a slip of the tongue, feet. */
const FAR_FROM_COUNTER_FT = 25;

function whyNot(draft: EntryDraft, { boreHereIn, liveCounterFt }: CalloutContext): string[] {
  const isFar =
    liveCounterFt !== undefined &&
    liveCounterFt !== null &&
    draft.readingFt !== null &&
    draft.replaces === undefined &&
    Math.abs(draft.readingFt - liveCounterFt) > FAR_FROM_COUNTER_FT;
  const never = cleanEntry(draft).why.map((why) => `a number that can be, and not ${why}`);
  return [
    ...never,
    ...(draft.kind === 'defect' && never.length === 0
      ? impossibleSizes(draft, boreHereIn).map((field) => SIZE_SAYS[field])
      : []),
    ...(isFar
      ? [`a footage near the counter, which reads ${String(roundTo(liveCounterFt, 1))} ft`]
      : []),
  ];
}

/** What an impossible number of inches may have been: a tenth of it, or the footage. */
function meantBy(draft: EntryDraft, context: CalloutContext): OtherReading[] {
  if (draft.kind !== 'defect') return [];
  const field = INCHES.find((one) => draft[one] !== undefined);
  if (field === undefined || whyNot(draft, context).length === 0) return [];
  const said = draft[field]!;
  const { [field]: _said, ...rest } = draft;
  const isNear =
    context.counterFt === null || Math.abs(said - context.counterFt) <= FAR_FROM_COUNTER_FT;
  const readings: OtherReading[] = [
    {
      label: `${roundTo(said / 10, 2)} in`,
      drafts: [{ ...draft, [field]: roundTo(said / 10, 3) }],
    },
    ...(isNear && said <= MOST.rodFt
      ? [{ label: `at ${said} ft`, drafts: [{ ...rest, readingFt: said }] }]
      : []),
  ];
  return readings.filter(({ drafts }) => drafts.every((one) => whyNot(one, context).length === 0));
}

/** What cannot be is not logged: the line keeps the words and asks. */
function askIfImpossible(read: Understood, context: CalloutContext): Understood {
  const choices = read.choices.filter(({ drafts }) =>
    drafts.every((draft) => whyNot(draft, context).length === 0),
  );
  // Of two readings the one that can be is meant.
  if (read.choices.length > 0 && choices.length > 0)
    return choices.length === 1
      ? { ...read, drafts: choices[0]!.drafts, choices: [] }
      : { ...read, drafts: choices[0]!.drafts, choices };
  const asks = read.drafts.flatMap((draft) => whyNot(draft, context));
  if (asks.length === 0) return read;
  const [only] = read.drafts;
  const meant = read.drafts.length === 1 && only ? meantBy(only, context) : [];
  return { ...read, drafts: [], choices: meant, missing: [...new Set(asks)], isRefused: true };
}

/** "home" alone: the counter is where it was last read. What it reads is asked; the zero may be taken for it. */
function askWhatHomeReads(
  read: Understood,
  said: string,
  { zeroFt = 0 }: CalloutContext,
): Understood {
  const [home] = read.drafts;
  const isBare =
    home?.kind === 'home' && home.readingFt === null && !/\bno\b|\bunknown\b/i.test(said);
  if (!isBare) return read;
  const label = `the zero, ${zeroFt.toFixed(1)} ft`;
  return { ...read, drafts: [], choices: [{ label, drafts: [{ ...home, readingFt: zeroFt }] }] };
}

/** A size is of what was logged so near, feet. */
const NEAR_FT = 5;

/** "2 in deep", "40%": a size and nothing that it is the size of. */
function isSizeAlone(said: string): boolean {
  const terms = readTerms(said);
  const sizes = terms.filter(({ amount }) => amount?.unit === 'in' || amount?.unit === '%');
  const isSaid = (term: Term) => sizes.includes(term) || isIdle(term) || 'depth' in term.senses;
  return sizes.length === 1 && terms.every(isSaid);
}

/** A size alone is of the defect that was logged last, where that is near; else it is asked what has it. */
function readSizeAlone(said: string, context: CalloutContext): Understood | null {
  if (!isSizeAlone(said)) return null;
  const last = context.standing.at(-1);
  const isNear =
    last?.kind === 'defect' &&
    (last.readingFt === null ||
      context.counterFt === null ||
      context.openIds.has(last.id) ||
      Math.abs((last.toReadingFt ?? last.readingFt) - context.counterFt) <= NEAR_FT);
  const read = isNear ? parseCallout(`correct #${last.id} ${said}`, context) : null;
  if (read?.drafts.length) return read;
  return { ...keptAs(null), missing: [`what is ${said.trim()}`] };
}

/** "to 36 1/4": a footage with its fraction, or 36 ft and a quarter of an inch. */
function readFractionAsInches(said: string, context: CalloutContext): OtherReading[] {
  const inches = said.replace(
    /\b(to|at) (\d+)[ -](\d\/\d{1,2})(?!\s*(?:ft|feet|foot|in\b|inch|['"′″\d]))/i,
    '$1 $2 ft, $3 in',
  );
  if (inches === said) return [];
  const drafts = parseCallout(inches, context)?.drafts ?? [];
  const isSized = drafts.some(
    (draft) => draft.kind === 'defect' && INCHES.some((field) => draft[field] !== undefined),
  );
  const [, whole = '', part = ''] = /(?:to|at) (\d+) ft, (\d\/\d{1,2}) in/i.exec(inches) ?? [];
  return isSized ? [{ label: `${whole} ft, and ${part} in`, drafts }] : [];
}

/** Where a fraction may be of a foot or of an inch, both are offered and neither is guessed. */
function askAboutFraction(read: Understood, said: string, context: CalloutContext): Understood {
  if (read.drafts.length === 0 || read.choices.length > 0) return read;
  const others = readFractionAsInches(said, context);
  const ft = read.drafts.map((draft) =>
    'toReadingFt' in draft ? draft.toReadingFt : draft.readingFt,
  );
  const label = `${ft.findLast((one) => one !== null) ?? ''} ft`;
  return others.length === 0
    ? read
    : { ...read, choices: [{ label, drafts: read.drafts }, ...others] };
}

/**
 * Reads the line of a screen: as `parseCallout` does, but what cannot be is asked about and logs nothing.
 *
 * @returns `null` for an empty line; no drafts, and what is wanted instead, where a number cannot be.
 */
export function readLine(said: string, context: CalloutContext): Understood | null {
  const read = readSizeAlone(said, context) ?? parseCallout(said, context);
  if (!read) return null;
  const asked = askAboutFraction(read, said, context);
  return askWhatHomeReads(askIfImpossible(asked, context), said, context);
}
