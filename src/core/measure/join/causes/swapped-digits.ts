import { atReading, digitsOf, type SightingCause } from './cause';

/** Two neighbouring digits said or written the wrong way round: 27 for 72. */
export const swappedDigits: SightingCause = {
  cause: 'swapped-digits',
  alternatives: (axis, entry) => {
    if (entry.readingFt === null) return [];
    const [whole, tenth] = digitsOf(entry.readingFt);
    return Array.from(whole).flatMap((digit, at) => {
      const next = whole[at + 1];
      if (next === undefined || next === digit) return [];
      const swapped = `${whole.slice(0, at)}${next}${digit}${whole.slice(at + 2)}.${tenth}`;
      const text = `${axis.run.id} may have read ${swapped}, not ${whole}.${tenth}: two digits swapped.`;
      return atReading(axis, entry, Number(swapped), text);
    });
  },
};
