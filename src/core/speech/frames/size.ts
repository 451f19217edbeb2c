import { roundTo } from '../../base/numbers';
import { type InchField } from '../../catalogue/defect';
import type { DefectKind } from '../../catalogue/defects/index';
import { specOf } from '../../catalogue/defects/kinds';
import type { EntryOf } from '../../model/log/entry';
import type { Sheet } from '../sheet';
import type { Amount } from '../terms';

export type Sizes = Partial<
  Pick<
    EntryOf<'defect'>,
    'depthIn' | 'fillRatio' | 'extentRatio' | 'offsetIn' | 'gapIn' | 'lipIn' | 'form' | 'direction'
  >
>;

const TAILS = ['depth', 'full', 'share', 'height'];
const SIZE_DIGITS = 3;

/** Claims the sizes of a defect: inches, shares and forms, each to the field that its kind is graded by. */
export function takeSizes(sheet: Sheet, kind: DefectKind, boreIn: number | null): Sizes {
  const form = sheet.take(`form.${kind}`) ?? null;
  const direction = kind === 'crack' ? sheet.take('direction') : null;
  const { inches: field, share: of, isHeight } = specOf(kind).size ?? {};
  const inches = field || of === 'diameter' ? takeInches(sheet, kind, isHeight ?? false) : null;
  const share = takeShare(sheet, kind);
  return {
    ...(form === null ? {} : { form }),
    ...(direction === null ? {} : { direction: direction as 'along' }),
    ...(inches === null ? {} : inchSize(field, inches, boreIn)),
    ...(share === null ? {} : shareSize(kind, field, share, inches, boreIn)),
  };
}

function inchSize(field: InchField | undefined, inches: number, boreIn: number | null): Sizes {
  if (field) return { [field]: inches };
  // An inch of a tap or of a dent is graded as a share of the diameter.
  return boreIn === null ? {} : { extentRatio: roundTo(inches / boreIn, SIZE_DIGITS) };
}

function shareSize(
  kind: DefectKind,
  field: InchField | undefined,
  ratio: number,
  inches: number | null,
  boreIn: number | null,
): Sizes {
  if (kind === 'standing-water') return { fillRatio: ratio };
  if (field === undefined) return inches === null || boreIn === null ? { extentRatio: ratio } : {};
  if (kind === 'crack') return {};
  return inches === null && boreIn !== null ? { [field]: roundTo(ratio * boreIn, 2) } : {};
}

/** An inch of a tap needs the bore; without one it stays in the words. */
function takeInches(sheet: Sheet, kind: DefectKind, isHeight: boolean): number | null {
  const exact = sheet.takeAmount(({ unit, to }) => unit === 'in' && to === null, TAILS);
  if (exact) return roundTo(exact.value, SIZE_DIGITS);
  const range = sheet.takeAmount(({ unit }) => unit === 'in', TAILS);
  // Of a range of sizes the worse one is graded.
  if (range) return roundTo(Math.max(range.value, range.to!), SIZE_DIGITS);
  if (!isHeight) return null;
  // "gap 1/2": a written fraction is inches; "offset a quarter" may as well be a quarter of the pipe.
  const part = sheet
    .amounts()
    .find(
      ({ amount, index }) =>
        amount.unit === 'part' && !['share', 'full'].some((tag) => sheet.tailOf(index, tag)),
    );
  if (!part || sheet.settled(part.index) === 'part') return null;
  const said = sheet.text.slice(sheet.terms[part.index]!.from, sheet.terms[part.index]!.to);
  // Eighths are of an inch; nobody cuts a pipe into them.
  const isWritten = /[/½¼¾⅛⅜⅝⅞⅓⅔]|eighth|sixteenth/i.test(said);
  if (kind === 'gap' || isWritten) {
    sheet.claim(part.index);
    return part.amount.value;
  }
  sheet.doubt(part.index, ['part', 'in']);
  return null;
}

/** "60%", "half full", "a third of the pipe", "fills the pipe". */
function takeShare(sheet: Sheet, kind: DefectKind): number | null {
  const isShare = ({ unit }: Amount) => unit === '%' || unit === 'part';
  const exact = sheet.takeAmount((amount) => isShare(amount), TAILS);
  if (exact) {
    const worse = Math.max(exact.value, exact.to ?? 0);
    return roundTo(worse, SIZE_DIGITS);
  }
  if (kind === 'crack' || kind === 'gap') return null;
  return sheet.take('whole') === null ? null : 1;
}
