/** A piece of a call-out: a word, a number, a mark, quoted words, a handle (`#id`), or `field=value`. */
export type Token = {
  readonly type: 'word' | 'number' | 'mark' | 'quote' | 'handle' | 'pair';
  /** Lower case, plain apostrophes; quoted words, handles and the value of a pair as written. */
  readonly text: string;
  /** The field of a pair. */
  readonly field?: string;
  /** The value of a number; `null` for the rest. */
  readonly value: number | null;
  /** Said as a part of one: "1/2", "half", "a third". */
  readonly isPart?: boolean;
  /** Said as an hour: "10:30". */
  readonly isHour?: boolean;
  /** Where it stands in the call-out, so that what was not understood is kept as it was written. */
  readonly from: number;
  readonly to: number;
};

const VULGAR: Readonly<Record<string, number>> = {
  '½': 1 / 2,
  '¼': 1 / 4,
  '¾': 3 / 4,
  '⅛': 1 / 8,
  '⅜': 3 / 8,
  '⅝': 5 / 8,
  '⅞': 7 / 8,
  '⅓': 1 / 3,
  '⅔': 2 / 3,
};

const SPACE = /\s+/uy;
const NUMBER = /\d+(?:\.\d+)?|\.\d+/uy;
/** "38's clean": a number that is spoken of. */
const SPOKEN_OF = /['’]s\b/uy;
const WORD = /\p{L}+(?:['’‘]\p{L}+)*/uy;
const QUOTED = /["“]((?:\\.|[^"”\\])*)["”]/uy;
const HANDLE = /#(?:"((?:\\.|[^"\\])+)"|([\p{L}\d_.:-]+))/uy;
const PAIR = /([a-zA-Z]+)=(?:"((?:\\.|[^"\\])*)"|([^\s"]+))/uy;
const ANY = /./suy;

const unescape = (text: string) => text.replace(/\\(.)/gsu, '$1');
const plain = (text: string) => text.toLowerCase().replace(/[’‘]/g, "'");
/** Marks that mean the same. */
const SAME_MARK: Readonly<Record<string, string>> = {
  '’': "'",
  '‘': "'",
  '′': "'",
  '“': '"',
  '”': '"',
  '″': '"',
  '–': '-',
  '—': '-',
  '×': 'x',
  '@': '@',
};

/** Splits a call-out into tokens; white space falls away, nothing else does. */
export function lexCallout(text: string): Token[] {
  const tokens: Token[] = [];
  let at = 0;
  const match = (pattern: RegExp): RegExpExecArray | null => {
    pattern.lastIndex = at;
    return pattern.exec(text);
  };
  const push = (type: Token['type'], said: string, length: number, value: number | null = null) => {
    tokens.push({ type, text: said, value, from: at, to: at + length });
    at += length;
  };
  while (at < text.length) {
    const space = match(SPACE);
    if (space) {
      at += space[0].length;
      continue;
    }
    const pair = match(PAIR);
    if (pair) {
      push('pair', pair[2] === undefined ? pair[3]! : unescape(pair[2]), pair[0].length);
      tokens.push({ ...tokens.pop()!, field: pair[1]! });
      continue;
    }
    const number = match(NUMBER);
    if (number) {
      SPOKEN_OF.lastIndex = at + number[0].length;
      const length = number[0].length + (SPOKEN_OF.exec(text)?.[0].length ?? 0);
      push('number', number[0], length, Number(number[0]));
      continue;
    }
    const word = match(WORD);
    if (word) {
      push('word', plain(word[0]), word[0].length);
      continue;
    }
    const before = tokens.at(-1);
    // After a number a double quote means inches; elsewhere it opens quoted words.
    const isInches = before?.type === 'number' && before.to === at;
    const quote = isInches ? null : match(QUOTED);
    if (quote) {
      push('quote', unescape(quote[1]!), quote[0].length);
      continue;
    }
    const handle = match(HANDLE);
    if (handle) {
      push('handle', handle[1] === undefined ? handle[2]! : unescape(handle[1]), handle[0].length);
      continue;
    }
    const isHyphen =
      text[at] === '-' && /\p{L}/u.test(text[at - 1] ?? '') && /\p{L}/u.test(text[at + 1] ?? '');
    if (isHyphen) {
      // "build-up" is "build up".
      at += 1;
      continue;
    }
    const mark = match(ANY)![0];
    const part = VULGAR[mark];
    if (part !== undefined) push('number', mark, mark.length, part);
    else push('mark', SAME_MARK[mark] ?? mark, mark.length);
    if (part !== undefined) tokens.push({ ...tokens.pop()!, isPart: true });
  }
  return tokens;
}
