import { atReading, digitsOf, type SightingCause } from './cause';

/** A digit left out or said twice: 7 for 47, 115 for 15. */
export const droppedDigit: SightingCause = {
  cause: 'dropped-digit',
  alternatives: (axis, entry) => {
    if (entry.readingFt === null) return [];
    const [whole, tenth] = digitsOf(entry.readingFt);
    const said = `${whole}.${tenth}`;
    const readings = new Set<string>();
    for (let at = 0; at <= whole.length; at += 1) {
      for (const digit of '0123456789') {
        readings.add(`${whole.slice(0, at)}${digit}${whole.slice(at)}`);
      }
    }
    if (whole.length > 1) {
      for (let at = 0; at < whole.length; at += 1) {
        readings.add(whole.slice(0, at) + whole.slice(at + 1));
      }
    }
    return [...readings]
      .filter((reading) => String(Number(reading)) === reading)
      .flatMap((reading) => {
        const how = reading.length > whole.length ? 'a digit left out' : 'a digit too many';
        const text = `${axis.run.id} may have read ${reading}.${tenth}, not ${said}: ${how}.`;
        return atReading(axis, entry, Number(`${reading}.${tenth}`), text);
      });
  },
};
