import type { CalloutContext, Reading } from '../draft';
import type { Footage } from '../quantities';
import type { Scan } from '../scan';

/** Reads one kind of call-out. `null` when the words are not of its kind; then nothing was taken. */
export type Reader = (scan: Scan, context: CalloutContext) => Reading | null;

/** The footage said, else the counter now. */
export function readingOr(context: CalloutContext, saidFt: number | null): number | null {
  return saidFt ?? context.counterFt;
}

/** What is wanted when neither a footage was said nor a counter is there. */
export function wantFootage(context: CalloutContext, footage: Footage): string[] {
  return footage.fromFt === null && context.counterFt === null ? ['the footage'] : [];
}

/** Words that were not understood go along as the note. */
export function noteOf(scan: Scan): { note?: string } {
  const rest = scan.rest();
  return rest ? { note: rest } : {};
}

/** Takes doubt: "maybe", "suspected", "?" or "can't tell". Without any, the entry is confirmed. */
export function takeCertainty(scan: Scan): { certainty?: 'suspected' | 'cannot-tell' } {
  if (scan.take(/\b(?:can't|cannot|can not) (?:tell|say|be sure)\b|\bnot sure\b|\bunsure\b/)) {
    return { certainty: 'cannot-tell' };
  }
  const doubt = scan.take(
    /\b(?:maybe|perhaps|possib(?:le|ly)|probabl[ey]|suspect(?:ed)?|looks like|might be|could be|i think)\b|\?/,
  );
  return doubt ? { certainty: 'suspected' } : {};
}
