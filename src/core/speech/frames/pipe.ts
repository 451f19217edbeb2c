import { roundTo } from '../../base/numbers';
import type { Material } from '../../catalogue/materials/index';
import type { Side } from '../../catalogue/vocabulary';
import type { Zone } from '../../catalogue/zones';
import type { EntryOf } from '../../model/log/entry';
import type { CalloutContext } from '../draft';
import type { Sheet } from '../sheet';
import type { Amount } from '../terms';
import { type Frame, takeBase, takeCertainty, takeFootage, withRest } from './frame';

/**
 * The side of a boundary that the words are about: as said, else the pipe that the camera comes into:
 * beyond it on the way out, toward the access on the way back.
 */
function takeSide(sheet: Sheet, pass: 'out' | 'back', { facing }: CalloutContext): Side {
  const said = sheet.take('side') as Side | null;
  // "on the upstream side": ahead of a camera that looks upstream.
  const stream = facing === undefined ? null : sheet.take('stream');
  if (said === null && stream !== null) return stream === facing ? 'far' : 'near';
  return said ?? (pass === 'out' ? 'far' : 'near');
}

/** Bores that pipes are sold in, inches. */
const BORES = [1.5, 2, 3, 4, 5, 6, 8, 10, 12, 15, 18];
/** No pipe is narrower than this, inches. */
const LEAST_BORE_IN = 1.25;
/** A bare number this close to the counter is taken for a footage, feet. */
const NEAR_COUNTER_FT = 3;

/** "goes from cast iron to clay": the last one named is what begins here. */
function takeMaterial(sheet: Sheet): Material | null {
  const named = sheet.terms.flatMap(({ senses }, index) =>
    senses['material'] !== undefined && sheet.free(index) ? [index] : [],
  );
  const changesTo = named.findLast((index) => sheet.terms[index - 1]?.text === 'to');
  const index = changesTo ?? named[0];
  if (index === undefined) return null;
  sheet.claim(index);
  if (changesTo !== undefined) for (const was of named) if (was < changesTo) sheet.claim(was);
  return sheet.terms[index]!.senses['material'] as Material;
}

/** Claims the upstanding edge of a change and its height: "lip 0.4 in". */
function takeJoint(sheet: Sheet): Partial<Pick<EntryOf<'material'>, 'joint' | 'lipIn'>> {
  const index = sheet.indexOf('joint');
  if (index < 0) return {};
  const joint = sheet.terms[index]!.senses['joint'] as NonNullable<EntryOf<'material'>['joint']>;
  sheet.claim(index);
  if (joint !== 'lip') return { joint };
  const isInch = ({ unit, to }: Amount) => unit === 'in' && to === null;
  const behind = sheet.takeAmount((amount, at) => isInch(amount) && at > index, ['height']);
  // "quarter inch lip": before the word only when it is no bore.
  const inches =
    behind ??
    sheet.takeAmount((amount, at) => isInch(amount) && at < index && amount.value < LEAST_BORE_IN);
  return { joint, ...(inches ? { lipIn: roundTo(inches.value, 3) } : {}) };
}

/** The bore said; a bare number that fits a bore and no footage near is asked about. */
function takeBore(sheet: Sheet, context: CalloutContext): number | null {
  const inches = sheet.takeAmount(({ unit, to }) => unit === 'in' && to === null, ['height']);
  if (inches) return roundTo(inches.value, 3);
  const bare = sheet
    .amounts()
    .filter(({ amount }) => amount.unit === null && amount.to === null && amount.link === null);
  const bores = bare.filter(({ amount }) => BORES.includes(amount.value));
  const isHere = ({ amount }: (typeof bare)[number]) =>
    context.counterFt !== null && Math.abs(amount.value - context.counterFt) <= NEAR_COUNTER_FT;
  const [one] = bores.filter((bore) => !isHere(bore));
  if (!one || sheet.settled(one.index) === 'ft') return null;
  if (bare.length === 1) {
    sheet.doubt(one.index, ['ft', 'in']);
    return null;
  }
  if (bores.length > 1) sheet.doubt(one.index, ['in', 'ft']);
  sheet.claim(one.index);
  return one.amount.value;
}

/** "27 clay", "66 pvc 6 in sleeve", "9.5 abs near side", "clay?" */
export const readMaterial: Frame = (sheet, context) => {
  if (!sheet.has('material')) return null;
  const base = takeBase(sheet, context);
  const material = takeMaterial(sheet)!;
  const isLined = material !== 'liner' && sheet.take('lined') !== null;
  // "iron ends here", "pvc to 8 ft": about what has been passed.
  const namedAt = sheet.terms.findLastIndex(({ senses }) => senses['material'] !== undefined);
  const isUpTo = sheet.amounts().some(
    // "goes to 6 clay": what it goes to is no footage.
    ({ amount, index }) =>
      index > namedAt &&
      amount.link === 'to' &&
      amount.to === null &&
      (amount.unit === null || amount.unit === 'ft'),
  );
  const isPassed = (sheet.has('closes') || isUpTo) && !sheet.has('side');
  const ahead = takeSide(sheet, base.pass, context);
  const side = isPassed ? (ahead === 'far' ? 'near' : 'far') : ahead;
  const joint = takeJoint(sheet);
  const certainty = takeCertainty(sheet);
  const saidIn = takeBore(sheet, context);
  const footage = takeFootage(sheet, context);
  return {
    drafts: [
      {
        kind: 'material',
        ...base,
        readingFt: footage.readingFt,
        side,
        material,
        ...(saidIn === null ? {} : { diameterIn: saidIn }),
        ...(isLined ? { lined: true } : {}),
        ...joint,
        ...certainty,
        ...withRest(sheet, base),
      },
    ],
    missing: [...footage.missing, ...(saidIn === null ? [sayAssumed(context.boreHereIn)] : [])],
  };
};

/** Nobody said how wide the pipe is: it counts as wide as the one before. */
const sayAssumed = (boreHereIn: number | null) =>
  boreHereIn === null ? 'the diameter' : `the diameter: taken as ${boreHereIn} in, as before`;

/** "I'm at a little ranch house": spoken of, and not that the pipe comes under it. */
const isSomeHouse = (sheet: Sheet): boolean =>
  sheet.amounts().length === 0 &&
  !/\b(?:under|beneath|below)\b/i.test(sheet.text) &&
  /\b(?:a|an|this|my|their|his|her|your|nice|ranch|old|new)(?: \w+)? (?:house|building|home)\b/i.test(
    sheet.text,
  );

/** "driveway 38", "zone yard near side", "the house ends at 18". */
export const readZone: Frame = (sheet, context) => {
  if (!sheet.has('zone') || isSomeHouse(sheet)) return null;
  const base = takeBase(sheet, context);
  const zone = sheet.take('zone') as Zone;
  // "the house ends here" is about what has been passed.
  const isLeft = /\b(?:out from (?:under|below)|out of|leaving) (?:the |a )?\w+/i.test(sheet.text);
  const ends = (sheet.has('closes') || isLeft) && !sheet.has('side');
  const passed: Side = base.pass === 'out' ? 'near' : 'far';
  const side = ends ? passed : takeSide(sheet, base.pass, context);
  const { link } = sheet.amounts()[0]?.amount ?? { link: null };
  const footage = takeFootage(sheet, context);
  const untilHere = link === 'to' && footage.closes;
  return {
    drafts: [
      {
        kind: 'zone',
        ...base,
        readingFt: footage.readingFt,
        zone,
        side: untilHere ? passed : side,
        ...takeCertainty(sheet),
        ...withRest(sheet, base),
      },
    ],
    missing: footage.missing,
  };
};
