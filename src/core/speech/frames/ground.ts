import { roundTo } from '../../base/numbers';
import type { EntryOf } from '../../model/log/entry';
import type { Swing } from '../../model/log/kinds/surface';
import { MOST } from '../../model/log/possible';
import type { Sheet } from '../sheet';
import type { Amount } from '../terms';
import { type Frame, takeBase, takeCertainty, takeFootage, withRest } from './frame';

/** "tree 30, 4 ft off": something on the surface over or near the line. */
export const readSurface: Frame = (sheet, context) => {
  if (!sheet.has('surface')) return null;
  const isRoots = sheet.has('defect', 'roots');
  if (isRoots) return null;
  const base = takeBase(sheet, context);
  const index = sheet.indexOf('surface');
  const term = sheet.terms[index]!;
  sheet.claim(index);
  const aside = sheet.takeAmount(
    ({ unit, to }, at) =>
      to === null && (unit === 'ft' || unit === null) && sheet.tailOf(at, 'aside'),
    ['aside'],
  );
  const footage = takeFootage(sheet, context);
  return {
    drafts: [
      {
        kind: 'surface',
        ...base,
        readingFt: footage.readingFt,
        what: term.senses['surface']!,
        ...(aside ? { offsetFt: roundTo(aside.value, 3) } : {}),
        ...takeCertainty(sheet),
        ...withRest(sheet, base),
      },
    ],
    missing: footage.missing,
  };
};

const COLOURS = ['white', 'red', 'green', 'blue', 'orange', 'pink', 'yellow', 'black', 'purple'];
const MARKS = [
  'x',
  'cross',
  'dot',
  'flag',
  'stake',
  'paint',
  'mark',
  'line',
  'whiskers',
  'whisker',
  'arrow',
  'nail',
  'chalk',
  'circle',
  'painted',
];

/** Claims the mark left on the ground: "white x", "pink paint", `mark "blue dot"`. */
function takeMark(sheet: Sheet): { mark?: string } {
  const { terms } = sheet;
  const quoted = terms.findIndex(
    ({ text }, at) => sheet.free(at) && text === 'mark' && terms[at + 1]?.kind === 'quote',
  );
  if (quoted >= 0) {
    sheet.claim(quoted);
    sheet.claim(quoted + 1);
    return { mark: terms[quoted + 1]!.text };
  }
  const at = terms.findIndex(
    ({ text }, index) =>
      sheet.free(index) &&
      (MARKS.includes(text) ||
        (COLOURS.includes(text) && MARKS.includes(terms[index + 1]?.text ?? ''))),
  );
  if (at < 0) return {};
  const isColour = COLOURS.includes(terms[at]!.text);
  const end = isColour ? at + 1 : at;
  for (let index = at; index <= end; index += 1) sheet.claim(index);
  return { mark: sheet.text.slice(terms[at]!.from, terms[end]!.to).toLowerCase() };
}

const asLengthFt = ({ unit, value }: Amount) => roundTo(unit === 'in' ? value / 12 : value, 2);

/** Claims distances from things that do not move: "6'2" from garage corner". */
function takeSwings(sheet: Sheet): Swing[] {
  const swings: Swing[] = [];
  sheet.amounts().forEach(({ amount, index }) => {
    if (amount.unit === '%' || amount.unit === 'hour' || amount.to !== null) return;
    if (!sheet.tailOf(index, 'from')) return;
    const from = sheet.takeWordsAfter(index + 1);
    if (from === null) return;
    sheet.claim(index);
    sheet.claim(index + 1);
    swings.push({ from, distanceFt: asLengthFt(amount) });
  });
  return swings;
}

/** Words that may stand between "ground" and its level. */
const BETWEEN = ['level', 'is', 'at'];

/** Claims the level of the ground over the head above the job's datum, inches: "ground 86 in", "ground level 7 ft". */
function takeGround(sheet: Sheet): Partial<Pick<EntryOf<'locate'>, 'groundIn'>> {
  const at = sheet.terms.findIndex(({ text }, index) => sheet.free(index) && text === 'ground');
  if (at < 0) return {};
  let next = at + 1;
  while (BETWEEN.includes(sheet.terms[next]?.text ?? '')) next += 1;
  const amount = sheet.terms[next]?.amount;
  const isLevel = amount && amount.to === null && amount.unit !== '%' && amount.unit !== 'hour';
  if (!isLevel) return {};
  for (let index = at; index <= next; index += 1) sheet.claim(index);
  return { groundIn: roundTo(amount.unit === 'ft' ? amount.value * 12 : amount.value, 2) };
}

/** The depth to the head, inches: `4'1"`, "52 in", "5 deep", or a range of two. */
function takeDepth(sheet: Sheet): Partial<Pick<EntryOf<'locate'>, 'depthIn' | 'depthToIn'>> {
  const asInches = (value: number, unit: Amount['unit']) =>
    roundTo(unit === 'in' ? value : value * 12, 2);
  const isSize = ({ unit }: Amount) => unit === 'in' || unit === 'ft';
  const depth =
    sheet.takeAmount((amount, at) => isSize(amount) && isDeep(sheet, at), ['depth']) ??
    sheet.takeAmount((amount, at) => isSize(amount) && isAfterDepth(sheet, at)) ??
    sheet.takeAmount(({ hasInches, unit }) => hasInches || unit === 'in') ??
    sheet.takeAmount((amount) => isSize(amount) && amount.link !== 'at') ??
    sheet.takeAmount(({ unit, link }) => unit === null && link !== 'at');
  sheet.take('depth');
  if (!depth) return {};
  const depthIn = asInches(depth.value, depth.unit);
  return { depthIn, ...(depth.to === null ? {} : { depthToIn: asInches(depth.to, depth.unit) }) };
}

/** "5 ft deep", but not "at 47 ft, depth 5 ft". */
const isDeep = (sheet: Sheet, index: number) =>
  sheet.tailOf(index, 'depth') && !sheet.terms[index + 2]?.amount;
const isAfterDepth = (sheet: Sheet, index: number) =>
  sheet.terms[index - 1]?.senses['depth'] !== undefined;

const THINGS = ['defect', 'feature', 'material', 'zone', 'end', 'surface', 'unseen', 'water'];

/** "five feet deep at 57": a depth of the pipe, where nothing else is spoken of. */
const saysDepth = (sheet: Sheet): boolean =>
  !THINGS.some((tag) => sheet.has(tag)) &&
  sheet
    .amounts()
    .some(
      ({ amount, index }) =>
        amount.unit === 'ft' && amount.value <= MOST.locateIn / 12 && isDeep(sheet, index),
    );

/** `locate 4'1" white x 6'2" from garage corner`, "locate blocked by car". */
export const readLocate: Frame = (sheet, context) => {
  // "main, located" is about the end: a locate says so first, or says how deep.
  const isDepth = sheet.leads('act', 'locate') ? false : saysDepth(sheet);
  if (!sheet.leads('act', 'locate') && !isDepth) return null;
  if (!isDepth) sheet.take('act');
  const base = takeBase(sheet, context);
  const blockedAt = sheet.indexOf('blocked');
  const blockedBy = blockedAt < 0 ? null : sheet.takeWordsAfter(blockedAt);
  if (blockedAt >= 0) sheet.claim(blockedAt);
  const refAt = sheet.terms.findIndex(
    ({ text }, at) =>
      sheet.free(at) && text === 'reference' && sheet.terms[at + 1]?.kind === 'quote',
  );
  const reference = refAt < 0 ? null : sheet.takeWordsAfter(refAt);
  if (refAt >= 0) sheet.claim(refAt);
  const ground = takeGround(sheet);
  const swings = takeSwings(sheet);
  const said = sheet.takeAmount(
    ({ unit, link, to }, at) =>
      link === 'at' && to === null && !isDeep(sheet, at) && (unit === null || unit === 'ft'),
  );
  const mark = takeMark(sheet);
  const depth = blockedBy === null ? takeDepth(sheet) : {};
  const [one] = swings;
  const inWords = one && swings.length === 1 ? `${one.distanceFt} ft from ${one.from}` : null;
  const refers = reference ?? inWords;
  const footage = takeFootage(sheet, said ? { ...context, counterFt: said.value } : context);
  const hasDepth = depth.depthIn !== undefined;
  return {
    drafts: [
      {
        kind: 'locate',
        ...base,
        readingFt: footage.readingFt,
        ...depth,
        ...ground,
        ...mark,
        ...(swings.length > 1 ? { swings } : {}),
        ...(refers === null ? {} : { reference: refers }),
        ...(blockedBy === null ? {} : { blockedBy }),
        ...takeCertainty(sheet),
        ...withRest(sheet, base),
      },
    ],
    missing: [
      ...footage.missing,
      ...(hasDepth || blockedBy !== null ? [] : ['the depth']),
      ...(swings.length > 0 || refers !== null || blockedBy !== null
        ? []
        : ['a distance from something that will not move']),
    ],
  };
};
