import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { Font } from '@react-pdf/renderer';
import * as fontkit from 'fontkit';
import { unpackWoff } from './unpack-woff';

const require = createRequire(import.meta.url);

/** One font file that ships with Chert: some letters of one family. */
type Subset = { readonly pack: string; readonly set: string; readonly weights: readonly number[] };

/** Families by which each part of a document is set: the first that has a letter sets it. */
export type Families = { readonly words: readonly string[]; readonly readings: readonly string[] };

const PLAIN = 400;
const BOLD = 700;
const NEXT = 'atkinson-hyperlegible-next';
const MONO = 'atkinson-hyperlegible-mono';

/** Always there. */
const WORDS: readonly Subset[] = [
  { pack: NEXT, set: 'latin', weights: [PLAIN, BOLD] },
  { pack: NEXT, set: 'latin-ext', weights: [PLAIN, BOLD] },
];
const READINGS: readonly Subset[] = [{ pack: MONO, set: 'latin', weights: [PLAIN] }];

/** Where letters are looked for that those lack, in this order: most scripts, then those of many signs. */
const MORE: readonly string[] = [
  'noto-sans',
  'noto-sans-hebrew',
  'noto-sans-arabic',
  'noto-sans-thai',
  'noto-sans-math',
  'noto-sans-sc',
  'noto-sans-kr',
];

const fileOf = ({ pack, set }: Subset, weight: number) =>
  require.resolve(`@fontsource/${pack}/files/${pack}-${set}-${weight}-normal.woff`);
const nameOf = ({ pack, set }: Subset) => `${pack} ${set}`;

/** A font unpacked, as the printer takes it without a file. */
const dataUrlOf = (file: string) =>
  `data:font/otf;base64,${unpackWoff(readFileSync(file)).toString('base64')}`;

const registered = new Set<string>();

/** Makes a subset known to the printer, once; it is embedded in each document that uses it. */
function register(subset: Subset): string {
  const family = nameOf(subset);
  if (registered.has(family)) return family;
  registered.add(family);
  const fonts = subset.weights.map((fontWeight) => ({
    src: dataUrlOf(fileOf(subset, fontWeight)),
    fontWeight,
  }));
  Font.register({ family, fonts: fonts });
  return family;
}

type Opened = { readonly hasGlyphForCodePoint: (point: number) => boolean };
const opened = new Map<string, Opened>();

/** Whether a subset really has a letter: what a package says of its ranges is not enough. */
function hasLetter(subset: Subset, point: number): boolean {
  const family = nameOf(subset);
  const font = opened.get(family) ?? (fontkit.openSync(fileOf(subset, PLAIN)) as unknown as Opened);
  opened.set(family, font);
  return font.hasGlyphForCodePoint(point);
}

type Range = readonly [from: number, to: number];
type Ranged = { readonly subset: Subset; readonly ranges: readonly Range[] };
let ranged: readonly Ranged[] | null = null;

/** Every subset of the other families with the ranges that it says it has. */
function rangedSubsets(): readonly Ranged[] {
  ranged ??= MORE.flatMap((pack) => {
    const path = require.resolve(`@fontsource/${pack}/unicode.json`);
    const sets = JSON.parse(readFileSync(path, 'utf8')) as Record<string, string>;
    return Object.entries(sets).map(([set, text]): Ranged => {
      const subset = { pack, set: set.replace(/^\[(\d+)\]$/, '$1'), weights: [PLAIN, BOLD] };
      const ranges = text.split(',').map((range): Range => {
        const [from, to = from] = range.replace('U+', '').split('-');
        return [parseInt(from!, 16), parseInt(to!, 16)];
      });
      return { subset, ranges };
    });
  });
  return ranged;
}

/** The subset that has a letter; `null` when no font that ships with Chert has it. */
function subsetWith(point: number): Subset | null {
  const isIn = ({ ranges }: Ranged) => ranges.some(([from, to]) => point >= from && point <= to);
  return rangedSubsets().find((one) => isIn(one) && hasLetter(one.subset, point))?.subset ?? null;
}

/**
 * The families that set a text, with what its letters need and no more: names in any script print as they
 * are typed.
 *
 * @param text everything that the document says.
 */
export function familiesFor(text: string): Families {
  // Words are not broken where it can be helped: footages and names must be found as they are.
  Font.registerHyphenationCallback(breakLong);
  const more = new Map<string, Subset>();
  for (const point of new Set(Array.from(text, (sign) => sign.codePointAt(0) ?? 0))) {
    if (point < 0x20 || WORDS.some((subset) => hasLetter(subset, point))) continue;
    const subset = subsetWith(point);
    if (subset) more.set(nameOf(subset), subset);
  }
  const words = [...WORDS, ...more.values()].map(register);
  return { words, readings: [...READINGS.map(register), ...words] };
}

/** A word longer than this may be broken anywhere: it would not fit a column. */
const LONG_WORD = 24;
const PIECE = 8;

function breakLong(word: string): string[] {
  const signs = Array.from(word);
  if (signs.length <= LONG_WORD) return [word];
  const pieces: string[] = [];
  for (let at = 0; at < signs.length; at += PIECE)
    pieces.push(signs.slice(at, at + PIECE).join(''));
  return pieces;
}
