import { footageAlone } from './alone';
import type { Cue } from './cues';

/** What was said in one go. */
export type Sentence = Cue;

/** A pause this long ends what was said, milliseconds. */
const PAUSE_MS = 1500;
/** Machine subtitles put no stops: then each cue is taken for what was said in one go. */
const STOPPED_SHARE = 0.2;
/** Nobody says more in one breath, words. */
const MOST_WORDS = 40;
/** A sentence said again so soon is the machine's repetition. */
const REPEATED_WITHIN = 3;

const wordsOf = (text: string) => text.split(/\s+/).filter((word) => word !== '');
const keyOf = (word: string) => word.toLowerCase().replace(/[^\p{L}\p{N}.']/gu, '');
const sayKey = (text: string) => wordsOf(text).map(keyOf).join(' ');

/** Rolling subtitles show the last words again: what a cue shares with the end of the one before is cut. */
function withoutOverlap(cues: readonly Cue[]): Cue[] {
  let tail: string[] = [];
  return cues.flatMap((cue) => {
    const words = wordsOf(cue.text);
    const keys = words.map(keyOf);
    const most = Math.min(tail.length, keys.length);
    let shared = 0;
    for (let length = most; length > 0 && shared === 0; length -= 1) {
      const isSame = keys
        .slice(0, length)
        .every((key, at) => key === tail[tail.length - length + at]);
      if (isSame && (length >= 3 || length === keys.length)) shared = length;
    }
    tail = [...tail, ...keys.slice(shared)].slice(-MOST_WORDS);
    const text = words.slice(shared).join(' ');
    return text === '' ? [] : [{ ...cue, text }];
  });
}

/** Splits at stops, never within a number. */
const splitStops = (text: string): string[] =>
  text
    .split(/(?<=[.!?])\s+(?=\S)/)
    .map((one) => one.trim())
    .filter((one) => one !== '');

/** Words with which people begin to say another thing. */
const BEGINS_ANEW =
  /(?<!\b(?:that|if|whether|think|believe|say|says|see|where|because|so|but|like|what|which|until|to|of|from|and|or|hope|sure|know|guess|when|as|while|than|not|since|how|who|then))\s+(?=(?:okay|alright|all right|there's|theres|there is|there are|i've got|we've got|we got|i'm|im|we're|i'd|i'll|let's|that's|thats|it's|you can see|make that|and there's|and that's|and it's|and we've got|and i've got|so call it)\s)/i;

/** Where no stops are put, what is said anew begins with a few words that everybody uses; a footage before it is its own. */
const splitAnew = (text: string): string[] =>
  text.split(BEGINS_ANEW).reduce<string[]>((pieces, piece) => {
    const before = pieces.at(-1);
    if (before !== undefined && footageAlone(before) !== null)
      pieces[pieces.length - 1] = `${before} ${piece}`;
    else if (piece !== '') pieces.push(piece);
    return pieces;
  }, []);

const isStopped = (text: string) => /[.!?]["”']?\s*$/.test(text);

/** Puts what was said in one go together, whatever way the recording cuts it up; repetitions count once. */
export function splitSentences(cues: readonly Cue[]): Sentence[] {
  const fresh = withoutOverlap(cues);
  const stopped = fresh.filter(({ text }) => /[.!?]/.test(text)).length;
  const hasStops = stopped >= fresh.length * STOPPED_SHARE;
  const sentences: Sentence[] = [];
  let open: Sentence | null = null;
  const flush = () => {
    if (open) sentences.push(open);
    open = null;
  };
  for (const cue of fresh) {
    const pieces = hasStops ? splitStops(cue.text) : splitAnew(cue.text);
    for (const text of pieces) {
      const before: Sentence | null = open;
      const isNear =
        before !== null &&
        (before.toMs === null || cue.fromMs === null ? false : cue.fromMs - before.toMs < PAUSE_MS);
      const joined: Sentence =
        before !== null && isNear
          ? { fromMs: before.fromMs, toMs: cue.toMs, text: `${before.text} ${text}` }
          : { ...cue, text };
      if (before !== null && !isNear) flush();
      open = joined;
      const isLong = wordsOf(joined.text).length > MOST_WORDS;
      if (!hasStops || isStopped(text) || isLong || cue.fromMs === null) flush();
    }
  }
  flush();
  return sentences.filter((sentence, at) => {
    const key = sayKey(sentence.text);
    return !sentences
      .slice(Math.max(0, at - REPEATED_WITHIN), at)
      .some((one) => sayKey(one.text) === key);
  });
}
