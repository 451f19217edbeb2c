import { specOf } from '#core/catalogue/defects/kinds';
import type { Entry } from '#core/model/log/entry';
import type { StillMeasureKind, Touch } from '#core/model/log/still-measure';
import { TOUCHES_OF } from '#core/still/measure';

/** What can be measured, as people say it, with what to touch. */
export const MEASURE_WORDS: Readonly<
  Record<StillMeasureKind, { readonly name: string; readonly touch: string }>
> = {
  fill: { name: 'Water depth', touch: 'Touch both places where the water meets the wall.' },
  share: {
    name: 'Share of the pipe',
    touch: 'Touch round the thing. Along the wall touch at least every two hours of the clock.',
  },
  across: { name: 'Share of the diameter', touch: 'Touch the wall and how far in it reaches.' },
  offset: {
    name: 'Offset',
    touch: 'Touch the edge of this pipe and, straight across, of the next.',
  },
  lip: { name: 'Lip', touch: 'Touch the foot and the top of the edge.' },
  gap: { name: 'Gap', touch: 'Touch three places or more on the far edge of the joint.' },
  clock: { name: 'Clock', touch: 'Touch where it begins and ends, clockwise; one place twice.' },
};

const BY_SHARE = { fill: 'fill', area: 'share', diameter: 'across' } as const;
const BY_INCHES = { offsetIn: 'offset', lipIn: 'lip' } as const;

/** What is measured of an entry, the usual first: its size, by its page of the catalogue, and its clock. */
export function measuresFor(entry: Entry | null, knowsField: boolean): readonly StillMeasureKind[] {
  if (entry?.kind !== 'defect') return [];
  const { share, inches, isHeight } = specOf(entry.defect).size ?? {};
  if (share) return [BY_SHARE[share], 'clock'];
  // A gap lies along the pipe: without the lens's own numbers no picture tells it.
  if (isHeight && inches === 'gapIn') return knowsField ? ['gap', 'clock'] : ['clock'];
  // A crack is too fine to be touched.
  return isHeight && (inches === 'offsetIn' || inches === 'lipIn')
    ? [BY_INCHES[inches], 'clock']
    : ['clock'];
}

/** The touches of a measure that is being made: first the pipe, then the thing. */
export type Touches = {
  readonly pipe: readonly Touch[];
  /** Where the pipe vanishes: one, or none. */
  readonly vanish: readonly Touch[];
  /** Where its bottom is, for a head that does not level itself: one, or none. */
  readonly bottom: readonly Touch[];
  readonly on: readonly Touch[];
};
export const NO_TOUCHES: Touches = { pipe: [], vanish: [], bottom: [], on: [] };

/** A touch more on the pipe or on the thing; a full list begins anew. */
export function touched(touches: Touches, part: keyof Touches, at: Touch, what: StillMeasureKind) {
  const most =
    part === 'pipe' ? 60 : part === 'vanish' || part === 'bottom' ? 1 : TOUCHES_OF[what].most;
  const before = touches[part].length >= most ? [] : touches[part];
  return { ...touches, [part]: [...before, at] };
}

/** A touch put elsewhere. */
export const moved = (
  touches: Touches,
  part: keyof Touches,
  index: number,
  at: Touch,
): Touches => ({
  ...touches,
  [part]: touches[part].with(index, at),
});

/** A touch taken out. */
export const untouched = (touches: Touches, part: keyof Touches, index: number): Touches => ({
  ...touches,
  [part]: touches[part].toSpliced(index, 1),
});
