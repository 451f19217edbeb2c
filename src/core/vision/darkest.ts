import type { Point } from '../still/lens';
import type { PipeFit } from '../still/pipe-fit';
import { type Grey, isOn, lightAt } from './grey';

const STEPS = 24;
/** Looked for within this share of the edge's radius: the wall at the joint is nearer than the end. */
const WITHIN = 0.7;
const AROUND = [-0.04, 0, 0.04];

/** Where the pipe vanishes: the darkest place within its edge, taken over a small square. */
export function darkestIn(grey: Grey, { centre, radius }: PipeFit): Point {
  let best = { x: centre.x, y: centre.y, light: Infinity };
  for (let row = -STEPS; row <= STEPS; row += 1) {
    for (let column = -STEPS; column <= STEPS; column += 1) {
      const x = centre.x + (radius * WITHIN * column) / STEPS;
      const y = centre.y + (radius * WITHIN * row) / STEPS;
      if (Math.hypot(row, column) > STEPS || !isOn(grey, x, y)) continue;
      let light = 0;
      for (const dx of AROUND)
        for (const dy of AROUND) light += lightAt(grey, x + dx * radius, y + dy * radius);
      if (light < best.light) best = { x, y, light };
    }
  }
  return { x: best.x, y: best.y };
}
