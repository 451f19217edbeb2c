const UNITS = ['zero', 'one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight', 'nine', 'ten', 'eleven', 'twelve', 'thirteen', 'fourteen', 'fifteen', 'sixteen', 'seventeen', 'eighteen', 'nineteen']; // prettier-ignore
const TENS = ['twenty', 'thirty', 'forty', 'fifty', 'sixty', 'seventy', 'eighty', 'ninety'];
const VALUE = new Map<string, number>([
  ...UNITS.map((word, value) => [word, value] as const),
  ...TENS.map((word, index) => [word, 20 + 10 * index] as const),
]);
const NUMBER_WORD = [...VALUE.keys()].join('|');
const WORDS = new RegExp(
  `\\b(?:${NUMBER_WORD})\\b(?:(?:\\s+|-)(?:(?:hundred|point)\\s+)?(?:and\\s+)?(?:${NUMBER_WORD})\\b)*(?:\\s+hundred\\b)?`,
  'g',
);

/** "twenty seven point five" → "27.5", "one hundred and four" → "104"; "ten two" stays two numbers. */
function readNumberWords(phrase: string): string {
  const tokens = phrase.split(/[\s-]+/).filter((token) => token !== 'and');
  const numbers: string[] = [];
  let whole: number | null = null;
  let decimals: string | null = null;
  const flush = () => {
    if (whole !== null) numbers.push(decimals === null ? String(whole) : `${whole}.${decimals}`);
    whole = null;
    decimals = null;
  };
  for (const token of tokens) {
    const value = VALUE.get(token);
    if (token === 'point') decimals = '';
    else if (token === 'hundred') whole = (whole ?? 1) * 100;
    else if (value === undefined) continue;
    else if (decimals !== null) decimals += String(value);
    else if (whole === null) whole = value;
    else if (value < 10 && whole % 10 === 0 && whole % 100 >= 20) whole += value;
    else if (whole >= 100 && whole % 100 === 0) whole += value;
    else {
      flush();
      whole = value;
    }
  }
  flush();
  return numbers.join(' ');
}

const FRACTIONS: Record<string, string> = { '½': '.5', '¼': '.25', '¾': '.75', '⅛': '.125', '⅓': '.333', '⅔': '.667' }; // prettier-ignore

/** "1 1/2 in" → "1.5 in", `3/8"` → `0.375"`. */
function readFraction(_: string, whole: string | undefined, over: string, under: string): string {
  return String(Number(whole ?? 0) + Number(over) / Number(under));
}

/**
 * Brings a call-out to one form: lower case, plain quotes, digits for number words and fractions.
 * What a word means is left to the readers.
 */
export function normaliseCallout(text: string): string {
  return ` ${text.toLowerCase()} `
    .replace(/[“”„″]/g, '"')
    .replace(/[‘’′`]/g, "'")
    .replace(/×/g, 'x')
    .replace(/[–—]/g, '-')
    .replace(
      /(\d?)\s*([½¼¾⅛⅓⅔])/g,
      (_, whole: string, part: string) => `${whole || '0'}${FRACTIONS[part]}`,
    )
    .replace(/(?:(\d+)[ -])?(?<![\d.])(\d)\/(\d{1,2})(?=\s*(?:"|in\b|inch))/g, readFraction)
    .replace(WORDS, (phrase) => readNumberWords(phrase))
    .replace(/(\d+)\s+and\s+a\s+half\b/g, '$1.5')
    .replace(/(\d+)\s+and\s+a\s+quarter\b/g, '$1.25')
    .replace(/\bper\s?cent\b/g, '%')
    .replace(/(\d)\s+%/g, '$1%')
    .replace(/\bo\s?'?\s?clock\b/g, "o'clock")
    .replace(/\s+/g, ' ');
}
