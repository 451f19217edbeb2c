/** A phrase table: what people say, against what it means. */
export type Sayings<T extends string = string> = Readonly<Partial<Record<T, string>>>;

/**
 * Spells out a saying: `gas [line|pipe] {in|through}` is "gas in", "gas line in" and so on.
 * `|` parts sayings, `[…]` may be left out, `{…|…}` is one of.
 */
export function spellOut(saying: string): string[] {
  return splitTop(saying).flatMap((phrase) => {
    const group = /[[{]([^[\]{}]*)[\]}]/.exec(phrase);
    if (!group) return [phrase.trim().replace(/\s+/g, ' ')].filter((text) => text !== '');
    const options = group[1]!.split('|');
    if (group[0].startsWith('[')) options.push('');
    const [head, tail] = [
      phrase.slice(0, group.index),
      phrase.slice(group.index + group[0].length),
    ];
    return options.flatMap((option) => spellOut(`${head}${option}${tail}`));
  });
}

/** Splits at the bars that stand outside every bracket. */
function splitTop(text: string): string[] {
  const parts: string[] = [''];
  let depth = 0;
  for (const letter of text) {
    if (letter === '[' || letter === '{') depth += 1;
    if (letter === ']' || letter === '}') depth -= 1;
    if (letter === '|' && depth === 0) parts.push('');
    else parts.push((parts.pop() ?? '') + letter);
  }
  return parts;
}
