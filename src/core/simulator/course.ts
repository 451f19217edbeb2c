import { memoOf } from '../base/memo';
import { levelAtIn } from './line-geometry';
import { invertAtIn, pathPipeAt, type RigPath } from './path';
import type { LateralTruth, TruthLine } from './truth';

/** Where the bore's invert runs in space, feet; z is up. Directions in radians. */
export type CoursePoint = {
  readonly x: number;
  readonly y: number;
  readonly z: number;
  /** Direction in plan, clockwise from the x axis seen from above. */
  readonly yaw: number;
  /** Rise of the way, −π/2 straight down. */
  readonly pitch: number;
};

const STEP_FT = 0.1;
/** Corners of the profile are rounded over this much on either side, feet. */
const ROUND_FT = 0.3;

/** Follows a way through space from its rim; points every tenth of a foot. */
export const followCourse = memoOf((path: RigPath): readonly CoursePoint[] => {
  const count = Math.ceil(path.lengthFt / STEP_FT) + 1;
  const bends = path.bends.map(({ atFt, angleDeg, turn, radiusIn }) => {
    const angle = (angleDeg * Math.PI) / 180;
    const halfFt = Math.max(STEP_FT, (angle * radiusIn) / 24);
    return { fromFt: atFt - halfFt, toFt: atFt + halfFt, angle: angle * turn };
  });
  const yawAt = (atFt: number) =>
    bends.reduce((yaw, { fromFt, toFt, angle }) => {
      const share = Math.min(1, Math.max(0, (atFt - fromFt) / (toFt - fromFt)));
      return yaw + angle * share;
    }, 0);
  const roundFt = (atFt: number) =>
    Math.abs(atFt - path.access.dropFt) < 1.2
      ? Math.max(ROUND_FT, path.access.bendRadiusIn / 12)
      : ROUND_FT;
  const pitchAt = (atFt: number) => {
    const reachFt = roundFt(atFt);
    let sum = 0;
    // Mean direction over a short way round the place: a corner becomes a curve.
    for (let part = -4; part < 4; part += 1) {
      const fromFt = clampTo(path, atFt + (part / 4) * reachFt);
      const toFt = clampTo(path, atFt + ((part + 1) / 4) * reachFt);
      const fallFt = (invertAtIn(path, toFt) - invertAtIn(path, fromFt)) / 12;
      const run = toFt - fromFt;
      sum += run > 0 ? Math.asin(Math.min(1, Math.max(-1, fallFt / run))) : 0;
    }
    return sum / 8;
  };
  const points: CoursePoint[] = [];
  let [x, y, z] = [0, 0, 0];
  for (let index = 0; index < count; index += 1) {
    const yaw = yawAt(index * STEP_FT);
    const pitch = pitchAt(index * STEP_FT);
    points.push({ x, y, z, yaw, pitch });
    x += STEP_FT * Math.cos(pitch) * Math.cos(yaw);
    y += STEP_FT * Math.cos(pitch) * Math.sin(yaw);
    z += STEP_FT * Math.sin(pitch);
  }
  return points;
});

function clampTo(path: RigPath, atFt: number): number {
  return Math.min(path.lengthFt, Math.max(0, atFt));
}

/** The course at a distance from the rim; beyond either end it goes straight on. */
export function courseAt(path: RigPath, atFt: number): CoursePoint {
  const points = followCourse(path);
  const at = atFt / STEP_FT;
  const low = Math.min(points.length - 2, Math.max(0, Math.floor(at)));
  const from = points[low]!;
  const to = points[low + 1]!;
  const share = at - low;
  const mix = (a: number, b: number) => a + share * (b - a);
  const turn = Math.min(1, Math.max(0, share));
  return {
    x: mix(from.x, to.x),
    y: mix(from.y, to.y),
    z: mix(from.z, to.z),
    yaw: from.yaw + turn * (to.yaw - from.yaw),
    pitch: from.pitch + turn * (to.pitch - from.pitch),
  };
}

/** Bore at a distance from the rim, feet. */
export function boreAtFt(path: RigPath, atFt: number): number {
  return pathPipeAt(path, atFt).diameterIn / 12;
}

/** A place in plan, feet: x along the street's normal, y to the right of it. */
export type PlanPoint = { readonly xFt: number; readonly yFt: number };

/** Where a station of a line lies in plan. The first line begins at 0, 0; one that joins ends on the other. */
export function planAt(truth: LateralTruth, lineId: string, stationFt: number): PlanPoint {
  const line = truth.lines.find(({ id }) => id === lineId);
  if (!line) throw new Error(`Lateral ${truth.id} has no line ${lineId}`);
  const at = walkPlan(line, stationFt);
  if (!line.joins) return at;
  const join = planAt(truth, line.joins.lineId, line.joins.atFt);
  const end = walkPlan(line, line.lengthFt);
  return { xFt: join.xFt - end.xFt + at.xFt, yFt: join.yFt - end.yFt + at.yFt };
}

/** Walks a line from its upstream end: falls and drops shorten its way in plan. */
function walkPlan(line: TruthLine, stationFt: number): PlanPoint {
  const bends = line.features
    .filter(({ feature, turns }) => feature === 'bend' && /left|right/.test(turns ?? ''))
    .map(({ atFt, angleDeg = 45, turns = '' }) => ({
      atFt,
      angleDeg: turns.includes('right') ? angleDeg : -angleDeg,
    }));
  const cuts = [
    ...new Set([0, stationFt, ...bends.map(({ atFt }) => atFt), ...line.invert.map(([at]) => at)]),
  ]
    .filter((atFt) => atFt <= stationFt)
    .sort((a, b) => a - b);
  let [xFt, yFt] = [0, 0];
  cuts.slice(1).forEach((toFt, index) => {
    const fromFt = cuts[index]!;
    const turned = bends
      .filter(({ atFt }) => atFt <= fromFt)
      .reduce((sum, one) => sum + one.angleDeg, 0);
    const angle = ((line.headingDeg + turned) * Math.PI) / 180;
    const fallFt = (levelAtIn(line.invert, toFt) - levelAtIn(line.invert, fromFt)) / 12;
    const planFt = Math.sqrt(Math.max(0, (toFt - fromFt) ** 2 - fallFt ** 2));
    xFt += planFt * Math.cos(angle);
    yFt += planFt * Math.sin(angle);
  });
  return { xFt, yFt };
}
