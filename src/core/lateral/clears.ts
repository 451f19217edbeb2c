import { clip, type Interval, interval, subtract, totalFt } from '../base/interval';
import { memoOf } from '../base/memo';
import type { DefectKind } from '../catalogue/defects/index';
import type { RunAxis } from '../measure/placement';
import { checkWater } from '../measure/water';
import type { Lateral } from './lateral';

/** A stretch that was looked at and called clear, on its line. */
export type ClearStretch = {
  readonly axis: RunAxis;
  readonly entryId: string;
  readonly span: Interval;
  /** What was looked for; `null`: every kind. */
  readonly kinds: readonly DefectKind[] | null;
  /** Parts of it that could not be seen. */
  readonly hidden: readonly Interval[];
  /** Feet of it where no camera was. */
  readonly beyondFt: number;
  /** Whether it was called clear with the line drained, or with no water running. */
  readonly isDrained: boolean;
};

/** Every stretch of a line that was called clear; one that was never closed ends where it began. */
export const readClears = memoOf((lateral: Lateral): readonly ClearStretch[] =>
  lateral.axes.flatMap((axis) =>
    axis.log.of('clear').flatMap((entry): ClearStretch[] => {
      const { from, to } = axis.placeOfEntry(entry);
      const closed = axis.log
        .of('close')
        .find((one) => axis.log.heirsOf(one.closes).some(({ id }) => id === entry.id));
      const end =
        entry.toReadingFt !== undefined
          ? axis.placeOf(entry.pass, entry.toReadingFt)
          : closed
            ? axis.placeOfEntry(closed).to
            : to;
      const span = interval(from.stationFt, end.stationFt);
      const within = lateral.reached.flatMap((reach) => clip(span, reach) ?? []);
      return [
        {
          axis,
          entryId: entry.id,
          span,
          kinds: entry.kinds && entry.kinds.length > 0 ? entry.kinds : null,
          hidden: lateral.coverage.obscured.flatMap((part) => clip(part, span) ?? []),
          beyondFt: totalFt(subtract([span], within)),
          isDrained: checkWater(entry, axis.log, axis.run).verified,
        },
      ];
    }),
  ),
);
