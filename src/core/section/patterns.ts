import type { Stroke, Tile } from '../catalogue/material';

/** The hatch of what nobody could see. */
export const UNSEEN_TILE = {
  width: 7,
  height: 7,
  strokes: [
    [-1, 8, 8, -1],
    [-1, 1, 1, -1],
    [6, 8, 8, 6],
  ],
  dots: [],
} as const satisfies Omit<Tile, 'tone'>;

/** A tile's strokes as one SVG path, moved by x and y. */
export function pathOfStrokes(strokes: readonly Stroke[], dx = 0, dy = 0): string {
  const at = (x: number, y: number) => `${x + dx} ${y + dy}`;
  return strokes
    .map((corners) => {
      const points = corners.flatMap((x, index) =>
        index % 2 === 0 ? [at(x, corners[index + 1]!)] : [],
      );
      return `M${points.join('L')}`;
    })
    .join('');
}

/** A tile's dots as one SVG path of circles, moved by x and y. */
export function pathOfDots(dots: Tile['dots'], dx = 0, dy = 0): string {
  return dots
    .map(
      ([x, y, r]) =>
        `M${x + dx - r} ${y + dy}a${r} ${r} 0 1 0 ${2 * r} 0a${r} ${r} 0 1 0 ${-2 * r} 0Z`,
    )
    .join('');
}
