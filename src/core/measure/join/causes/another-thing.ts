import { sayEntry } from '../../../model/log/say-entry';
import { isSameKindOfThing } from '../things';
import type { SightingCause } from './cause';

/** The other run saw another thing of the same kind, and that one would fit. */
export const anotherThing: SightingCause = {
  cause: 'another-thing',
  alternatives: (axis, entry, partners) =>
    axis.log.standing.flatMap((other) => {
      const isOther = other.id !== entry.id && other.readingFt !== null;
      const isAlike = () =>
        partners.every((one) => isSameKindOfThing(axis, other, one.axis, one.entry));
      if (!isOther || !isAlike()) return [];
      const place = axis.placeOf(other.pass, other.readingFt);
      return [
        {
          alongFt: place.alongFt,
          sigmaFt: place.readingSigmaFt,
          text: `${axis.run.id} has another ${sayEntry(other).title.toLowerCase()} at ${other.readingFt.toFixed(1)} ft; that may be the one.`,
          remedy: { do: 'tie-instead', runId: axis.run.id, from: entry.id, to: other.id },
        },
      ];
    }),
};
