/** A hash of three whole numbers, 0 to 1. */
export function hash3(x: number, y: number, z: number): number {
  let h = (Math.imul(x, 374761393) + Math.imul(y, 668265263) + Math.imul(z, 2147483647)) | 0;
  h = Math.imul(h ^ (h >>> 13), 1274126177);
  return ((h ^ (h >>> 16)) >>> 0) / 4_294_967_296;
}

const ease = (t: number) => t * t * (3 - 2 * t);

/** Smooth noise in space, 0 to 1; one bump to the unit. */
export function noise3(x: number, y: number, z: number): number {
  const [xi, yi, zi] = [Math.floor(x), Math.floor(y), Math.floor(z)];
  const [u, v, w] = [ease(x - xi), ease(y - yi), ease(z - zi)];
  const at = (dx: number, dy: number, dz: number) => hash3(xi + dx, yi + dy, zi + dz);
  const mix = (a: number, b: number, t: number) => a + (b - a) * t;
  return mix(
    mix(mix(at(0, 0, 0), at(1, 0, 0), u), mix(at(0, 1, 0), at(1, 1, 0), u), v),
    mix(mix(at(0, 0, 1), at(1, 0, 1), u), mix(at(0, 1, 1), at(1, 1, 1), u), v),
    w,
  );
}

/** Noise with finer noise in it, 0 to 1. */
export function rough3(x: number, y: number, z: number, octaves = 3): number {
  let sum = 0;
  let weight = 0.5;
  for (let octave = 0; octave < octaves; octave += 1) {
    const scale = 2 ** octave;
    sum += weight * noise3(x * scale + 17 * octave, y * scale, z * scale);
    weight /= 2;
  }
  return sum / (1 - 0.5 ** octaves);
}

/** Distance to the nearest of points scattered one to the unit, 0 to about 1, and that point's own number. */
export function stones3(
  x: number,
  y: number,
  z: number,
): { readonly apart: number; readonly own: number } {
  let apart = 9;
  let own = 0;
  const [xi, yi, zi] = [Math.floor(x), Math.floor(y), Math.floor(z)];
  for (let dx = -1; dx <= 1; dx += 1)
    for (let dy = -1; dy <= 1; dy += 1)
      for (let dz = -1; dz <= 1; dz += 1) {
        const [cx, cy, cz] = [xi + dx, yi + dy, zi + dz];
        const px = cx + hash3(cx, cy, cz);
        const py = cy + hash3(cx + 51, cy, cz);
        const pz = cz + hash3(cx, cy + 51, cz);
        const away = Math.hypot(px - x, py - y, pz - z);
        if (away < apart) {
          apart = away;
          own = hash3(cx, cy, cz + 51);
        }
      }
  return { apart, own };
}

/** 0 below `low`, 1 above `high`, smooth between. */
export function rise(low: number, high: number, value: number): number {
  return ease(Math.min(1, Math.max(0, (value - low) / (high - low))));
}
