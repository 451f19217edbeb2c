import { memoOf } from '../base/memo';
import { layOut } from '../base/near';
import type { Facts } from '../catalogue/severity/grade';
import type { Thresholds } from '../catalogue/severity/thresholds';
import { depthInOf } from '../catalogue/severity/water-depth';
import type { Lateral } from '../lateral/lateral';

/** An upstanding edge, logged as a defect or with a change of pipe. */
export type LipSpot = {
  readonly stationFt: number;
  /** Its height, inches; `null` when nobody said. */
  readonly lipIn: number | null;
  readonly entryId: string;
};

/** Every lip of a line, in station order. */
export const readLips = memoOf((lateral: Lateral): readonly LipSpot[] =>
  lateral.axes
    .flatMap((axis) =>
      axis.log.standing.flatMap((entry) => {
        const isLip =
          (entry.kind === 'material' && (entry.joint === 'lip' || entry.lipIn !== undefined)) ||
          (entry.kind === 'defect' && entry.defect === 'lip');
        if (!isLip) return [];
        const { from, to } = axis.placeOfEntry(entry);
        const stationFt = (from.stationFt + to.stationFt) / 2;
        return [{ stationFt, lipIn: entry.lipIn ?? null, entryId: entry.id }];
      }),
    )
    .sort((a, b) => a.stationFt - b.stationFt),
);

const lipsNear = memoOf((lateral: Lateral) =>
  layOut(readLips(lateral), ({ stationFt }) => ({ fromFt: stationFt, toFt: stationFt })),
);

/** The lip at a pool's downstream end: the highest there is, one of no known height last. */
export function lipAtEnd(lateral: Lateral, endFt: number, { atLipFt }: Thresholds): LipSpot | null {
  const near = lipsNear(lateral)({ fromFt: endFt, toFt: endFt }, atLipFt);
  return near.sort((a, b) => (b.lipIn ?? -1) - (a.lipIn ?? -1))[0] ?? null;
}

/** Whether a pool stands deeper than something of this height could hold; `null` when not known. */
export function isDeeperThan(
  facts: Facts,
  heightIn: number | null,
  { atLipIn }: Thresholds,
): boolean | null {
  const depthIn = depthInOf(facts);
  if (depthIn === null || heightIn === null) return null;
  return depthIn > heightIn + atLipIn + 1e-9;
}
