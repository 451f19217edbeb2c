import { syllable } from 'syllable';
import { roundTo } from '../base/numbers';
import type { Block } from './block';

const WORD = /[\p{L}\p{N}][\p{L}\p{N}'’.,/%-]*/gu;
const END = /[.!?]+(?=\s|$)/;

const wordsOf = (sentence: string) =>
  (sentence.match(WORD) ?? []).map((word) => word.replace(/[.,]+$/, ''));

/** Words whose syllables were counted. Reports say the same few thousand; what inspectors write is not kept without end. */
const counted = new Map<string, number>();
const MOST_WORDS = 20_000;

/** Syllables of a word; a number is read as one. */
function countSyllables(word: string): number {
  if (/\d/.test(word)) return 1;
  const known = counted.get(word);
  if (known !== undefined) return known;
  if (counted.size >= MOST_WORDS) counted.clear();
  const count = Math.max(1, syllable(word));
  counted.set(word, count);
  return count;
}

/**
 * The school grade at which sentences read: the Flesch–Kincaid grade, `0.39 · words a sentence + 11.8 ·
 * syllables a word − 15.59` (Kincaid, Fishburne, Rogers and Chissom 1975). To one decimal; 0 of nothing.
 */
export function gradeSentences(texts: readonly string[]): number {
  const sentences = texts
    .flatMap((text) => text.split(END))
    .map(wordsOf)
    .filter((words) => words.length > 0);
  const words = sentences.flat();
  if (words.length === 0) return 0;
  const syllables = words.reduce((sum, word) => sum + countSyllables(word), 0);
  const grade =
    0.39 * (words.length / sentences.length) + 11.8 * (syllables / words.length) - 15.59;
  return Math.max(0, roundTo(grade, 1));
}

/** The sentences of a document that its reader reads; tables, names and addresses are not among them. */
export function sentencesOf(blocks: readonly Block[]): string[] {
  return blocks.flatMap((block): readonly string[] => {
    switch (block.kind) {
      case 'headline':
        return [block.text, block.lead, ...(block.pass ? [block.pass] : [])];
      case 'section':
        return [block.caption];
      case 'finding':
        return [
          ...block.places.flatMap(({ says, ground }) =>
            [says, ground].filter((one) => one !== null),
          ),
          ...block.sentences,
          ...block.remarks,
        ];
      case 'glance':
        return block.rows.map(({ text }) => text);
      case 'steps':
        return block.steps.map(({ text }) => text);
      case 'columns':
        return block.columns.flatMap(({ items }) => items);
      case 'list':
        return block.isRecord ? [] : block.items;
      case 'terms':
        return block.terms.map(({ word, meaning }) => `${word} is ${meaning}`);
      default:
        return [];
    }
  });
}
