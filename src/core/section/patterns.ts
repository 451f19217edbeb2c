import type { Material } from '../log/vocabulary';

/** The colour family of a material; a printer knows its ground and its mark. */
export type Tone =
  'clay' | 'iron' | 'concrete' | 'fiber' | 'abs' | 'pvc' | 'steel' | 'liner' | 'unknown';

/** Corners of a stroke, x and y by turns. */
type Stroke = readonly number[];

/** One tile of a pattern, drawing units: strokes from corner to corner, dots as x, y and radius. */
export type Tile = {
  readonly width: number;
  readonly height: number;
  readonly tone: Tone;
  readonly strokes: readonly Stroke[];
  readonly dots: readonly (readonly [x: number, y: number, radius: number])[];
};

const tile = (
  width: number,
  height: number,
  tone: Tone,
  strokes: readonly Stroke[],
  dots: Tile['dots'] = [],
): Tile => ({ width, height, tone, strokes, dots });

/** Each material has a pattern of its own, like rock in a geological column: colour only helps. */
export const MATERIAL_TILES: Readonly<Record<Material, Tile>> = {
  'vitrified-clay': tile(14, 8, 'clay', [[0, 7.5, 14, 7.5]]),
  'cast-iron': tile(
    8,
    8,
    'iron',
    [],
    [
      [2, 2, 1.1],
      [6, 6, 1.1],
    ],
  ),
  'ductile-iron': tile(
    10,
    10,
    'iron',
    [],
    [
      [3, 3, 1.9],
      [8, 8, 1.9],
    ],
  ),
  concrete: tile(
    14,
    12,
    'concrete',
    [],
    [
      [3, 3, 1.6],
      [9, 8, 2],
      [12, 2, 0.9],
      [5, 10, 0.8],
    ],
  ),
  'asbestos-cement': tile(8, 8, 'concrete', [
    [0, 0, 8, 8],
    [8, 0, 0, 8],
  ]),
  'bituminous-fiber': tile(12, 6, 'fiber', [
    [0, 3, 1.5, 1.9, 3, 1.5, 4.5, 1.9, 6, 3, 7.5, 4.1, 9, 4.5, 10.5, 4.1, 12, 3],
  ]),
  abs: tile(10, 5, 'abs', [[0, 2.5, 10, 2.5]]),
  pvc: tile(24, 10, 'pvc', [[4, 5, 14, 5]]),
  hdpe: tile(10, 10, 'abs', [[0, 10, 10, 0]]),
  'galvanized-steel': tile(5, 10, 'steel', [[2.5, 0, 2.5, 10]]),
  lead: tile(6, 6, 'steel', [[0, 0, 6, 6]]),
  liner: tile(12, 8, 'liner', [
    [0, 2, 12, 2],
    [0, 6, 12, 6],
  ]),
  unknown: tile(9, 9, 'unknown', [[2, 7, 7, 2]]),
};

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
