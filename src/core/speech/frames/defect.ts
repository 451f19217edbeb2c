import { roundTo } from '../../base/numbers';
import type { DefectKind } from '../../catalogue/defects/index';
import { hasTrait, specOf } from '../../catalogue/defects/kinds';
import type { Certainty, Locus, SizeWord } from '../../catalogue/vocabulary';
import type { EntryOf } from '../../model/log/entry';
import type { CalloutContext, Reading } from '../draft';
import { WEAK } from '../heads';
import { formSayingsOf } from '../lexicon/defects';
import { spellOut } from '../lexicon/phrases';
import type { Sheet } from '../sheet';
import { takeClock } from './clock';
import { closeStretch } from './close';
import { type Frame, takeBase, takeCertainty, takeFootage, withRest } from './frame';
import { takeSizes } from './size';

type Said = Partial<EntryOf<'defect'>>;

/** "here comes the water": spoken of, with neither where nor how deep, nor that it stands. */
function isWaterAlone(sheet: Sheet): boolean {
  const defects = sheet.terms.filter(({ senses }) => senses['defect'] !== undefined);
  const isPlain =
    defects.length > 0 && defects.every(({ text }) => text === 'water' || text === "water's");
  const isOdd = sheet.terms.some(
    ({ kind, senses }) => kind === 'word' && Object.keys(senses).length === 0,
  );
  return (
    isPlain &&
    isOdd &&
    sheet.amounts().length === 0 &&
    !['opens', 'closes', 'degree', 'full', 'whole'].some((tag) => sheet.has(tag))
  );
}

/** Claims what is wrong: the first thing said, a weak word only when nothing else is there. */
function takeKind(sheet: Sheet): DefectKind | null {
  const at = sheet.terms.flatMap(({ senses, text }, index) =>
    senses['defect'] !== undefined && sheet.free(index)
      ? [{ index, weak: WEAK.includes(text) }]
      : [],
  );
  const index = (at.find(({ weak }) => !weak) ?? at[0])?.index;
  if (index === undefined) return null;
  const { senses } = sheet.terms[index]!;
  sheet.claim(index);
  return senses['defect'] as DefectKind;
}

/** The form that the naming words hold themselves: "dripping", "root mass", "bottom is pitted". */
function formInName(sheet: Sheet, kind: DefectKind): { form?: string } {
  const named = sheet.terms.find(({ senses }, at) => senses['defect'] === kind && !sheet.free(at));
  if (!named) return {};
  const name = ` ${sheet.text.slice(named.from, named.to).toLowerCase()} `;
  const forms = Object.entries(formSayingsOf(kind));
  const form = forms.find(([, saying]) =>
    spellOut(saying!).some((word) => name.includes(` ${word} `)),
  );
  return form ? { form: form[0] } : {};
}

/** "can't tell what that is": the name itself says the doubt. */
function doubtInName(sheet: Sheet, kind: DefectKind): { certainty?: Certainty } {
  const named = sheet.terms.find(({ senses }, at) => senses['defect'] === kind && !sheet.free(at));
  const certainty = named?.senses['certainty'] as Certainty | undefined;
  return certainty === undefined ? {} : { certainty };
}

/** "heavy", "a little": the size by a word, where no number was said. */
function takeDegree(sheet: Sheet, { form: _form, direction: _direction, ...sizes }: Said): Said {
  if (Object.keys(sizes).length > 0) return {};
  let word: SizeWord | null = null;
  // Of "some pretty heavy" the last is meant.
  for (let one = sheet.take('degree'); one !== null; one = sheet.take('degree'))
    word = one as SizeWord;
  return word === null ? {} : { sizeWord: word };
}

function takeMarks(sheet: Sheet): Record<string, unknown> {
  const marks: Record<string, unknown> = {};
  for (let mark = sheet.take('mark'); mark !== null; mark = sheet.take('mark')) {
    if (mark === 'measured' || mark === 'eye') marks['sizeBasis'] = mark;
    else marks[mark] = true;
  }
  return marks;
}

/** "8 ft long", "for 8 feet": a length as said. */
function takeLength(sheet: Sheet): { lengthFt?: number } {
  const length = sheet.takeAmount(
    ({ unit, to, link }, index) =>
      to === null &&
      (unit === 'ft' || unit === null) &&
      (sheet.tailOf(index, 'long') || (link === 'for' && unit === 'ft')),
    ['long'],
  );
  return length ? { lengthFt: roundTo(length.value, 3) } : {};
}

/** "roots 2 to 11 60% in the barrel", "water from 43", "water to 52, 3.3 in", "offset 35.5 half inch". */
export const readDefect: Frame = (sheet, context) => {
  if (!sheet.has('defect')) return null;
  if (isWaterAlone(sheet)) return null;
  const base = takeBase(sheet, context);
  const marks = takeMarks(sheet);
  const defect = takeKind(sheet);
  if (defect === null) return null;
  // A piece of the wall that moves does not sway with the water.
  if (hasTrait(defect, 'structure')) delete marks['movesWithWater'];
  const certainty = { ...doubtInName(sheet, defect), ...takeCertainty(sheet) };
  const length = takeLength(sheet);
  const locus = sheet.take('locus') as Locus | null;
  while (sheet.take('locus') !== null);
  const sizes = { ...formInName(sheet, defect), ...takeSizes(sheet, defect, context.boreHereIn) };
  doubtInches(sheet, defect, sizes, context);
  const word = takeDegree(sheet, sizes);
  const clock = takeClock(sheet, context, hasTrait(defect, 'said-by-clock'));
  const footage = takeFootage(sheet, context, !hasTrait(defect, 'said-by-clock'));
  const said: Said = {
    ...length,
    ...(locus === null ? {} : { locus }),
    ...(clock ? { clockFrom: clock.from } : {}),
    ...(clock && clock.to !== null ? { clockTo: clock.to } : {}),
    ...sizes,
    ...word,
    ...marks,
    ...certainty,
  };
  if (footage.closes) {
    const closed = closeStretch(sheet, context, defect, footage.readingFt, said, base);
    if (closed) return closed;
  }
  // "grease to 40" where none was begun: it is there at 40, and where it begins is asked.
  const opens =
    footage.opens ||
    (!footage.closes &&
      hasTrait(defect, 'is-stretch') &&
      footage.toFt === null &&
      length.lengthFt === undefined);
  const { wants } = specOf(defect);
  const isSized = Object.keys(sizes).length > 0;
  const draft = {
    kind: 'defect',
    defect,
    ...base,
    readingFt: footage.readingFt,
    ...(footage.toFt === null ? {} : { toReadingFt: footage.toFt }),
    ...(opens ? { open: true } : {}),
    ...said,
    ...withRest(sheet, base),
  } as const;
  const missing = [
    ...footage.missing,
    ...(opens ? ['where it ends'] : []),
    ...(footage.closes ? ['where it begins'] : []),
    ...(isSized || word.sizeWord || opens || wants === undefined ? [] : [wants]),
  ];
  return { drafts: [draft], missing } satisfies Reading;
};

/** "offset 2" may be two inches at the counter, or an offset at two feet. */
function doubtInches(sheet: Sheet, kind: DefectKind, sizes: Said, context: CalloutContext): void {
  const isInches = specOf(kind).size?.isHeight === true;
  const bare = sheet.amounts().filter(({ amount }) => amount.unit === null && amount.to === null);
  const [only] = bare;
  if (!isInches || !only || Object.keys(sizes).length > 0) return;
  const isSize = only.amount.value <= (context.boreHereIn ?? 4) && only.amount.link === null;
  const isHere = context.counterFt !== null && Math.abs(only.amount.value - context.counterFt) <= 1;
  if (isSize && !isHere) sheet.doubt(only.index, ['in', 'ft']);
}
