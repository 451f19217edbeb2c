import { specOf } from '../catalogue/defects/kinds';
import type { Entry, EntryDraft, EntryOf } from '../model/log/entry';
import type { CalloutContext } from './draft';
import { entriesAt } from './frames/jotting';
import { keptAs, type Understood } from './kept';
import { readClause, type ReadClause } from './read-clause';
import { openSheet, readTerms } from './sheet';

const DENIED = /^no[,\s]+(\d+(?:\.\d+)?)\s+(?:ft\s+|feet\s+)?is\s+(.+?)(?:,?\s+not\s+.+)?$/i;

/** "actually it's at 58": where the thing logged last is. */
const MOVED =
  /^(?:(?:no|wait|sorry|actually|oops)[,\s]+)+(?:it's|its|that's|thats|that is|it is|that was|it was|make that) (?:really |actually )?at (\d+(?:\.\d+)?)(?: ?(?:ft|feet|foot))?\.?$/i;

/** "no, 38 is pvc, not abs": a correction of what was logged there. */
function asCorrection(said: string, { standing }: CalloutContext): string {
  const [, moved = ''] = MOVED.exec(said.trim()) ?? [];
  if (moved !== '' && standing.length > 0) return `make that ${moved}`;
  const [, at = '', is = ''] = DENIED.exec(said.trim()) ?? [];
  return at !== '' && entriesAt(standing, Number(at)).length > 0 ? `correct ${at} ${is}` : said;
}

/** "correct 9.5 asbestos cement", "correct 31 to 32.5", "make that 35%", `correct #id …`. */
export function readCorrection(line: string, context: CalloutContext): Understood | null {
  const text = asCorrection(line, context);
  const sheet = openSheet(text);
  if (!sheet.leads('act', 'correct')) return null;
  const leading = sheet.terms.find(({ senses }) => senses['act'] === 'correct')!;
  const isLoose = /^(?:should|fix|change)/.test(leading.text);
  if (isLoose && sheet.has('does')) return null;
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
    if (isLoose) return null;
    const wanted = old ? 'what it should be' : `something logged at ${targetFt}`;
    const kept = keptAs('flag', text, { pass: context.pass, counterFt: targetFt });
    return { ...kept, missing: [wanted] };
  }
  const saysSide = openSheet(rest).has('side');
  const correct = (one: EntryDraft | null) => correctionOf(old, one, movedFt, saysSide);
  return {
    ...keptAs(null),
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
): ReadClause | null {
  if (words.trim() === '') return null;
  const at = { ...context, standing: [] };
  const said = readClause(words, readTerms(words), at);
  if (said || old?.kind !== 'defect') return said;
  const whole = `${old.defect.replace(/-/g, ' ')} ${words}`;
  return readClause(whole, readTerms(whole), at);
}

/** Where a thing is, whatever it is called. */
const PLACES = ['toReadingFt', 'open', 'lengthFt', 'locus', 'clockFrom', 'clockTo'] as const;

/** What was logged of a thing that is called otherwise now: its place, and the size that the new name has as well. */
function stillOf(
  old: EntryOf<'defect'>,
  { defect }: Pick<EntryOf<'defect'>, 'defect'>,
): Partial<EntryOf<'defect'>> {
  const { size } = specOf(defect);
  const share =
    size?.share === 'fill'
      ? (['fillRatio'] as const)
      : size?.share
        ? (['extentRatio'] as const)
        : [];
  const fields = [...PLACES, ...(size?.inches ? [size.inches] : []), ...share];
  return Object.fromEntries(
    fields.flatMap((field) => (old[field] === undefined ? [] : [[field, old[field]]])),
  );
}

const hasEnd = (old: Entry) => 'toReadingFt' in old;

const SIZES = ['depthIn', 'fillRatio', 'extentRatio', 'offsetIn', 'gapIn', 'lipIn', 'sizeWord'];
const ARC = ['clockFrom', 'clockTo'];
const saysSize = (said: object) => [...SIZES, ...ARC].some((field) => field in said);

/** What was measured on a still is measured no more once a size is said in its place. */
function unmeasured(facts: object): object {
  const { measures: _measures, sizeBasis, ...rest } = facts as Partial<EntryOf<'defect'>>;
  return sizeBasis === 'eye' ? { ...rest, sizeBasis } : rest;
}

/** A stretch whose end is known stays closed. */
function withoutOpen(draft: EntryDraft): EntryDraft {
  const { open: _open, ...rest } = draft as EntryDraft & { open?: boolean };
  return rest;
}

/** The old entry with what was said laid over it; another kind of thing replaces it whole. */
function correctionOf(
  old: Entry,
  draft: EntryDraft | null,
  movedFt: number | null,
  saysSide: boolean,
): EntryDraft {
  const { id, at: _at, replaces: _replaces, secondLook: _look, ...facts } = old;
  const base = { pass: old.pass, replaces: id };
  if (movedFt !== null) return { ...facts, ...base, readingFt: movedFt };
  const sameThing =
    draft!.kind === old.kind &&
    (draft!.kind !== 'defect' || (old.kind === 'defect' && draft.defect === old.defect));
  const still =
    !sameThing && draft!.kind === 'defect' && old.kind === 'defect' ? stillOf(old, draft) : {};
  const side = sameThing && 'side' in old && !saysSide ? { side: old.side } : {};
  const whole = { ...draft!, readingFt: draft!.readingFt ?? old.readingFt, ...side };
  const said = sameThing && hasEnd(old) ? withoutOpen(whole) : whole;
  const isClosed = sameThing && 'open' in facts && 'toReadingFt' in said;
  const { open: _open, ...rest } = facts as typeof facts & { open?: boolean };
  const kept = isClosed ? rest : facts;
  return (
    sameThing
      ? { ...(saysSize(said) ? unmeasured(kept) : kept), ...said, ...base }
      : { ...still, ...said, ...base }
  ) as EntryDraft;
}
