import type { Pace } from '../recording/timeline';

/** What one picture of a recording is like, taken small: enough to tell that something differs. */
export type Frame = {
  readonly atMs: number;
  /** Brightness of a grid of fields, row by row. */
  readonly grid: Float32Array;
  /** Mean colour of the upper part, where the wall is, and of the lower, where water lies. */
  readonly wall: Colour;
  readonly floor: Colour;
  /** How much neighbouring points differ: 0 for a blur. */
  readonly sharpness: number;
  /** Mean brightness, 0 to 255. */
  readonly light: number;
};
type Colour = readonly [red: number, green: number, blue: number];

export const FRAME_WIDTH = 64;
export const FRAME_HEIGHT = 40;
const FIELD = 4;

/** Reads a picture of `FRAME_WIDTH` by `FRAME_HEIGHT` points, four bytes each. */
export function readFrame(rgba: Uint8ClampedArray, atMs: number): Frame {
  const columns = FRAME_WIDTH / FIELD;
  const grid = new Float32Array(columns * (FRAME_HEIGHT / FIELD));
  const wall = [0, 0, 0, 0];
  const floor = [0, 0, 0, 0];
  let sharp = 0;
  let light = 0;
  for (let y = 0; y < FRAME_HEIGHT; y += 1) {
    for (let x = 0; x < FRAME_WIDTH; x += 1) {
      const at = 4 * (y * FRAME_WIDTH + x);
      const [red, green, blue] = [rgba[at]!, rgba[at + 1]!, rgba[at + 2]!];
      const here = 0.299 * red + 0.587 * green + 0.114 * blue;
      light += here;
      grid[Math.floor(y / FIELD) * columns + Math.floor(x / FIELD)]! += here / FIELD ** 2;
      const into = y < FRAME_HEIGHT * 0.6 ? wall : y > FRAME_HEIGHT * 0.72 ? floor : null;
      // The dark middle is how far the lamp reaches, and says nothing of the pipe.
      if (into && here > 8) {
        into[0]! += red;
        into[1]! += green;
        into[2]! += blue;
        into[3]! += 1;
      }
      if (x > 0) {
        const left = 0.299 * rgba[at - 4]! + 0.587 * rgba[at - 3]! + 0.114 * rgba[at - 2]!;
        sharp += Math.abs(here - left);
      }
    }
  }
  const mean = ([red = 0, green = 0, blue = 0, count = 0]: number[]): Colour => {
    const by = Math.max(1, count);
    return [red / by, green / by, blue / by];
  };
  const points = FRAME_WIDTH * FRAME_HEIGHT;
  return {
    atMs,
    grid,
    wall: mean(wall),
    floor: mean(floor),
    sharpness: sharp / points / Math.max(8, light / points),
    light: light / points,
  };
}

const median = (values: readonly number[]) =>
  values.length === 0 ? 0 : values.toSorted((a, b) => a - b)[Math.floor(values.length / 2)]!;

/** How much of the picture changed from one frame to the next, mean of its fields. */
const changeOf = (a: Frame, b: Frame): number =>
  a.grid.reduce((sum, light, index) => sum + Math.abs(light - b.grid[index]!), 0) / a.grid.length;

/** A change this many times the noise of a camera at rest is a camera that moves. */
const MOVES_OVER = 1.6;

/**
 * When the camera moved, and how much it looks, from one frame to the next. What changes while a camera rests
 * (grain, dripping) is taken off: the quietest tenth of the recording tells how much that is.
 */
export function pacesOf(frames: readonly Frame[]): Pace[] {
  const changes = frames.slice(1).map((frame, index) => changeOf(frames[index]!, frame));
  const quiet = changes.toSorted((a, b) => a - b)[Math.floor(changes.length / 10)] ?? 0;
  return changes.map((change, index) => ({
    fromMs: frames[index]!.atMs,
    toMs: frames[index + 1]!.atMs,
    // Never nothing: a pipe without a mark looks the same from foot to foot.
    weight: Math.max(0.02, change - MOVES_OVER * quiet),
  }));
}

/** Something that the machine points out: it proposes, and logs nothing. */
export type Notice = {
  readonly kind: 'pipe' | 'water' | 'dark' | 'blurred';
  readonly atMs: number;
  /** The end, of what lasts. */
  readonly toMs?: number;
  readonly title: string;
};

const BEFORE_MS = 2_500;
const AFTER_MS = 1_500;
/** Two colours farther apart than this are two, of 255; white light on the same pipe differs by less. */
const COLOUR_APART = 26;
const WATER_APART = 18;
/** Two notices of a kind closer than this are one, ms. */
const APART_MS = 4_000;
const DARK = 14;
/** A stretch this short is a blink, ms. */
const LEAST_MS = 1_500;

const between = (frames: readonly Frame[], fromMs: number, toMs: number) =>
  frames.filter(({ atMs }) => atMs >= fromMs && atMs <= toMs);

function middle(frames: readonly Frame[], of: (frame: Frame) => Colour): Colour {
  const part = (at: 0 | 1 | 2) => median(frames.map((frame) => of(frame)[at]));
  return [part(0), part(1), part(2)];
}

const apart = (a: Colour, b: Colour) => Math.hypot(a[0] - b[0], a[1] - b[1], a[2] - b[2]);
/** A colour without how bright it is: the lamp nears and goes. */
const tone = ([red, green, blue]: Colour): Colour => {
  const sum = Math.max(30, red + green + blue) / 3;
  return [(red / sum) * 128, (green / sum) * 128, (blue / sum) * 128];
};

/** Where a measure of what lies before and behind a moment is highest, over a bound. */
function peaks(
  frames: readonly Frame[],
  bound: number,
  measure: (before: readonly Frame[], after: readonly Frame[]) => number,
): number[] {
  const found = frames
    .map(({ atMs }) => {
      const before = between(frames, atMs - BEFORE_MS, atMs - 200);
      const after = between(frames, atMs, atMs + AFTER_MS);
      const value = before.length < 2 || after.length < 2 ? 0 : measure(before, after);
      return { atMs, value };
    })
    .filter(({ value }) => value > bound)
    .sort((a, b) => b.value - a.value);
  const kept: number[] = [];
  for (const { atMs, value } of found) {
    if (kept.some((other) => Math.abs(other - atMs) <= APART_MS)) continue;
    // A clean change is as plain a little before and after it: its middle is when it came.
    const plain = found.filter(
      (one) => one.value > 0.98 * value && Math.abs(one.atMs - atMs) < APART_MS / 2,
    );
    const times = plain.map((one) => one.atMs);
    kept.push((Math.min(...times) + Math.max(...times)) / 2);
  }
  return kept;
}

/** Stretches over which something holds. */
function stretches(frames: readonly Frame[], holds: (frame: Frame) => boolean): [number, number][] {
  const found: [number, number][] = [];
  let from: number | null = null;
  let lastMs = 0;
  for (const frame of frames) {
    if (holds(frame)) {
      from ??= frame.atMs;
      lastMs = frame.atMs;
    } else if (from !== null) {
      if (lastMs - from >= LEAST_MS) found.push([from, lastMs]);
      from = null;
    }
  }
  if (from !== null && lastMs - from >= LEAST_MS) found.push([from, lastMs]);
  return found;
}

/** Moments and stretches that differ from what came before, so that nothing is passed over. */
export function noticesOf(frames: readonly Frame[]): Notice[] {
  const lit = frames.filter(({ light }) => light >= DARK);
  const pipe = peaks(lit, COLOUR_APART, (before, after) =>
    apart(tone(middle(before, ({ wall }) => wall)), tone(middle(after, ({ wall }) => wall))),
  );
  const lower = (part: readonly Frame[]): Colour => {
    const [wall, floor] = [middle(part, (one) => one.wall), middle(part, (one) => one.floor)];
    return [floor[0] - wall[0], floor[1] - wall[1], floor[2] - wall[2]];
  };
  const water = peaks(lit, WATER_APART, (before, after) => apart(lower(before), lower(after)));
  const usual = median(lit.map(({ sharpness }) => sharpness));
  const notices: Notice[] = [
    ...pipe.map((atMs): Notice => ({ kind: 'pipe', atMs, title: 'The pipe looks different' })),
    ...water
      .filter((atMs) => pipe.every((other) => Math.abs(other - atMs) > APART_MS / 2))
      .map((atMs): Notice => ({ kind: 'water', atMs, title: 'The bottom looks different' })),
    ...stretches(frames, ({ light }) => light < DARK).map(([atMs, toMs]): Notice => ({
      kind: 'dark',
      atMs,
      toMs,
      title: 'Dark',
    })),
    ...stretches(lit, ({ sharpness }) => sharpness < usual * 0.4).map(([atMs, toMs]): Notice => ({
      kind: 'blurred',
      atMs,
      toMs,
      title: 'Blurred or fouled',
    })),
  ];
  return notices.sort((a, b) => a.atMs - b.atMs);
}
