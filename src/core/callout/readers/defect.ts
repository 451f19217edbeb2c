import type { Entry, EntryOf } from '../../log/entry';
import type { DefectKind, Locus } from '../../log/vocabulary';
import type { CalloutContext, Reading } from '../draft';
import { DEFECT_SAYINGS, takeFrom } from '../lexicon';
import {
  type Footage,
  takeClock,
  takeFootage,
  takeInches,
  takeLengthFt,
  takeRatio,
} from '../quantities';
import type { Scan } from '../scan';
import { noteOf, type Reader, readingOr, takeCertainty, wantFootage } from './reader';

type Sizes = Partial<
  Pick<
    EntryOf<'defect'>,
    'depthIn' | 'fillRatio' | 'extentRatio' | 'offsetIn' | 'gapIn' | 'lipIn' | 'form' | 'direction'
  >
>;

const FORM_SAYINGS: Partial<Record<DefectKind, readonly (readonly [string, RegExp])[]>> = {
  crack: [
    ['displaced', /\bdisplaced\b/],
    ['several', /\b(?:several|multiple|many|spider(?:ed)?)\b/],
    ['open', /\b(?:open|wide)\b/],
    ['hairline', /\b(?:hair ?line|hair|fine|thin)\b/],
  ],
  break: [
    ['invert-missing', /\b(?:invert|bottom) (?:is )?(?:missing|gone)\b/],
    ['wall-missing', /\b(?:wall |piece |crown |top )?(?:is )?(?:missing|gone)\b/],
    ['displaced', /\bdisplaced\b/],
  ],
  'wall-loss': [
    ['invert-gone', /\b(?:gone|through|missing)\b/],
    ['pitted', /\bpit(?:ted|ting)\b/],
    ['rough', /\brough\b/],
  ],
  spalling: [
    ['hole', /\bholes?\b/],
    ['stone-exposed', /\b(?:stone|aggregate)\b/],
    ['grains', /\b(?:grains?|sandy)\b/],
  ],
  'coupling-failed': [
    ['gasket-in-bore', /\b(?:gasket|rubber)\b/],
    ['sealed', /\b(?:still )?sealed\b/],
  ],
  infiltration: [
    ['run', /\brun(?:s|ning)?\b/],
    ['drip', /\bdrip(?:s|ping)?\b/],
    ['seep', /\b(?:seep(?:s|ing)?|weep(?:s|ing)?)\b/],
  ],
};

/** What each kind wants to be sized by, for the chip. */
const WANTS: Partial<Record<DefectKind, string>> = {
  'standing-water': 'how deep',
  roots: 'how much of the bore',
  offset: 'how many inches',
  gap: 'how many inches',
  lip: 'how high',
  crack: 'hairline, open or several',
  break: 'displaced, or wall missing',
  hole: 'how bad',
  deformation: 'how much',
  'intruding-tap': 'how much',
  scale: 'how much of the bore',
  grease: 'how much of the bore',
  debris: 'how much of the bore',
  mineral: 'how much of the bore',
  'wall-loss': 'rough, pitted or gone',
  infiltration: 'seep, drip or run',
};

function takeSizes(scan: Scan, kind: DefectKind, boreIn: number | null): Sizes {
  const ofBore = (key: 'offsetIn' | 'lipIn', inches: number | null): Sizes => {
    if (inches !== null) return { [key]: inches };
    const ratio = boreIn === null ? null : takeRatio(scan);
    return ratio === null ? {} : { [key]: Math.round(ratio * boreIn! * 100) / 100 };
  };
  switch (kind) {
    case 'standing-water': {
      const depthIn = takeInches(scan);
      const fillRatio = depthIn === null ? takeRatio(scan) : null;
      return {
        ...(depthIn === null ? {} : { depthIn }),
        ...(fillRatio === null ? {} : { fillRatio }),
      };
    }
    case 'offset':
      return ofBore('offsetIn', takeInches(scan));
    case 'lip':
      return ofBore('lipIn', takeInches(scan));
    case 'gap': {
      const gapIn = takeInches(scan);
      return gapIn === null ? {} : { gapIn };
    }
    case 'crack': {
      const direction = scan.take(
        /\b(along|longitudinal|lengthwise|round|around|circumferential)\b/,
      );
      const form = takeForm(scan, kind);
      if (!direction) return form;
      return { ...form, direction: /along|length|longi/.test(direction[1]!) ? 'along' : 'round' };
    }
    default: {
      const form = takeForm(scan, kind);
      const extentRatio = form.form === undefined ? takeRatio(scan) : null;
      return { ...form, ...(extentRatio === null ? {} : { extentRatio }) };
    }
  }
}

function takeForm(scan: Scan, kind: DefectKind): Sizes {
  for (const [form, pattern] of FORM_SAYINGS[kind] ?? []) if (scan.take(pattern)) return { form };
  return {};
}

function takeLocus(scan: Scan): { locus?: Locus } {
  if (scan.take(/\b(?:in|through|from) (?:the )?(?:barrel|pipe wall|wall)\b|\bbarrel\b/))
    return { locus: 'barrel' };
  if (scan.take(/\b(?:at|in|from) (?:a |the |every )?joints?\b|\bjoints?\b/))
    return { locus: 'joint' };
  if (scan.take(/\bat (?:a |the )?(?:tap|tee|wye|connection)\b/)) return { locus: 'tap' };
  if (scan.take(/\bat (?:the )?(?:transition|change|coupling)\b|\btransition\b/))
    return { locus: 'transition' };
  return {};
}

function takeMarks(
  scan: Scan,
): Partial<Pick<EntryOf<'defect'>, 'holdsDebris' | 'soilVisible' | 'ourDoing' | 'sizeBasis'>> {
  const debris = scan.take(
    /\b(?:hold(?:s|ing)|catch(?:es|ing)|caught|with) (?:some )?(?:debris|paper|solids|waste|sludge)\b|\bdebris held\b/,
  );
  const soil = scan.take(
    /\b(?:(?:soil|dirt|void|ground|gravel) (?:is )?(?:visible|showing|behind)|see (?:the )?(?:soil|dirt))\b/,
  );
  const ours = scan.take(
    /\b(?:our doing|we did (?:this|that|it)|our (?:own )?(?:hose|head|camera|water))\b/,
  );
  const measured = scan.take(/\bmeasured\b/);
  return {
    ...(debris ? { holdsDebris: true } : {}),
    ...(soil ? { soilVisible: true } : {}),
    ...(ours ? { ourDoing: true } : {}),
    ...(measured ? { sizeBasis: 'measured' as const } : {}),
  };
}

/** Kinds that sit at one place of the bore: "2 to 11" after them is an arc, not a stretch. */
const SAID_BY_CLOCK: readonly DefectKind[] = [
  'roots', 'crack', 'break', 'hole', 'offset', 'gap', 'infiltration', 'intruding-tap',
  'foreign-object', 'unidentified', 'utility-crossing',
]; // prettier-ignore

/** Kinds that are stretches by nature: one end alone opens them. */
const STRETCHES: readonly DefectKind[] = ['standing-water'];

/** "roots 2 to 11 60% in the barrel", "water from 43", "water to 52, 3.3 in", "offset 35.5 half inch". */
export const readDefect: Reader = (scan, context) => {
  const marks = takeMarks(scan);
  const kind = takeFrom(DEFECT_SAYINGS, scan) ?? (scan.take(/\bwater\b/) ? 'standing-water' : null);
  if (kind === null) return null;
  const lengthFt = takeLengthFt(scan);
  const certainty = takeCertainty(scan);
  const locus = takeLocus(scan);
  const sizes = takeSizes(scan, kind, context.boreHereIn);
  const clock = takeClock(scan, SAID_BY_CLOCK.includes(kind));
  const footage = takeFootage(scan);
  const said: Partial<EntryOf<'defect'>> = {
    ...(lengthFt === null ? {} : { lengthFt }),
    ...locus,
    ...(clock ? { clockFrom: clock.from } : {}),
    ...(clock && clock.to !== null ? { clockTo: clock.to } : {}),
    ...sizes,
    ...marks,
    ...certainty,
  };
  const isSized = Object.keys(sizes).length > 0 || WANTS[kind] === undefined;
  const closed = footage.closes ? closeStretch(context, kind, footage, said, scan) : null;
  if (closed) return closed;
  const opens =
    footage.opens ||
    footage.closes ||
    (STRETCHES.includes(kind) && footage.toFt === null && lengthFt === null);
  return {
    drafts: [
      {
        kind: 'defect',
        defect: kind,
        pass: context.pass,
        readingFt: readingOr(context, footage.fromFt),
        ...(footage.toFt === null ? {} : { toReadingFt: footage.toFt }),
        ...(opens ? { open: true } : {}),
        ...said,
        ...noteOf(scan),
      },
    ],
    missing: [
      ...wantFootage(context, footage),
      ...(opens ? ['where it ends'] : []),
      ...(isSized || opens ? [] : [WANTS[kind]!]),
    ],
  };
};

/**
 * "… to 52": gives the open stretch of this kind its other end. Sizes said with it correct the entry
 * that opened it; on the same pass the correction carries both ends, else a `close` gives the second.
 */
function closeStretch(
  context: CalloutContext,
  kind: DefectKind,
  footage: Footage,
  said: Partial<EntryOf<'defect'>>,
  scan: Scan,
): Reading | null {
  const open = context.standing.findLast(
    (entry: Entry): entry is EntryOf<'defect'> =>
      entry.kind === 'defect' && entry.defect === kind && context.openIds.has(entry.id),
  );
  if (!open) return null;
  const readingFt = readingOr(context, footage.fromFt);
  const close = {
    kind: 'close',
    pass: context.pass,
    readingFt,
    closes: open.id,
    ...noteOf(scan),
  } as const;
  if (Object.keys(said).length === 0) return { drafts: [close], missing: [] };
  const { id, at: _at, open: _open, ...facts } = open;
  if (open.pass !== context.pass || readingFt === null) {
    return { drafts: [{ ...facts, ...said, open: true, replaces: id }, close], missing: [] };
  }
  const replacement = { ...facts, ...said, ...noteOf(scan), toReadingFt: readingFt, replaces: id };
  return { drafts: [replacement], missing: [] };
}
