import { atReading, digitsOf, type SightingCause } from './cause';

/** A number heard for one that sounds like it: fifteen for fifty. */
export const soundAlike: SightingCause = {
  cause: 'sound-alike',
  alternatives: (axis, entry) => {
    if (entry.readingFt === null) return [];
    const [whole, tenth] = digitsOf(entry.readingFt);
    const [hundreds, last] = [whole.slice(0, -2), whole.slice(-2)];
    const teen = /^1([3-9])$/.exec(last);
    const ten = /^([3-9])0$/.exec(last);
    const other = teen ? `${teen[1]!}0` : ten ? `1${ten[1]!}` : null;
    if (other === null) return [];
    const text = `${axis.run.id} may have read ${hundreds}${other}.${tenth}, not ${whole}.${tenth}: they sound alike.`;
    return atReading(axis, entry, Number(`${hundreds}${other}.${tenth}`), text);
  },
};
