import { roundTo } from '../base/numbers';
import type { Random } from '../base/random';
import type { LocateEntry } from '../model/log/kinds/surface';
import { planAt } from './course';
import { levelAtIn } from './line-geometry';
import { type RigPath, stationAt } from './path';

/** What a locator says from above: the fields of a locate entry, without its place in the log. */
export type LocateReading = Pick<LocateEntry, 'depthIn' | 'swings' | 'groundIn' | 'blockedBy'>;

/** σ of a depth: an inch, and three parts in a hundred of the depth. An assumption on common locators. */
const DEPTH_SIGMA_IN = 1;
const DEPTH_SIGMA_RATIO = 0.03;
/** σ of the mark on the ground, feet. */
const MARK_SIGMA_FT = 0.2;
/** σ of a ground level shot from the job's datum, inches. */
const LEVEL_SIGMA_IN = 0.25;

/**
 * Finds the head from the surface.
 *
 * @param transmitterIn height of the transmitter over the invert, inches.
 * @returns depth to the head and the distances of the mark from the two nearest landmarks, or what blocks it.
 */
export function locateHead(
  path: RigPath,
  headFt: number,
  transmitterIn: number,
  random: Random,
): LocateReading {
  const at = stationAt(path, headFt);
  if (!at) return { blockedBy: 'the head is still in the riser' };
  const { line, stationFt } = at;
  const blocked = line.blocked.find(({ fromFt, toFt }) => stationFt >= fromFt && stationFt <= toFt);
  if (blocked) return { blockedBy: blocked.by };
  const groundIn = levelAtIn(line.ground, stationFt);
  const trueIn = groundIn - (levelAtIn(line.invert, stationFt) + transmitterIn);
  const sigmaIn = DEPTH_SIGMA_IN + DEPTH_SIGMA_RATIO * Math.max(0, trueIn);
  const mark = planAt(path.truth, line.id, stationFt);
  const xFt = mark.xFt + MARK_SIGMA_FT * random.normal();
  const yFt = mark.yFt + MARK_SIGMA_FT * random.normal();
  const swings = path.truth.landmarks
    .map(({ name, ...to }) => ({ from: name, distanceFt: Math.hypot(to.xFt - xFt, to.yFt - yFt) }))
    .sort((a, b) => a.distanceFt - b.distanceFt)
    .slice(0, 2)
    .map(({ from, distanceFt }) => ({ from, distanceFt: roundTo(distanceFt, 1) }));
  return {
    depthIn: Math.max(0, roundTo(trueIn + sigmaIn * random.normal(), 0)),
    groundIn: roundTo(groundIn + LEVEL_SIGMA_IN * random.normal(), 1),
    ...(swings.length === 2 ? { swings } : {}),
  };
}
