/** A picture by its brightness alone, row by row from the top, 0 to 255. */
export type Grey = {
  readonly width: number;
  readonly height: number;
  readonly light: Float32Array;
};

/** Parts of brightness that red, green and blue have (ITU-R BT.601). */
/** Light of red, green and blue together under which a colour is grain. */
const DARK_SUM = 40;
const [RED, GREEN, BLUE] = [0.299, 0.587, 0.114] as const;

/** A picture of four bytes a point, as a canvas gives it, by its brightness. */
export function greyOf(rgba: Uint8ClampedArray | Uint8Array, width: number, height: number): Grey {
  const light = new Float32Array(width * height);
  for (let index = 0; index < light.length; index += 1) {
    const at = index * 4;
    light[index] = RED * rgba[at]! + GREEN * rgba[at + 1]! + BLUE * rgba[at + 2]!;
  }
  return { width, height, light };
}

/** Parts of its red and of its blue in a picture's light, times 255, row by row: its colour, however near the lamp is. */
function tonesOf(rgba: Uint8ClampedArray, width: number, height: number): Grey[] {
  return [0, 2].map((part) => {
    const light = new Float32Array(width * height);
    for (let index = 0; index < light.length; index += 1) {
      const at = index * 4;
      const sum = rgba[at]! + rgba[at + 1]! + rgba[at + 2]!;
      light[index] = (255 * rgba[at + part]!) / Math.max(DARK_SUM, sum);
    }
    return { width, height, light };
  });
}

/** A picture's brightness and its tones, smoothed. */
export const planesOf = (rgba: Uint8ClampedArray, width: number, height: number): Grey[] =>
  [greyOf(rgba, width, height), ...tonesOf(rgba, width, height)].map(smooth);

/** Smoothed by a small bell (1 4 6 4 1 both ways): grain goes, edges stay. */
export function smooth({ width, height, light }: Grey): Grey {
  const pass = (from: Float32Array, stepX: number, stepY: number) => {
    const to = new Float32Array(from.length);
    for (let y = 0; y < height; y += 1) {
      for (let x = 0; x < width; x += 1) {
        const at = (by: number) => {
          const px = Math.min(width - 1, Math.max(0, x + by * stepX));
          const py = Math.min(height - 1, Math.max(0, y + by * stepY));
          return from[py * width + px]!;
        };
        to[y * width + x] = (at(-2) + 4 * at(-1) + 6 * at(0) + 4 * at(1) + at(2)) / 16;
      }
    }
    return to;
  };
  return { width, height, light: pass(pass(light, 1, 0), 0, 1) };
}

/**
 * Brightness between points, straight from its four neighbours.
 *
 * @param x and y: half heights from the middle, y down.
 */
export function lightAt({ width, height, light }: Grey, x: number, y: number): number {
  const px = Math.min(width - 1.001, Math.max(0, (x * height) / 2 + (width - 1) / 2));
  const py = Math.min(height - 1.001, Math.max(0, (y * height) / 2 + (height - 1) / 2));
  const [ix, iy] = [Math.floor(px), Math.floor(py)];
  const [fx, fy] = [px - ix, py - iy];
  const at = iy * width + ix;
  const upper = light[at]! * (1 - fx) + light[at + 1]! * fx;
  const lower = light[at + width]! * (1 - fx) + light[at + width + 1]! * fx;
  return upper * (1 - fy) + lower * fy;
}

/** Whether a place is on the picture, a little inside its frame. */
export const isOn = ({ width, height }: Grey, x: number, y: number) =>
  Math.abs(x) < width / height - 0.02 && Math.abs(y) < 0.98;
