/** A seeded source of numbers: the same seed gives the same sequence. */
export type Random = {
  /** The next number, 0 to just under 1, evenly spread. */
  readonly next: () => number;
  /** The next number of a normal distribution with mean 0 and σ 1. */
  readonly normal: () => number;
  readonly between: (low: number, high: number) => number;
  readonly oneOf: <T>(items: readonly T[]) => T;
};

/**
 * A small generator with 32 bits of state (the "mulberry32" mixing of a Weyl sequence). Good enough for
 * slip, noise and textures; not for secrets.
 *
 * @param seed any number; its whole part is used.
 */
export function seededRandom(seed: number): Random {
  let state = Math.trunc(seed) >>> 0;
  const next = () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let mixed = Math.imul(state ^ (state >>> 15), state | 1);
    mixed ^= mixed + Math.imul(mixed ^ (mixed >>> 7), mixed | 61);
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 4_294_967_296;
  };
  return {
    next,
    // Box and Muller (1958); 1 − u keeps the logarithm finite.
    normal: () => Math.sqrt(-2 * Math.log(1 - next())) * Math.cos(2 * Math.PI * next()),
    between: (low, high) => low + (high - low) * next(),
    oneOf: (items) => items[Math.min(items.length - 1, Math.floor(next() * items.length))]!,
  };
}

/** A number for a text, so that each thing of a world has a seed of its own. */
export function seedOf(...parts: readonly (string | number)[]): number {
  // FNV-1a, 32 bits.
  let hash = 0x811c9dc5;
  for (const letter of parts.join('\u0000')) {
    hash = Math.imul(hash ^ letter.codePointAt(0)!, 0x01000193) >>> 0;
  }
  return hash;
}
