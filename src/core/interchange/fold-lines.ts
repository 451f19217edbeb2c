/** The most octets of a content line without its break (RFC 5545, 3.1). */
const MOST_OCTETS = 75;

const octetsOf = (sign: string) => new TextEncoder().encode(sign).byteLength;

/** Folds one line: each piece within the most octets, never in the middle of a character. */
function foldLine(line: string): string {
  const pieces: string[] = [''];
  let octets = 0;
  for (const sign of line) {
    const size = octetsOf(sign);
    if (octets + size > MOST_OCTETS) {
      // A continued line begins with a space, which counts.
      pieces.push(' ');
      octets = 1;
    }
    pieces.push((pieces.pop() ?? '') + sign);
    octets += size;
  }
  return pieces.join('\r\n');
}

/**
 * Folds the lines of an iCalendar file anew, by octets as RFC 5545 asks (3.1), with CRLF at every end. What
 * was folded before is joined first; a lone CR or LF within a line is taken for a break that was lost.
 */
export function foldLines(text: string): string {
  const whole = text.replace(/\r\n[ \t]/g, '').replace(/\r\n|\r|\n/g, '\r\n');
  return whole.split('\r\n').map(foldLine).join('\r\n');
}
