import type { OwnWord } from './draft';

const escape = (text: string) => text.replace(/[.*+?^${}()|[\]\\]/g, '\\$&');

/**
 * Puts Chert's words in the place of an inspector's own. Longer ones first, whole words only, and
 * never inside quotes; what they mean is not looked up again.
 */
export function withOwnWords(text: string, ownWords: readonly OwnWord[]): string {
  const known = ownWords
    .map(({ says, means }) => ({ says: says.trim().toLowerCase(), means: means.trim() }))
    .filter(({ says, means }) => says !== '' && means !== '')
    .sort((a, b) => b.says.length - a.says.length);
  if (known.length === 0) return text;
  const words = known.map(({ says }) => escape(says).replace(/\s+/g, '\\s+')).join('|');
  const pattern = new RegExp(
    `"(?:\\\\.|[^"\\\\])*"|(?<![\\p{L}\\d])(?:${words})(?![\\p{L}\\d])`,
    'giu',
  );
  return text.replace(pattern, (said) => {
    if (said.startsWith('"')) return said;
    const plain = said.toLowerCase().replace(/\s+/g, ' ');
    return known.find(({ says }) => says.replace(/\s+/g, ' ') === plain)?.means ?? said;
  });
}
