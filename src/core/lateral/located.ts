import { sayFt, sayList } from '../base/numbers';
import type { EntryOf } from '../model/log/entry';
import type { Lateral } from './lateral';

/** A place of a line that somebody found from the ground. */
export type Located = { readonly stationFt: number; readonly entry: EntryOf<'locate'> };

/** Every place of a line that was found from the ground, its depth measured or not. */
export function locatedOn({ axes }: Lateral): Located[] {
  return axes.flatMap((axis) =>
    axis.log.of('locate').flatMap((entry): Located[] => {
      if (entry.readingFt === null || entry.blockedBy !== undefined) return [];
      return [{ stationFt: axis.placeOf(entry.pass, entry.readingFt).stationFt, entry }];
    }),
  );
}

/** How a located place is found again: its mark, and its distances from what will not move. */
export function sayMark({ mark, reference, swings = [] }: EntryOf<'locate'>): string[] {
  const from = swings.map(({ from: thing, distanceFt }) => `${sayFt(distanceFt)} ft from ${thing}`);
  return [
    ...(mark ? [`marked ${mark}`] : []),
    ...(reference ? [reference] : []),
    ...(from.length > 0 ? [sayList(from)] : []),
  ];
}
