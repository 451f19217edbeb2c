/** Something that hangs on the tape at its foot. */
export type Hung<T> = { readonly atFt: number; readonly item: T };
/** Where it hangs: its foot, and the row of words beside it, in pixels down the tape. */
export type Placed<T> = Hung<T> & { readonly footPx: number; readonly rowPx: number };

export type TapeScale = {
  readonly pxPerFt: number;
  /** The highest footage drawn, at the top of the tape. */
  readonly topFt: number;
  readonly heightPx: number;
  readonly pxOf: (ft: number) => number;
  readonly ftOf: (px: number) => number;
};

/** Height of one row of words on the tape, pixels: a thumb's width. */
export const ROW_PX = 48;
/** A foot of tape at its calmest and at its busiest, pixels. */
const LEAST_PX_PER_FT = 15;
const MOST_PX_PER_FT = 600;
/** Tape beyond the farthest thing, feet. */
const BEYOND_FT = 12;
/** Below the zero: the counter comes home near it, not always on it. */
const BELOW_FT = 4;

/** The scale of a tape: as close together as the things on it allow. */
export function scaleTape(atFt: readonly number[], counterFt: number): TapeScale {
  const topFt = Math.ceil(Math.max(10, counterFt, ...atFt) + BEYOND_FT);
  const wanted = (atFt.length * ROW_PX) / topFt;
  const pxPerFt = Math.round(Math.min(MOST_PX_PER_FT, Math.max(LEAST_PX_PER_FT, wanted)));
  return {
    pxPerFt,
    topFt,
    heightPx: (topFt + BELOW_FT) * pxPerFt,
    pxOf: (ft) => (topFt - ft) * pxPerFt,
    ftOf: (px) => topFt - px / pxPerFt,
  };
}

/**
 * Hangs things on the tape so that no two rows overlap and each is as near to its foot as the others
 * allow (least squares; pools of neighbours move together).
 *
 * @param hung things in any order; equal feet keep the order given, the first on top.
 */
export function hangRows<T>(hung: readonly Hung<T>[], scale: TapeScale): Placed<T>[] {
  const sorted = hung
    .map((one, order) => ({ ...one, order, footPx: scale.pxOf(one.atFt) }))
    .sort((a, b) => a.footPx - b.footPx || a.order - b.order);
  // Rows a fixed step apart: take the steps out, and what is left must not decrease.
  const pools: { sum: number; count: number }[] = [];
  sorted.forEach(({ footPx }, index) => {
    pools.push({ sum: footPx - index * ROW_PX, count: 1 });
    while (pools.length > 1) {
      const last = pools.at(-1)!;
      const before = pools.at(-2)!;
      if (before.sum / before.count <= last.sum / last.count) break;
      pools.splice(-2, 2, { sum: before.sum + last.sum, count: before.count + last.count });
    }
  });
  const starts = pools.flatMap(({ sum, count }) =>
    Array.from({ length: count }, () => sum / count),
  );
  return sorted.map(({ order: _order, ...one }, index) => ({
    ...one,
    rowPx: starts[index]! + index * ROW_PX,
  }));
}

/** A stretch of the thin pipe beside the tape. */
export type Edge = { readonly fromFt: number; readonly toFt: number; readonly look: string };

/** How far apart the pipe beside the tape is asked about, feet. */
const SAMPLE_FT = 0.5;

/** Joins equal neighbours of a property asked for at each half foot; `null` draws nothing. */
export function edgesOf(toFt: number, lookAt: (ft: number) => string | null): Edge[] {
  const edges: Edge[] = [];
  let open: Edge | null = null as Edge | null;
  for (let ft = 0; ft < toFt; ft += SAMPLE_FT) {
    const look = lookAt(ft + SAMPLE_FT / 2);
    if (open !== null && open.look === look) {
      open = { fromFt: open.fromFt, toFt: ft + SAMPLE_FT, look };
    } else {
      if (open) edges.push(open);
      open = look === null ? null : { fromFt: ft, toFt: ft + SAMPLE_FT, look };
    }
  }
  if (open) edges.push(open);
  return edges;
}
