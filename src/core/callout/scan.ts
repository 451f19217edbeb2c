import { normaliseCallout } from './normalise';

/**
 * The words of one call-out, taken away as they are understood. What is left at the end was not
 * understood and becomes the note: nothing said is dropped.
 */
export type Scan = {
  /** Takes the first match away and returns it, or `null` when there is none. */
  readonly take: (pattern: RegExp) => RegExpExecArray | null;
  /** Whether the words left match. */
  readonly has: (pattern: RegExp) => boolean;
  /** The words left, tidied. */
  readonly rest: () => string;
  /** The whole call-out in its normal form. */
  readonly whole: string;
};

const IDLE_WORDS =
  /(^|\s)(?:a|an|the|at|of|is|it|its|and|with|here|ft|feet|foot|in|on|we|have|there|are|some|to|from|about|around|now|see|seen|got|by|x|reading|o'clock)(?=\s|$)/g;

/** Starts reading a call-out. */
export function scanCallout(text: string): Scan {
  const whole = normaliseCallout(text);
  let left = whole;
  return {
    whole: whole.trim(),
    has: (pattern) => pattern.test(left),
    take: (pattern) => {
      const match = pattern.exec(left);
      if (match)
        left = `${left.slice(0, match.index)} ${left.slice(match.index + match[0].length)}`;
      return match;
    },
    rest: () => {
      let tidy = left.replace(/[,;:.](?=\s|$)/g, ' ').replace(/\s+/g, ' ');
      let before = '';
      while (before !== tidy) {
        before = tidy;
        tidy = tidy.replace(IDLE_WORDS, ' ').replace(/\s+/g, ' ');
      }
      return tidy.trim();
    },
  };
}
