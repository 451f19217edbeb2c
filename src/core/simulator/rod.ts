import { memoOf } from '../base/memo';
import { materialOf } from '../catalogue/materials/kinds';
import type { Equipment } from '../site/equipment';
import { capstanRatio, HEAD_DRAG_LB, SKID_DRAG_LB } from '../site/reach';
import { pathPipeAt, type RigPath } from './path';

/** What rides on the rod. */
export type RodSetup = {
  readonly headDiameterIn: number;
  readonly aid: 'none' | 'skid' | 'guide';
};

/** Flexural rigidity of a push rod, lb·in²: about 0.4 in of glass fiber (E 5·10⁶ psi). An assumption. */
const STIFFNESS_LB_SQ_IN = 6000;
const ROD_DIAMETER_IN = 0.5;
/** Length over which the rod's load is summed, feet. */
const STEP_FT = 0.5;
/** A wet rod slides easier, and the water carries part of its weight (glass fiber weighs twice water). */
const WET_FRICTION = 0.85;
const BUOYED_WEIGHT = 0.5;
/** How much each share of the pipe in scale, debris or roots adds to friction. */
const ROUGH_PER_SHARE = 1.2;
/** Grease clings: it adds this much for each share of the pipe. */
const GREASE_PER_SHARE = 1.5;
/** Friction of a wall that has lost its surface. */
const WORN_FRICTION = 1.25;
/** A guide keeps the head off the wall at joints: less drag than bare, more than a skid. */
const GUIDE_DRAG_LB = 2;

/** Depth of water at a distance from the rim, inches. */
export type DepthOnWay = (atFt: number) => number;

/** Friction between rod and wall at a place, no unit: the material's, and what lies on it. */
export function frictionAt(path: RigPath, atFt: number): number {
  const pipe = pathPipeAt(path, atFt);
  let factor = 1;
  for (const thing of path.things) {
    if (thing.kind !== 'defect' || thing.fromFt > atFt || thing.toFt < atFt - STEP_FT) continue;
    const share = thing.what.extentRatio ?? 0.1;
    switch (thing.what.defect) {
      case 'grease':
        factor += GREASE_PER_SHARE * share;
        break;
      case 'scale':
      case 'debris':
      case 'mineral':
      case 'roots':
        factor += ROUGH_PER_SHARE * share;
        break;
      case 'wall-loss':
      case 'spalling':
        factor *= WORN_FRICTION;
        break;
      default:
        break;
    }
  }
  return materialOf(pipe.material).friction * factor;
}

/** Friction step by step along the way: it depends on nothing that moves. */
const frictionsOf = memoOf((path: RigPath) =>
  Float64Array.from({ length: Math.ceil(path.lengthFt / STEP_FT) + 1 }, (_, step) =>
    frictionAt(path, (step + 0.5) * STEP_FT),
  ),
);

/** Pull or push that the head itself takes to move, pounds. */
export function headDragLb({ aid }: RodSetup): number {
  return aid === 'skid' ? SKID_DRAG_LB : aid === 'guide' ? GUIDE_DRAG_LB : HEAD_DRAG_LB;
}

/** The load in a rod that is just moving. */
export type RodLoad = {
  /** Push needed at the rim, pounds. */
  readonly needLb: number;
  /** Cable that snakes in the bore beyond the way it covers, feet. */
  readonly slackFt: number;
};

/**
 * Push that it takes to move the head on, and the slack that this push leaves in the rod.
 *
 * From the head back to the rim: along a straight the push grows by friction, `dP = μ·w·dL`; at a bend it
 * grows by the capstan relation `P₂ = P₁·e^(μθ)` (Euler, Eytelwein). Down a drop the rod's own weight
 * helps. A rod in compression lies as a helix against the wall and is longer than its way by
 * `r²·P/(4·E·I)` for each foot (Lubinski, Althouse and Logan, 1962), r the clearance.
 *
 * @param headFt distance of the head from the rim, feet.
 */
export function loadRod(
  path: RigPath,
  headFt: number,
  setup: RodSetup,
  equipment: Pick<Equipment, 'rodLbPerFt'>,
  depthIn: DepthOnWay,
): RodLoad {
  let pushLb = headDragLb(setup);
  let slackFt = 0;
  const frictions = frictionsOf(path);
  for (let atFt = headFt; atFt > 0; atFt -= STEP_FT) {
    const lengthFt = Math.min(STEP_FT, atFt);
    const pipe = pathPipeAt(path, atFt - lengthFt / 2);
    const isWet = depthIn(atFt - lengthFt / 2) > ROD_DIAMETER_IN;
    const step = Math.floor((atFt - lengthFt / 2) / STEP_FT);
    const friction = frictions[step]! * (isWet ? WET_FRICTION : 1);
    const weightLb = equipment.rodLbPerFt * (isWet ? BUOYED_WEIGHT : 1) * lengthFt;
    // Hanging in a riser the rod neither leans on the wall nor has to be lifted.
    pushLb = pipe.inRiser ? Math.max(0, pushLb - weightLb) : pushLb + friction * weightLb;
    for (const bend of path.bends) {
      if (bend.atFt <= atFt && bend.atFt > atFt - lengthFt) {
        pushLb /= capstanRatio(friction, bend.angleDeg);
      }
    }
    const clearanceIn = Math.max(0, (pipe.diameterIn - ROD_DIAMETER_IN) / 2);
    slackFt += (lengthFt * clearanceIn ** 2 * pushLb) / (4 * STIFFNESS_LB_SQ_IN);
  }
  return { needLb: pushLb, slackFt };
}

/**
 * How far a hand can push the head before friction holds it, feet from the rim; what blocks the bore is
 * not looked at.
 */
export function reachByFrictionFt(
  path: RigPath,
  setup: RodSetup,
  equipment: Pick<Equipment, 'rodLbPerFt' | 'rodFt' | 'pushLb'>,
  depthIn: DepthOnWay = () => 0,
): number {
  const farthestFt = Math.min(path.lengthFt, equipment.rodFt);
  const canReach = (atFt: number) =>
    loadRod(path, atFt, setup, equipment, depthIn).needLb <= equipment.pushLb;
  if (canReach(farthestFt)) return farthestFt;
  let low = 0;
  let high = farthestFt;
  while (high - low > 0.05) {
    const middle = (low + high) / 2;
    if (canReach(middle)) low = middle;
    else high = middle;
  }
  return low;
}
