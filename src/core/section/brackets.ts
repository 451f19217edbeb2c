import type { Interval } from '../base/interval';
import { clip } from '../base/interval';
import { clamp } from '../base/numbers';
import type { Frame } from './frame';

/** A work to be shown over the stations that it takes. */
export type BracketWish = Interval & { readonly key: string; readonly label: string };

/** A bracket under the Section: where a work begins and ends, and its label beside or below it. */
export type Bracket = {
  readonly key: string;
  readonly label: string;
  readonly fromX: number;
  readonly toX: number;
  /** Top of its lane. */
  readonly y: number;
  readonly labelX: number;
  /** Whether it goes on beyond what is shown. */
  readonly isCut: boolean;
};

export type Brackets = { readonly height: number; readonly brackets: readonly Bracket[] };

/** Room for a gloved finger on one lane without touching the next. */
export const BRACKET_LANE = 44;
/** A work at a point is still this wide, drawing units. */
const LEAST_WIDTH = 14;
/** Width of a letter of a label. */
const LETTER = 7.6;
const ROOM = 18;

/** Lays works under the Section on its scale, in lanes, so that neither brackets nor labels overlap. */
export function layBrackets(wishes: readonly BracketWish[], frame: Frame): Brackets {
  const ends: number[] = [];
  const brackets = wishes
    .toSorted((a, b) => a.fromFt - b.fromFt || a.toFt - b.toFt)
    .flatMap((wish): Bracket[] => {
      const shown = clip(wish, frame.view);
      if (!shown) return [];
      const middle = frame.xOf((shown.fromFt + shown.toFt) / 2);
      const half = Math.max(LEAST_WIDTH, frame.xOf(shown.toFt) - frame.xOf(shown.fromFt)) / 2;
      const halfLabel = (wish.label.length * LETTER) / 2;
      const labelX = clamp(
        middle,
        halfLabel + 4,
        Math.max(halfLabel + 4, frame.width - halfLabel - 4),
      );
      const left = Math.min(middle - half, labelX - halfLabel);
      const right = Math.max(middle + half, labelX + halfLabel) + ROOM;
      const free = ends.findIndex((end) => end <= left);
      const lane = free >= 0 ? free : ends.length;
      ends[lane] = right;
      return [
        {
          key: wish.key,
          label: wish.label,
          fromX: middle - half,
          toX: middle + half,
          y: lane * BRACKET_LANE,
          labelX,
          isCut: shown.fromFt > wish.fromFt || shown.toFt < wish.toFt,
        },
      ];
    });
  return { height: Math.max(1, ends.length) * BRACKET_LANE, brackets };
}
