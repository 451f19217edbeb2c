/** A phrase table: what people say, against what it means. */
export type Sayings<T extends string = string> = Readonly<Partial<Record<T, string>>>;

/**
 * Spells out a saying: `gas [line|pipe] {in|through}` is "gas in", "gas line in" and so on.
 * `|` parts sayings, `[…]` may be left out, `{…|…}` is one of.
 */
export function spellOut(saying: string): string[] {
  return splitTop(saying).flatMap((phrase) => {
    const from = phrase.search(/[[{]/);
    if (from < 0) return [phrase.trim().replace(/\s+/g, ' ')].filter((text) => text !== '');
    // From the outside in: what stands in one option is not laid beside what stands in another.
    const to = closeOf(phrase, from);
    const options = splitTop(phrase.slice(from + 1, to));
    if (phrase[from] === '[') options.push('');
    const [head, tail] = [phrase.slice(0, from), phrase.slice(to + 1)];
    return options.flatMap((option) => spellOut(`${head}${option}${tail}`));
  });
}

/** Where the bracket that opens at a place is closed. */
function closeOf(phrase: string, from: number): number {
  let depth = 0;
  for (let at = from; at < phrase.length; at += 1) {
    if ('[{'.includes(phrase[at]!)) depth += 1;
    if (']}'.includes(phrase[at]!)) depth -= 1;
    if (depth === 0) return at;
  }
  throw new Error(`${phrase}: expected each bracket closed, got one that is not.`);
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
