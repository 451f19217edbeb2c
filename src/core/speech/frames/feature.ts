import { roundTo } from '../../base/numbers';
import type { FeatureKind } from '../../catalogue/features/index';
import { isFeatureOf } from '../../catalogue/features/kinds';
import type { EntryOf } from '../../model/log/entry';
import type { CalloutContext } from '../draft';
import type { Sheet } from '../sheet';
import { takeClock } from './clock';
import { type Frame, takeBase, takeCertainty, takeFootage, withRest } from './frame';

/** Angles that bends are made with, degrees. */
const ANGLES = [11.25, 22, 22.5, 45, 90];
/** Rarer ones, which alone are more likely a footage. */
const RARE_ANGLES = [15, 30, 60];
const NEAR_COUNTER_FT = 3;

type Said = Partial<EntryOf<'feature'>>;

/** The angle of a bend: degrees, or a bare number that bends are made with. */
function takeAngle(sheet: Sheet, context: CalloutContext): Said {
  const said = sheet.takeAmount(({ unit }) => unit === 'deg');
  if (said) return { angleDeg: said.value };
  const bare = sheet.amounts().filter(({ amount }) => amount.unit === null && amount.to === null);
  const made = bare.length > 1 ? [...ANGLES, ...RARE_ANGLES] : ANGLES;
  const angles = bare.filter(({ amount }) => made.includes(amount.value) && amount.link === null);
  const [one] = angles;
  if (!one || sheet.settled(one.index) === 'ft') return {};
  const isHere =
    context.counterFt !== null && Math.abs(one.amount.value - context.counterFt) <= NEAR_COUNTER_FT;
  if ((bare.length === 1 && isHere) || angles.length > 1) sheet.doubt(one.index, ['deg', 'ft']);
  sheet.claim(one.index);
  return { angleDeg: one.amount.value };
}

/** "serves kitchen", "for the hall bath"; a fixture named alone says it as well. */
function takeServes(sheet: Sheet, feature: FeatureKind): Said {
  const named = sheet.terms.findIndex(
    ({ senses, text }, at) =>
      sheet.free(at) &&
      senses['serves'] !== undefined &&
      (!['from', 'to', 'for'].includes(text) || sheet.terms[at + 1]?.kind !== 'amount') &&
      // "coming in from the left": the side, and no room.
      !sheet.terms.slice(at + 1, at + 3).some((term) => /^(?:left|right)$/.test(term.text)),
  );
  if (named >= 0 && named < sheet.terms.length - 1) {
    const words = sheet.takeWordsAfter(named);
    if (words !== null) {
      sheet.claim(named);
      return { serves: words };
    }
  }
  if (!isFeatureOf('serves', feature)) return {};
  const fixture = sheet.indexOf('fixture');
  if (fixture < 0) return {};
  sheet.claim(fixture);
  const { from, to } = sheet.terms[fixture]!;
  return { serves: sheet.text.slice(from, to) };
}

/** "a forty five to the left": a bend by its angle alone. */
const saysTurn = (sheet: Sheet): boolean =>
  sheet.has('turns') &&
  !['defect', 'material', 'end', 'zone', 'surface'].some((tag) => sheet.has(tag)) &&
  sheet
    .amounts()
    .some(
      ({ amount }) =>
        amount.to === null &&
        (amount.unit === 'deg' ||
          (amount.unit === null && amount.link === null && ANGLES.includes(amount.value))),
    );

/** "tap left at 50", "a tap coming in": into this line, and not this line into the main. */
function takeKind(sheet: Sheet): FeatureKind {
  const at = sheet.indexOf('feature');
  const isTap =
    sheet.terms[at]!.text === 'tap' && sheet.terms[at]!.senses['feature'] === 'main-tap';
  const isBeside = sheet.has('hour', '3') || sheet.has('hour', '9');
  const isOurs = isBeside || /\bcoming in\b|\bcomes in\b/i.test(sheet.text);
  const kind = sheet.take('feature') as FeatureKind;
  return isTap && isOurs && !/\b(?:main|city|saddle|street)\b/i.test(sheet.text) ? 'tee' : kind;
}

/** "tee 12 3 o'clock serves kitchen", "bend 45 left at 30", "property line 64", "drop 2 ft". */
export const readFeature: Frame = (sheet, context) => {
  const isTurn = !sheet.has('feature') && saysTurn(sheet);
  if (!sheet.has('feature') && !isTurn) return null;
  const base = takeBase(sheet, context);
  const feature = isTurn ? 'bend' : takeKind(sheet);
  const serves = takeServes(sheet, feature);
  const bend = feature === 'bend' ? takeAngle(sheet, context) : {};
  const turn = feature === 'bend' ? sheet.take('turns') : null;
  const clock =
    takeClock(sheet, context, isFeatureOf('side-opening', feature)) ??
    takeOpeningSide(sheet, feature);
  const drop = feature === 'drop' ? takeDrop(sheet) : {};
  const certainty = takeCertainty(sheet);
  // "reducer 6 to 4" names two bores: no stretch, and they stay in the words.
  const isRange =
    feature === 'reducer' &&
    sheet.amounts().some(({ amount }) => amount.to !== null || amount.link === 'to');
  // "6 inch down to 4": what it is reduced to is no footage.
  if (isRange)
    for (const { index, amount } of sheet.amounts())
      if (amount.to === null && (amount.link === 'to' || amount.unit === 'in')) sheet.claim(index);
  const footage = isRange ? takePoint(sheet, context) : takeFootage(sheet, context);
  return {
    drafts: [
      {
        kind: 'feature',
        ...base,
        readingFt: footage.readingFt,
        feature,
        ...(clock ? { clock: clock.from } : {}),
        ...bend,
        ...(turn === null ? {} : { turns: turn }),
        ...serves,
        ...drop,
        ...certainty,
        ...withRest(sheet, base),
      },
    ],
    missing: footage.missing,
  };
};

function takeOpeningSide(sheet: Sheet, feature: FeatureKind): { from: number } | null {
  if (!isFeatureOf('side-opening', feature)) return null;
  const index = sheet.terms.findIndex(
    ({ senses }, at) => sheet.free(at) && /^(?:left|right)$/.test(senses['turns'] ?? ''),
  );
  if (index < 0) return null;
  sheet.claim(index);
  return { from: sheet.terms[index]!.senses['turns'] === 'left' ? 9 : 3 };
}

/** A drop is said with its unit ("drop 2 ft"): a bare number is where it is. */
function takeDrop(sheet: Sheet): Said {
  const drop = sheet.takeAmount(
    ({ unit, link, to }) => to === null && (unit === 'in' || (unit === 'ft' && link !== 'at')),
    ['depth', 'height', 'long'],
  );
  if (!drop) return {};
  return { dropFt: roundTo(drop.unit === 'in' ? drop.value / 12 : drop.value, 3) };
}

function takePoint(sheet: Sheet, context: CalloutContext) {
  const point = sheet.takeAmount(({ unit, to }) => to === null && (unit === null || unit === 'ft'));
  const readingFt = point?.value ?? context.counterFt;
  return { readingFt, missing: readingFt === null ? ['the footage'] : [] };
}
