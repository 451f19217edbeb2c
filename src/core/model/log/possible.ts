import type { EntryOf } from './entry';

/** What no sewer lateral has: past these a number is a slip of the tongue, not a measurement. */
export const MOST = {
  /** Deeper than this nobody locates a house sewer, inches. */
  locateIn: 240,
  /** Longer than this no rod is, feet. */
  rodFt: 500,
  /** Nobody makes sewer pipe narrower or wider, inches. */
  boreIn: { from: 1, to: 30 },
  /** No joint that still is one stands open wider, inches. */
  gapIn: 60,
} as const;

type Sizes = Pick<
  EntryOf<'defect'>,
  'depthIn' | 'fillRatio' | 'extentRatio' | 'offsetIn' | 'gapIn' | 'lipIn'
>;
export type SizeField = keyof Sizes;

/** Sizes that stand inside the pipe, and so are no larger than it. */
const ACROSS: readonly SizeField[] = ['depthIn', 'offsetIn', 'lipIn'];
const SHARES: readonly SizeField[] = ['fillRatio', 'extentRatio'];
/** An inch is spoken to the quarter, and a pipe is a little wider than its name, inches. */
const SLACK_IN = 0.25;

/** Sizes of a defect that cannot be, in a pipe of this diameter (inches; `null` where it is not known). */
export function impossibleSizes(entry: Sizes, boreIn: number | null): SizeField[] {
  const most = boreIn === null ? MOST.boreIn.to : boreIn + SLACK_IN;
  return [
    ...SHARES.filter((field) => (entry[field] ?? 0) > 1 + 1e-9),
    ...ACROSS.filter((field) => (entry[field] ?? 0) > most + 1e-9),
  ];
}

/** An entry with its impossible sizes left out: they grade as not logged. */
export function possibleSizes<E extends Sizes>(entry: E, boreIn: number | null): E {
  const wrong = impossibleSizes(entry, boreIn);
  if (wrong.length === 0) return entry;
  const kept = Object.entries(entry).filter(([field]) => !(wrong as string[]).includes(field));
  return Object.fromEntries(kept) as unknown as E;
}

/** The diameter that a change of pipe names, where anybody makes such pipe, inches. */
export function possibleBoreIn({ diameterIn }: Pick<EntryOf<'material'>, 'diameterIn'>) {
  if (diameterIn === undefined) return undefined;
  return diameterIn >= MOST.boreIn.from && diameterIn <= MOST.boreIn.to ? diameterIn : undefined;
}

/** The depth of a locate, where it can be one, inches. */
export function possibleDepthIn({
  depthIn,
  depthToIn = depthIn,
}: Pick<EntryOf<'locate'>, 'depthIn' | 'depthToIn'>): number | null {
  if (depthIn === undefined || depthToIn === undefined) return null;
  return Math.max(depthIn, depthToIn) > MOST.locateIn ? null : (depthIn + depthToIn) / 2;
}
