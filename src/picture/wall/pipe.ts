import type { Material } from '#core/catalogue/materials/index';
import { noise3, rise, rough3, stones3 } from '../noise';
import { type Colour, hoursApart, inSpace, RUST, tint, upOf, VOID, type WallPoint } from './point';

type Look = {
  readonly colour: Colour;
  readonly gloss: number;
  readonly grain: number;
  /** What is particular to the material. */
  readonly own?: (point: WallPoint) => void;
};

/** How the inside of a clean pipe of each material looks. */
const LOOKS: Readonly<Record<Material, Look>> = {
  'vitrified-clay': {
    colour: [0.56, 0.3, 0.2],
    gloss: 0.45,
    grain: 0.6,
    own: (point) => {
      const [x, y, z] = inSpace(point, 5);
      tint(point, [0.42, 0.17, 0.09], 0.7 * rise(0.45, 0.75, rough3(x, y, z * 0.25)));
    },
  },
  'cast-iron': {
    colour: [0.2, 0.15, 0.125],
    gloss: 0.16,
    grain: 1,
    own: (point) => {
      const [x, y, z] = inSpace(point, 9);
      const rust = rough3(x, y, z);
      tint(point, RUST, 0.75 * rise(0.5, 0.72, rust));
      point.radiusFt -= 0.006 * rise(0.45, 0.8, rust);
    },
  },
  'ductile-iron': {
    colour: [0.4, 0.39, 0.35],
    gloss: 0.1,
    grain: 0.5,
    own: (point) => {
      // Its mortar lining was spun in: faint rings, and rust that bleeds through at the bottom.
      tint(point, [0.3, 0.29, 0.27], 0.5 * rise(0.4, 0.6, noise3(1, 1, point.atFt * 24)));
      const [x, y, z] = inSpace(point, 3);
      tint(point, RUST, 0.8 * rise(0.62, 0.72, rough3(x, y, z)));
    },
  },
  concrete: {
    colour: [0.52, 0.49, 0.44],
    gloss: 0.05,
    grain: 1,
    own: (point) => {
      const [x, y, z] = inSpace(point, 30);
      const grit = noise3(x, y, z);
      tint(point, [0.3, 0.28, 0.25], 0.8 * rise(0.62, 0.8, grit));
      tint(point, [0.68, 0.65, 0.6], 0.6 * rise(0.7, 0.85, 1 - grit));
    },
  },
  'asbestos-cement': {
    colour: [0.66, 0.69, 0.71],
    gloss: 0.12,
    grain: 0.25,
    own: (point) => {
      // Wound on a mandrel: smooth, with fine lines along.
      const line = noise3(point.clock * 9, 3, point.atFt * 0.5);
      tint(point, [0.5, 0.53, 0.56], 0.35 * rise(0.6, 0.8, line));
    },
  },
  'bituminous-fiber': {
    colour: [0.105, 0.078, 0.058],
    gloss: 0.08,
    grain: 1,
    own: (point) => {
      const [x, y, z] = inSpace(point, 10);
      tint(point, [0.27, 0.18, 0.1], 0.8 * rise(0.6, 0.75, rough3(x, y, z * 0.3)));
      point.radiusFt -= 0.01 * rise(0.55, 0.9, noise3(x * 0.4, y * 0.4, z * 0.2));
    },
  },
  abs: { colour: [0.05, 0.05, 0.055], gloss: 0.95, grain: 0.05 },
  pvc: { colour: [0.86, 0.87, 0.83], gloss: 0.4, grain: 0.12 },
  hdpe: {
    colour: [0.075, 0.085, 0.1],
    gloss: 0.3,
    grain: 0.3,
    own: (point) => {
      // Coloured stripes run along it, drawn in when it was made.
      for (const clock of [2, 6, 10]) {
        tint(point, [0.12, 0.32, 0.62], 1 - rise(0.1, 0.18, hoursApart(point.clock, clock)));
      }
    },
  },
  'galvanized-steel': {
    colour: [0.56, 0.58, 0.6],
    gloss: 0.6,
    grain: 0.2,
    own: (point) => {
      // Zinc crystals: flat patches, each of its own shade.
      const { own, apart } = stones3(...inSpace(point, 16));
      const shade = 0.38 + 0.4 * own;
      tint(point, [shade, shade * 1.02, shade * 1.05], 0.9);
      tint(point, RUST, 0.8 * rise(0.72, 0.9, rough3(...inSpace(point, 2.5))) + 0.1 * apart);
    },
  },
  lead: {
    colour: [0.33, 0.35, 0.4],
    gloss: 0.3,
    grain: 0.3,
    own: (point) => {
      // Soft: dented and wavy, never quite round.
      const [x, y, z] = inSpace(point, 3.2);
      const dent = noise3(x, y, z * 0.5);
      point.radiusFt *= 0.9 + 0.14 * dent;
      tint(point, [0.68, 0.7, 0.74], 0.7 * rise(0.6, 0.8, dent));
    },
  },
  liner: {
    colour: [0.6, 0.69, 0.63],
    gloss: 0.75,
    grain: 0.2,
    own: (point) => {
      // Cured cloth: lengthwise folds, thickest at the bottom.
      const fold = Math.abs(Math.sin(point.clock * 2.1 + 1.4 * noise3(2, 5, point.atFt * 0.7)));
      const lower = rise(-0.2, 0.9, -upOf(point.clock));
      point.radiusFt -= 0.014 * lower * rise(0.86, 1, fold) + 0.004;
      tint(point, [0.78, 0.83, 0.74], 0.6 * lower * rise(0.85, 1, fold));
      tint(point, [0.5, 0.6, 0.55], 0.5 * rise(0.5, 0.7, noise3(...inSpace(point, 6))));
    },
  },
  unknown: { colour: [0.4, 0.38, 0.35], gloss: 0.1, grain: 0.6 },
};

/** Gives a point the look of clean pipe. */
export function layPipe(point: WallPoint, material: Material): void {
  const { colour, gloss, grain, own } = LOOKS[material];
  [point.red, point.green, point.blue] = colour;
  point.gloss = gloss;
  point.grain = grain;
  own?.(point);
  if (material === 'abs' || material === 'pvc') return;
  // Slime where it is mostly wet.
  const low = rise(0.75, 1, -upOf(point.clock));
  tint(point, [0.1, 0.08, 0.06], 0.35 * low);
  point.gloss = Math.max(point.gloss, 0.4 * low);
}

/** How a joint of each material shows. */
export function layJoint(point: WallPoint, material: Material, awayFt: number): void {
  const near = (halfFt: number) => 1 - rise(halfFt * 0.7, halfFt, Math.abs(awayFt));
  switch (material) {
    case 'hdpe': {
      // Butt-welded: two beads stand up side by side.
      const bead = Math.max(near2(awayFt - 0.018, 0.018), near2(awayFt + 0.018, 0.018));
      point.radiusFt -= 0.022 * bead;
      tint(point, [0.14, 0.15, 0.17], bead);
      return;
    }
    case 'abs':
    case 'pvc':
      point.radiusFt += 0.008 * near(0.02);
      {
        tint(point, material === 'abs' ? [0.3, 0.3, 0.32] : [0.45, 0.45, 0.42], 0.8 * near(0.018));
        return;
      }
    case 'asbestos-cement':
      point.radiusFt += 0.02 * near(0.04);
      {
        tint(point, [0.25, 0.26, 0.27], 0.9 * near(0.035));
        return;
      }
    case 'cast-iron':
    case 'galvanized-steel':
    case 'ductile-iron':
      point.radiusFt += 0.016 * near(0.03);
      tint(point, RUST, 0.7 * near(0.09));
      {
        tint(point, VOID, 0.8 * near(0.025));
        return;
      }
    case 'liner':
    case 'lead':
      return undefined;
    default:
      // A groove between two rims, packed with mortar or dirt.
      tint(
        point,
        [point.red * 1.3 + 0.06, point.green * 1.3 + 0.06, point.blue * 1.3 + 0.06],
        0.8 * near(0.1),
      );
      point.radiusFt += 0.024 * near(0.05);
      {
        tint(point, VOID, 0.95 * near(0.05));
        return;
      }
  }
}

const near2 = (awayFt: number, halfFt: number) => 1 - rise(0, halfFt, Math.abs(awayFt));
