import type { Facts } from './grade';

/** Depth ÷ bore, from either way of saying it; `null` when it cannot be known. */
export function fillRatioOf(facts: Facts): number | null {
  if (facts.fillRatio !== null) return facts.fillRatio;
  return facts.depthIn === null || facts.boreIn === null ? null : facts.depthIn / facts.boreIn;
}

/** Depth of the water in inches, from either way of saying it; `null` when it cannot be known. */
export function depthInOf(facts: Facts): number | null {
  if (facts.depthIn !== null) return facts.depthIn;
  return facts.fillRatio === null || facts.boreIn === null ? null : facts.fillRatio * facts.boreIn;
}
