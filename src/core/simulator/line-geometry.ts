import { memoOf } from '../base/memo';
import { hasTrait } from '../catalogue/defects/kinds';
import type { TruthLine, TruthPipe } from './truth';

/** Level of a line's profile at a station, inches; straight between its points, level beyond them. */
export function levelAtIn(
  profile: readonly (readonly [atFt: number, levelIn: number])[],
  stationFt: number,
): number {
  const after = profile.findIndex(([atFt]) => atFt > stationFt);
  if (after < 0) return profile.at(-1)![1];
  if (after === 0) return profile[0]![1];
  const [fromFt, fromIn] = profile[after - 1]!;
  const [toFt, toIn] = profile[after]!;
  return fromIn + ((stationFt - fromFt) / (toFt - fromFt)) * (toIn - fromIn);
}

/** The pipe at a station, and where it begins. */
export function pipeAt(
  line: TruthLine,
  stationFt: number,
): TruthPipe & { readonly fromFt: number } {
  const index = Math.max(
    0,
    line.pipes.findIndex(({ toFt }) => stationFt < toFt),
  );
  const found = stationFt >= line.lengthFt ? line.pipes.length - 1 : index;
  return { ...line.pipes[found]!, fromFt: line.pipes[found - 1]?.toFt ?? 0 };
}

/** Stations of the joints of a line, feet, upstream to downstream, changes of pipe included. */
export const jointsOf = memoOf((line: TruthLine): readonly number[] => {
  let fromFt = 0;
  return line.pipes.flatMap(({ toFt, jointEveryFt }) => {
    const joints = fromFt > 0 ? [fromFt] : [];
    if (jointEveryFt !== undefined) {
      for (let atFt = fromFt + jointEveryFt; atFt < toFt - 0.2; atFt += jointEveryFt)
        joints.push(atFt);
    }
    fromFt = toFt;
    return joints;
  });
});

/** What an obstruction leaves of the pipe's area, 0 to 1, and how high it stands on the invert, inches. */
export type Obstruction = {
  readonly fromFt: number;
  readonly toFt: number;
  readonly openRatio: number;
  readonly damIn: number;
};

/** What a collapse leaves when nobody said how much. */
const COLLAPSE_SHARE = 0.85;

/** Everything in a line that holds water back. */
export const obstructionsOf = memoOf((line: TruthLine): readonly Obstruction[] => [
  ...line.defects.flatMap((defect): Obstruction[] => {
    const span = { fromFt: defect.atFt, toFt: defect.toFt ?? defect.atFt };
    const boreIn = pipeAt(line, defect.atFt).diameterIn;
    if (defect.defect === 'lip') return [{ ...span, openRatio: 1, damIn: defect.lipIn ?? 0 }];
    if (!hasTrait(defect.defect, 'fills')) return [];
    const share = defect.extentRatio ?? (defect.defect === 'collapse' ? COLLAPSE_SHARE : 0.1);
    // A heap on the invert is about as high as its share of the diameter; half of it lets water by.
    const damIn =
      hasTrait(defect.defect, 'lies-on-invert') && share >= 0.1 ? 0.5 * share * boreIn : 0;
    return [{ ...span, openRatio: Math.max(0.02, 1 - share), damIn }];
  }),
  ...line.pipes.flatMap(({ lipIn }, index): Obstruction[] => {
    const atFt = line.pipes[index - 1]?.toFt ?? 0;
    return lipIn ? [{ fromFt: atFt, toFt: atFt, openRatio: 1, damIn: lipIn }] : [];
  }),
]);
