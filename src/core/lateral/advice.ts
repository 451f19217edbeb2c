import { type Interval, interval } from '../base/interval';
import { memoOf } from '../base/memo';
import type { RunAxis } from '../measure/placement';
import type { EntryOf } from '../model/log/entry';
import type { Lateral } from './lateral';

/** What the inspector recommends, on its line; without a footage it is about the whole. */
export type PlacedAdvice = {
  readonly axis: RunAxis;
  readonly entry: EntryOf<'advice'>;
  readonly span: Interval | null;
};

/** Every recommendation of the inspector on a line, in the order in which they were given. */
export const readAdvice = memoOf((lateral: Lateral): readonly PlacedAdvice[] =>
  [...lateral.axes, ...lateral.unplaced].flatMap((axis) =>
    axis.log.of('advice').flatMap((entry): PlacedAdvice[] => {
      if (entry.readingFt === null || !axis.placed) return [{ axis, entry, span: null }];
      const { from } = axis.placeOfEntry(entry);
      const to =
        entry.toReadingFt === undefined ? from : axis.placeOf(entry.pass, entry.toReadingFt);
      return [{ axis, entry, span: interval(from.stationFt, to.stationFt) }];
    }),
  ),
);
