import { roundTo } from '../base/numbers';
import type { Material } from '../catalogue/materials/index';
import { materialOf } from '../catalogue/materials/kinds';
import type { Equipment } from './equipment';

/** Push that the head needs to go on over joints and lips, pounds; less than half of it on a skid. */
export const HEAD_DRAG_LB = 3;
export const SKID_DRAG_LB = 1.2;

/** What a bend leaves of a push: `e^(−μθ)`, 0 to 1; the angle in degrees. */
export function capstanRatio(friction: number, angleDeg: number): number {
  return Math.exp((-friction * angleDeg * Math.PI) / 180);
}

/** A piece of the way in: a straight, or a bend. */
export type Leg =
  | { readonly kind: 'straight'; readonly lengthFt: number; readonly material: Material }
  | { readonly kind: 'bend'; readonly angleDeg: number; readonly material: Material };

export type Reach = {
  /** How far the head is expected to get, feet of rod. */
  readonly reachFt: number;
  readonly limitedBy: 'rod' | 'friction' | 'bends';
  /** Share of the push at the access that is left after the bends on the way, 0 to 1. */
  readonly pushLeftRatio: number;
};

/**
 * Estimates how far a push rod gets.
 *
 * Along a straight the push falls by friction, `dP = −μ·w·dL`; round a bend it falls exponentially,
 * `P₂ = P₁·e^(−μθ)` (the capstan relation of Euler and Eytelwein, θ in radians; it holds for a rod
 * pushed against the outside of a bend as for a rope pulled round the inside). The head stops where the
 * push left equals its drag. The rod's own snaking between the walls is left out, so a real reach is
 * shorter.
 *
 * @param legs the way in from the access; beyond the last one the pipe is taken to go on straight in
 *   the same material.
 * @returns feet of rod, never more than the rod's length, never negative.
 */
export function estimateReach(legs: readonly Leg[], equipment: Equipment, onSkid: boolean): Reach {
  const { rodFt, rodLbPerFt, pushLb } = equipment;
  const dragLb = onSkid ? SKID_DRAG_LB : HEAD_DRAG_LB;
  let push = pushLb;
  let atFt = 0;
  let bendRatio = 1;
  const done = (reachFt: number): Reach => {
    const isRod = reachFt >= rodFt;
    return {
      reachFt: roundTo(Math.max(0, Math.min(reachFt, rodFt)), 1),
      limitedBy: isRod ? 'rod' : bendRatio < BENDS_DECIDE ? 'bends' : 'friction',
      pushLeftRatio: roundTo(bendRatio, 3),
    };
  };
  /** Feet of straight that the push left overcomes. */
  const straightLeftFt = (material: Material) =>
    Math.max(0, push - dragLb) / (materialOf(material).friction * rodLbPerFt);
  let last: Material = 'unknown';
  for (const leg of legs) {
    last = leg.material;
    if (push <= dragLb) return done(atFt);
    if (leg.kind === 'bend') {
      const factor = capstanRatio(materialOf(leg.material).friction, leg.angleDeg);
      push *= factor;
      bendRatio *= factor;
      continue;
    }
    const canFt = straightLeftFt(leg.material);
    if (canFt < leg.lengthFt) return done(atFt + canFt);
    push -= materialOf(leg.material).friction * rodLbPerFt * leg.lengthFt;
    atFt += leg.lengthFt;
  }
  return done(atFt + straightLeftFt(last));
}

/** Bends that eat more than half of the push are what limits the reach. */
const BENDS_DECIDE = 0.5;
