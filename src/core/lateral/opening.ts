import { clamp } from '../base/numbers';
import type { DefectKind } from '../catalogue/defects/index';
import { specOf } from '../catalogue/defects/kinds';
import { wettedAreaRatio } from './fill';

/** What is left of the pipe at an obstruction. */
export type Opening = {
  /** The largest round thing that passes, inches. */
  readonly clearIn: number;
  /** Share of the full bore's capacity, running full, that a pipe of that bore would have (0 to 1). */
  readonly capacityRatio: number;
};

/**
 * The opening that an obstruction leaves, or `null` for a kind that takes none of the pipe or when
 * its size is not known.
 *
 * All round, a share `a` of the area leaves `D·√(1 − a)`. From one side it is a segment of that area,
 * whose height is taken off the bore. A lip and an offset take their height. Capacity by Manning for a
 * pipe running full, `Q ∝ d^(8/3)`: the same slope and roughness, so a comparison and no flow.
 */
export function openingLeft(
  kind: DefectKind,
  boreIn: number | null,
  size: { readonly extentRatio: number | null; readonly heightIn: number | null },
): Opening | null {
  if (boreIn === null) return null;
  const clearIn = clearOf(kind, boreIn, size.extentRatio, size.heightIn);
  if (clearIn === null) return null;
  return { clearIn, capacityRatio: (clearIn / boreIn) ** (8 / 3) };
}

function clearOf(
  kind: DefectKind,
  boreIn: number,
  extentRatio: number | null,
  heightIn: number | null,
): number | null {
  const leaves = specOf(kind).size?.leaves;
  if (leaves === 'height') {
    return heightIn === null ? null : Math.max(0, boreIn - heightIn);
  }
  if (extentRatio === null) return null;
  const share = clamp(extentRatio, 0, 1);
  if (leaves === 'round') return boreIn * Math.sqrt(1 - share);
  if (leaves === 'across') return boreIn * (1 - share);
  return leaves === 'one-sided' ? boreIn * (1 - segmentHeightRatio(share)) : null;
}

/** Height ÷ bore of the segment of a circle that holds a share of its area; by halving, to 1e-6. */
export function segmentHeightRatio(areaRatio: number): number {
  let [low, high] = [0, 1];
  for (let step = 0; step < 20; step += 1) {
    const middle = (low + high) / 2;
    if (wettedAreaRatio(middle) < areaRatio) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}
