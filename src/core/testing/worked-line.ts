import type { MethodId } from '../catalogue/method-ids';
import type { Inspection } from '../model/job/inspection';
import type { assessmentOf, Said } from './build';
import { defect } from './rules';

export const pipe = (material: string, readingFt = 0, diameterIn = 4): Said => ({
  kind: 'material',
  side: 'far',
  material,
  diameterIn,
  readingFt,
});
export const zone = (name: string, readingFt = 0): Said => ({
  kind: 'zone',
  side: 'far',
  zone: name,
  readingFt,
});
export const wall = (readingFt: number): Said => ({ kind: 'feature', feature: 'wall', readingFt });
export const depth = (ft: number): Said[] =>
  [0, 60].map((readingFt) => ({ kind: 'locate', readingFt, depthIn: ft * 12 }));
export const END: Said = { kind: 'end', reason: 'main', confirmedBy: 'sight', readingFt: 60 };
export const pool = (fromFt: number, toFt: number, depthIn: number): Said => ({
  ...defect('standing-water', { readingFt: fromFt, toReadingFt: toFt, depthIn }),
  pass: 'back',
});
export const DRAINED: Said = { kind: 'water', state: 'drained', readingFt: 60, pass: 'back' };
export const roots = (readingFt: number, extentRatio: number): Said =>
  defect('roots', { readingFt, extentRatio, locus: 'joint' });
export const YARD = [zone('yard'), ...depth(4), END];
export const ROOF = [
  {
    id: 'A',
    kind: 'roof-vent',
    diameterIn: 3,
    material: 'abs',
    place: 'roof',
    usable: true,
    obstacle: null,
  },
] as unknown as Inspection['accessPoints'];

/** A line, what a careful contractor would do and roughly charge, and why. */
export type WorkedJob = {
  readonly name: string;
  readonly why: string;
  readonly said: readonly Said[];
  readonly changes?: Parameters<typeof assessmentOf>[1];
  /** Works of the plan told that are no telling and no look; in their order. */
  readonly does: readonly MethodId[];
  readonly never?: readonly MethodId[];
  /** What all of it costs, dollars, likely. */
  readonly costs: readonly [least: number, most: number];
};

export const DRAIN = { job: { scope: 'lateral-and-building-drain' as const } };
