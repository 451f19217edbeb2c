import type { Tone } from '#core/catalogue/material';
import type { Material } from '#core/catalogue/materials/index';
import type { Primitive, Role } from '#core/section/primitives';

/** How a shape is filled and stroked on paper: the Daylight colours. */
export type Paint = {
  readonly fill?: string;
  readonly stroke?: string;
  readonly strokeWidth?: number;
  readonly strokeDasharray?: string;
  readonly opacity?: number;
};

export const INK = '#23282c';
export const INK_2 = '#565e64';
export const HAIRLINE = '#d9d2c3';
export const CARD = '#fbf9f4';
export const SKY = '#f5f2eb';
const WALL = INK;

/** Ground and mark of each family of materials. */
export const TONES: Readonly<Record<Tone, readonly [ground: string, mark: string]>> = {
  clay: ['#d9976a', '#a8653a'],
  iron: ['#a9877a', '#5b433b'],
  concrete: ['#c4c1b8', '#8a877d'],
  fiber: ['#b7a184', '#6a563a'],
  abs: ['#6d757a', '#3f474c'],
  pvc: ['#eeeeea', '#c9c8c0'],
  steel: ['#b9c3c9', '#7a878f'],
  liner: ['#e7e4c8', '#a59d62'],
  unknown: ['#e3ded2', '#a49d8c'],
};

const line = (stroke: string, strokeWidth: number, more: Paint = {}): Paint => ({
  stroke,
  strokeWidth,
  ...more,
});

const PAINTS: Partial<Record<Role, Paint>> = {
  'soil-above': { fill: '#e6dac2' },
  'soil-below': { fill: '#dccbab' },
  'zone-divider': line(INK_2, 1, { strokeDasharray: '2 4', opacity: 0.5 }),
  'surface-green': { fill: '#7c9a54' },
  'surface-hard': { fill: '#a9a69c' },
  'surface-road': { fill: '#5d6468' },
  house: line(INK_2, 1, { fill: CARD }),
  'pipe-wall': line(WALL, 1.6),
  'pipe-joint': line('#a8653a', 1),
  unreached: line(WALL, 1.6, { strokeDasharray: '2 5' }),
  water: { fill: '#3f7fa6' },
  'water-surface': line('#2b6486', 1.4),
  root: line('#56712f', 1.5),
  lip: { fill: WALL },
  tee: line(WALL, 1.4, { fill: CARD }),
  riser: line(WALL, 1.4, { fill: CARD }),
  'riser-cap': { fill: WALL },
  main: line(WALL, 3, { fill: CARD }),
  'main-unsure': line(WALL, 2, { fill: CARD, strokeDasharray: '3 4' }),
  'property-line': line(INK, 1.4, { strokeDasharray: '8 4 2 4' }),
  'tree-crown': { fill: '#7c9a54' },
  'tree-trunk': { fill: '#6f4e2c' },
  leader: line(INK, 1),
  scale: line(INK_2, 1),
  'flake-slight': line(CARD, 1.4, { fill: '#6f6a58' }),
  'flake-moderate': line(CARD, 1.4, { fill: '#94610f' }),
  'flake-major': line(CARD, 1.4, { fill: '#a5481f' }),
  'flake-failed': line(CARD, 1.4, { fill: '#6e1423' }),
};

/** The paint of a role; what lies under a pattern is painted by the pattern. */
export const paintOf = (role: Role): Paint => PAINTS[role] ?? {};

/** The material whose pattern fills a shape; `null` where none does. */
export const materialOfRole = (role: Role): Material | null =>
  (/^pipe-fill-(.+)$/.exec(role)?.[1] as Material | undefined) ?? null;

type TextPrimitive = Extract<Primitive, { shape: 'text' }>;
type Lettering = {
  readonly fontSize: number;
  readonly fill: string;
  readonly isBold: boolean;
  readonly isReading?: boolean;
};

/** How each kind of label is set. */
export const LETTERING: Readonly<Record<TextPrimitive['role'], Lettering>> = {
  'zone-label': { fontSize: 11, fill: INK_2, isBold: true },
  'pipe-label': { fontSize: 13, fill: INK, isBold: true },
  'access-label': { fontSize: 13, fill: INK, isBold: true },
  'line-label': { fontSize: 12, fill: INK_2, isBold: true },
  'main-label': { fontSize: 12, fill: INK, isBold: true },
  'scale-label': { fontSize: 12, fill: INK_2, isBold: false, isReading: true },
  'flake-label': { fontSize: 12, fill: '#ffffff', isBold: true },
  'flake-label-long': { fontSize: 9, fill: '#ffffff', isBold: true },
};
