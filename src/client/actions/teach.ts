import { DEFECTS } from '#core/catalogue/defects/index';
import { nameDefect, specOf } from '#core/catalogue/defects/kinds';
import { FEATURES } from '#core/catalogue/features/index';
import { featureOf } from '#core/catalogue/features/kinds';
import { MATERIALS } from '#core/catalogue/materials/index';
import { materialOf, nameMaterial } from '#core/catalogue/materials/kinds';
import type { OwnWord } from '#core/speech/draft';
import { spellOut } from '#core/speech/lexicon/phrases';
import { readTerms } from '#core/speech/sheet';

/** A thing that a word of the inspector's own can stand for. */
export type Meaning = { readonly name: string; readonly means: string };

/** Chert's own plainest words for a kind: the first by which it is said. */
const plainest = (said: string): string => spellOut(said)[0]!;

/** Everything that a line can name, by sort, in the order of the catalogue. */
export const MEANINGS: Readonly<Record<string, readonly Meaning[]>> = {
  'Something wrong': DEFECTS.map((kind) => ({
    name: nameDefect(kind),
    means: plainest(specOf(kind).said),
  })),
  'Part of the line': FEATURES.map((feature) => ({
    name: featureOf(feature).name,
    means: plainest(featureOf(feature).said),
  })),
  Pipe: MATERIALS.map((material) => ({
    name: nameMaterial(material),
    means: plainest(materialOf(material).said),
  })),
};

/** The longest run of words in a line that Chert does not know; '' where it knows every one. */
export function unknownWords(line: string): string {
  const runs: string[][] = [[]];
  for (const { kind, senses, text, amount } of readTerms(line)) {
    const isUnknown = kind === 'word' && amount === null && Object.keys(senses).length === 0;
    if (isUnknown) runs.at(-1)!.push(text);
    else runs.push([]);
  }
  return runs.reduce((best, run) => (run.length > best.length ? run : best)).join(' ');
}

/** The inspector's words with one more; said before, it means now what was said last. */
export const taught = (ownWords: readonly OwnWord[], says: string, means: string): OwnWord[] => [
  ...ownWords.filter((one) => one.says.toLowerCase() !== says.toLowerCase()),
  { says, means },
];
