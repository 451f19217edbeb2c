import type { DefectKind } from '../../catalogue/defects/index';
import { nameDefect } from '../../catalogue/defects/kinds';
import type { Entry, EntryDraft, EntryOf } from '../../model/log/entry';
import type { CalloutContext, Reading } from '../draft';
import type { Sheet } from '../sheet';
import { type Base, type Frame, takeBase, takeFootage, takeHandlesAfter, withRest } from './frame';

type Opened = EntryOf<'defect'> | EntryOf<'unseen'>;

const isOpened = (entry: Entry, context: CalloutContext): entry is Opened =>
  (entry.kind === 'defect' || entry.kind === 'unseen') && context.openIds.has(entry.id);

/**
 * "… to 52": gives the open stretch of this kind its other end. Sizes said with it correct the entry
 * that opened it; on the same pass the correction carries both ends, else a `close` gives the second.
 */
export function closeStretch(
  sheet: Sheet,
  context: CalloutContext,
  kind: DefectKind,
  readingFt: number | null,
  said: Partial<EntryOf<'defect'>>,
  base: Base,
): Reading | null {
  const open = context.standing.findLast(
    (entry): entry is EntryOf<'defect'> =>
      entry.kind === 'defect' && entry.defect === kind && context.openIds.has(entry.id),
  );
  if (!open) return null;
  const close = { kind: 'close', ...withRest(sheet, base), readingFt, closes: open.id } as const;
  if (Object.keys(said).length === 0) return { drafts: [close], missing: [] };
  const { id, at: _at, open: _open, replaces: _replaces, ...facts } = open;
  if (open.pass !== base.pass || readingFt === null) {
    return { drafts: [{ ...facts, ...said, open: true, replaces: id }, close], missing: [] };
  }
  const { pass: _pass, ...extra } = withRest(sheet, base);
  return {
    drafts: [{ ...facts, ...said, ...extra, toReadingFt: readingFt, replaces: id }],
    missing: [],
  };
}

const nameOpened = (entry: Opened): string => {
  const at = entry.readingFt === null ? '' : ` from ${entry.readingFt}`;
  return `${entry.kind === 'defect' ? nameDefect(entry.defect) : 'Unseen'}${at}`;
};

/** "ends here", "to 52", `close #id`: the end of what is open, whatever it is. */
export const readClose: Frame = (sheet, context) => {
  const [named] = takeHandlesAfter(sheet, 'close');
  const open = context.standing
    .filter((entry): entry is Opened => isOpened(entry, context))
    .reverse();
  if (named === undefined) {
    if (open.length === 0 || !isBareEnd(sheet)) return null;
  }
  const base = takeBase(sheet, context);
  const { readingFt, missing } = takeFootage(sheet, context);
  const draftFor = (closes: string): EntryDraft => ({
    kind: 'close',
    ...withRest(sheet, base),
    readingFt,
    closes,
  });
  if (named !== undefined) return { drafts: [draftFor(named)], missing };
  return {
    drafts: [draftFor(open[0]!.id)],
    missing,
    others: open
      .slice(1)
      .map((entry) => ({ label: nameOpened(entry), drafts: [draftFor(entry.id)] })),
  };
};

/** Nothing but an end: "ends", "to 52", "ends at 52". */
function isBareEnd(sheet: Sheet): boolean {
  const isEnd = ({ senses, amount }: Sheet['terms'][number]) =>
    senses['closes'] !== undefined || amount?.link === 'to';
  const isQuiet = ({ senses, amount, kind }: Sheet['terms'][number]) =>
    senses['idle'] !== undefined ||
    senses['pass'] !== undefined ||
    amount !== null ||
    kind === 'mark';
  return sheet.terms.some(isEnd) && sheet.terms.every((term) => isEnd(term) || isQuiet(term));
}
