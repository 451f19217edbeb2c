import type { Inspection } from '../model/job/inspection';
import { MAIN_LINE } from './lateral';

/** How lines are told apart wherever a footage is said. */
export type LineNames = {
  /** Whether there is only one line: then no footage needs to say its own. */
  readonly isOne: boolean;
  /** A line by name ("guest house line"). */
  readonly nameOf: (lineId: string) => string;
  /** What follows a footage (" on the guest house line"); empty where there is one line. */
  readonly on: (lineId: string) => string;
  /** The access that a line's feet are counted from, as people call it; "the access" where it has none. */
  readonly from: (lineId: string) => string;
};

type Laid = {
  readonly lineId: string;
  readonly axes: readonly { readonly originFt: number; readonly from: string }[];
};

/** Names the lines of a job. */
export function nameLines(
  { lines = [] }: Pick<Inspection, 'lines'>,
  laterals: readonly Laid[],
): LineNames {
  const isOne = laterals.length < 2;
  const labels = new Map(lines.map(({ id, label }) => [id, label.trim()]));
  const nameOf = (lineId: string) => {
    const label = labels.get(lineId) || (lineId === MAIN_LINE ? 'house' : lineId);
    // "House to main" becomes the house-to-main line.
    const joined = label.replace(/ to /g, '-to-');
    return /\bline$/i.test(joined) ? joined : `${joined} line`;
  };
  return {
    isOne,
    nameOf,
    on: (lineId) => (isOne ? '' : ` on the ${nameOf(lineId)}`),
    from: (lineId) => {
      const axes = laterals.find((one) => one.lineId === lineId)?.axes ?? [];
      return (axes.find(({ originFt }) => originFt === 0) ?? axes[0])?.from ?? 'the access';
    },
  };
}
