import { describe, expect, it } from 'vitest';
import { onPicture, type PipeFit } from '../still/pipe-fit';
import { darkestIn } from './darkest';
import { type Frame, FRAME_HEIGHT, FRAME_WIDTH, noticesOf, pacesOf, readFrame } from './frames';
import { type Grey, smooth } from './grey';
import { guessPipe } from './guess-pipe';
import { guessWater } from './guess-water';

/** A pipe of one joint: bright before it, dark behind, water below a level, grain all over. */
function pipePicture(fill: number | null, radius = 0.6): Grey {
  const [width, height] = [320, 200];
  const light = new Float32Array(width * height);
  let seed = 5;
  for (let py = 0; py < height; py += 1)
    for (let px = 0; px < width; px += 1) {
      const x = (2 * (px - (width - 1) / 2)) / height - 0.05;
      const y = (2 * (py - (height - 1) / 2)) / height + 0.08;
      const out = Math.hypot(x, y);
      seed = (seed * 16_807) % 2_147_483_647;
      const grain = (seed / 2_147_483_647 - 0.5) * 12;
      const wall = out > radius ? 120 : 70 * (out / radius);
      // Nearer water lies as high on its own, larger ring.
      const isWater = fill !== null && -y < (2 * fill - 1) * Math.max(out, radius);
      light[py * width + px] = (isWater ? 96 : wall) + grain;
    }
  return smooth({ width, height, light });
}

describe('a first guess', () => {
  it('finds the edge of a joint within a hundredth of the picture', () => {
    const { fit, seen } = guessPipe(pipePicture(null))!;
    expect(fit.radius).toBeCloseTo(0.6, 1);
    expect(Math.abs(fit.radius - 0.6)).toBeLessThan(0.02);
    expect(Math.hypot(fit.centre.x - 0.05, fit.centre.y + 0.08)).toBeLessThan(0.02);
    expect(seen).toBeGreaterThan(0.8);
  });
  it('finds the level of the water in it', () => {
    const fit: PipeFit = { centre: { x: 0.05, y: -0.08 }, radius: 0.6, stretch: [0, 0], offRms: 0 };
    const water = guessWater([pipePicture(0.3)], fit)!;
    expect(water.fill).toBeCloseTo(0.3, 1);
    expect(Math.abs(water.fill - 0.3)).toBeLessThan(0.05);
    expect(guessWater([pipePicture(null)], fit)).toBeNull();
  });
  it('finds where the pipe vanishes', () => {
    const fit: PipeFit = { centre: { x: 0.05, y: -0.08 }, radius: 0.6, stretch: [0, 0], offRms: 0 };
    const dark = darkestIn(pipePicture(null), fit);
    const middle = onPicture(fit, { x: 0, y: 0 });
    expect(Math.hypot(dark.x - middle.x, dark.y - middle.y)).toBeLessThan(0.05);
  });
  it('is none where there is no edge', () => {
    const flat: Grey = { width: 320, height: 200, light: new Float32Array(64_000).fill(80) };
    expect(guessPipe(flat)).toBeNull();
  });
});

type Look = { wall?: number[]; floor?: number[]; shift?: number; isSharp?: boolean };
function frameAt(atMs: number, { wall, floor, shift = 0, isSharp = true }: Look = {}): Frame {
  const rgba = new Uint8ClampedArray(4 * FRAME_WIDTH * FRAME_HEIGHT);
  const top = wall ?? [150, 90, 60];
  for (let y = 0; y < FRAME_HEIGHT; y += 1)
    for (let x = 0; x < FRAME_WIDTH; x += 1) {
      const at = 4 * (y * FRAME_WIDTH + x);
      const stripe = isSharp && Math.floor((x + shift) / 4) % 2 === 0 ? 0.7 : 1;
      const colour = y > FRAME_HEIGHT * 0.7 ? (floor ?? top) : top;
      for (const part of [0, 1, 2]) rgba[at + part] = colour[part]! * stripe;
      rgba[at + 3] = 255;
    }
  return readFrame(rgba, atMs);
}
const film = (look: (atMs: number) => Look) =>
  Array.from({ length: 80 }, (_, index) => frameAt(index * 250, look(index * 250)));

describe('what differs', () => {
  const kinds = (frames: readonly Frame[]) =>
    noticesOf(frames).map(({ kind, atMs }) => [kind, Math.round(atMs / 1000)]);
  it('is nothing in one pipe', () => expect(kinds(film(() => ({})))).toEqual([]));
  it('is a change of pipe, where it changes', () => {
    const got = kinds(film((ms) => (ms < 10_000 ? {} : { wall: [200, 200, 205] })));
    expect(got).toEqual([['pipe', 10]]);
  });
  it('is water that begins', () => {
    const got = kinds(film((ms) => (ms < 10_000 ? {} : { floor: [60, 110, 140] })));
    expect(got).toEqual([['water', 10]]);
  });
  it('is the dark, and what is blurred, with its end', () => {
    const dark = noticesOf(film((ms) => (ms > 5000 && ms < 9000 ? { wall: [3, 3, 3] } : {})));
    expect(dark.find(({ kind }) => kind === 'dark')).toMatchObject({ atMs: 5250, toMs: 8750 });
    const blurred = noticesOf(film((ms) => ({ isSharp: ms < 5000 || ms > 9000 })));
    expect(blurred.map(({ kind }) => kind)).toEqual(['blurred']);
  });
  it('tells when the camera moved', () => {
    const paces = pacesOf(film((ms) => ({ shift: ms < 10_000 ? 0 : ms / 250 })));
    const weight = (ms: number) => paces.find(({ fromMs }) => fromMs === ms)!.weight;
    expect(weight(15_000)).toBeGreaterThan(10 * weight(5000));
  });
});
