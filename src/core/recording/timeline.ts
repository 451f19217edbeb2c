import { lastAtOrBelow } from '../base/memo';
import { clamp } from '../base/numbers';
import type { Pass } from '../catalogue/vocabulary';
import type { FootageMark } from './mark';

/** Where the camera was at a moment: a footage that holds within its ± 19 times in 20. */
export type Standing = {
  readonly readingFt: number;
  readonly plusMinusFt: number;
  readonly pass: Pass;
};

/** A footage is taken from the picture where it is known this well, feet. */
const STAMPED_WITHIN_FT = 3;

/** The footage that a moment gives to what is logged of it, to the tenth; `null` where it is not known well enough. */
export const footageOf = (here: Standing | null): number | null =>
  here !== null && here.plusMinusFt <= STAMPED_WITHIN_FT
    ? Math.round(here.readingFt * 10) / 10
    : null;

/** A moment at which the camera was at a footage; within its ± 19 times in 20. */
export type Moment = { readonly atMs: number; readonly plusMinusMs: number };

/** How much the camera moved, from the picture: parts of the recording and how fast each looks, in no unit. */
export type Pace = { readonly fromMs: number; readonly toMs: number; readonly weight: number };

/** Time ↔ footage of one recording. */
export type Timeline = {
  readonly marks: readonly FootageMark[];
  /** `null` where nothing is known: no mark, or too far from the nearest. */
  readonly at: (ms: number) => Standing | null;
  /** Every moment at which the camera was at a footage on a pass, in order. */
  readonly momentsOf: (readingFt: number, pass: Pass) => readonly Moment[];
  /** Marks that a hand could not have moved between: one of the two is wrong. */
  readonly misfits: readonly (readonly [FootageMark, FootageMark])[];
};

/** So many σ hold 19 moments in 20: a hand rests and hurries more than the bell allows (`bench/footage.ts`). */
const SIGMAS = 2.4;
/** A hand pushes and stops; over about so long its pace has nothing to do with the pace before, seconds. */
const PACE_S = 9;
/** Pulling back to look again and going on leaves no trace in the marks, ft per √s, and no farther than this. */
const WANDER_FT = 0.08;
const MOST_WANDER_FT = 1.5;
/** Nobody moves a camera faster, ft per s. */
const FASTEST_FT_S = 5;
/** Beyond the first and the last mark a camera may have moved as quickly as this, ft per s. */
const BEYOND_FT_S = 0.5;
/** A ± wider than this says nothing, feet. */
const MOST_KNOWN_FT = 30;

/** From one mark to the next, on one pass; where the camera turned between them there are two. */
type Piece = {
  readonly from: FootageMark;
  readonly to: FootageMark;
  readonly pass: Pass;
};

/**
 * Where the way turned between a mark going out and one coming back: as far as the farther of the two at
 * least. Nobody marked it, so it is as unsure as the time between them allows.
 */
function turnBetween(from: FootageMark, to: FootageMark, farthestFt: number): FootageMark {
  const farFt = Math.max(farthestFt, from.readingFt, to.readingFt);
  const [there, back] = [farFt - from.readingFt + 0.1, farFt - to.readingFt + 0.1];
  const spanMs = to.atMs - from.atMs;
  return {
    atMs: from.atMs + (spanMs * there) / (there + back),
    readingFt: farFt,
    pass: 'out',
    sigmaFt: Math.max(from.sigmaFt, to.sigmaFt),
    sigmaMs: spanMs / 6,
    from: 'log',
  };
}

function piecesOf(marks: readonly FootageMark[], farthestFt: number): Piece[] {
  return marks.slice(1).flatMap((to, index): Piece[] => {
    const from = marks[index]!;
    if (from.pass !== 'out' || to.pass !== 'back') return [{ from, to, pass: to.pass }];
    const turn = turnBetween(from, to, farthestFt);
    return [
      { from, to: turn, pass: 'out' },
      { from: turn, to, pass: 'back' },
    ];
  });
}

/** Makes a measure of how much of the moving lies before a moment: time itself, or what the picture shows. */
function clockOf(paces: readonly Pace[] | undefined): (ms: number) => number {
  if (!paces || paces.length === 0) return (ms) => ms;
  const starts: number[] = [];
  let sum = 0;
  for (const { fromMs, toMs, weight } of paces) {
    starts.push(sum);
    sum += weight * (toMs - fromMs);
  }
  return (ms) => {
    const index = Math.max(
      0,
      lastAtOrBelow(paces, ms, ({ fromMs }) => fromMs),
    );
    const { fromMs, toMs, weight } = paces[index]!;
    return starts[index]! + weight * clamp(ms - fromMs, 0, toMs - fromMs);
  };
}

/**
 * Lays time and footage of a recording over one another, straight between neighbouring marks of a pass, so
 * that it never goes the wrong way between two.
 *
 * The ± between two marks is that of a gamma bridge: a hand that pushes and pauses at random, known at both
 * ends, has gone a share of the way that follows a Beta law with mean f and variance f(1 − f) ÷ (n + 1),
 * n the number of independent pauses (Émery and Yor, *A parallel between Brownian bridges and gamma
 * bridges*, 2004). To it come the σ of the marks, a wander that leaves no trace, and the bound that nobody
 * moves a camera faster than 5 ft in a second.
 *
 * @param farthestFt the farthest reading of the run, where the log knows it.
 * @param paces how much the camera moved when, from the picture: then the shares of the way follow it.
 */
export function layTimeline(
  marks: readonly FootageMark[],
  {
    farthestFt = 0,
    paces,
  }: { readonly farthestFt?: number; readonly paces?: readonly Pace[] } = {},
): Timeline {
  const pieces = piecesOf(marks, farthestFt);
  const clock = clockOf(paces);
  // Where the picture tells the pace, what is left open between marks is a good deal less.
  const paceS = paces && paces.length > 0 ? PACE_S / 6 : PACE_S;

  const within = ({ from, to, pass }: Piece, ms: number): Standing => {
    const spanS = (to.atMs - from.atMs) / 1000;
    // A counter that ran told every change: between two of its points the way is straight.
    const isTold = from.from === 'counter' && to.from === 'counter';
    const [startAt, endAt] = isTold ? [0, 0] : [clock(from.atMs), clock(to.atMs)];
    const share =
      endAt > startAt
        ? clamp((clock(ms) - startAt) / (endAt - startAt), 0, 1)
        : clamp((ms - from.atMs) / Math.max(1, to.atMs - from.atMs), 0, 1);
    const wayFt = to.readingFt - from.readingFt;
    const spread = share * (1 - share);
    const bridge = wayFt ** 2 * (spread / (spanS / paceS + 1));
    const wander = Math.min(MOST_WANDER_FT ** 2, WANDER_FT ** 2 * spread * spanS);
    const speed = spanS > 0 ? Math.abs(wayFt) / spanS : 0;
    const ofMark = (mark: FootageMark) =>
      mark.sigmaFt ** 2 + Math.min(wayFt ** 2, ((speed * mark.sigmaMs) / 1000) ** 2);
    const ends = (1 - share) ** 2 * ofMark(from) + share ** 2 * ofMark(to);
    // However it paused, it cannot have gone farther than the quickest hand takes it.
    const reachFt =
      (FASTEST_FT_S * Math.min(ms - from.atMs, to.atMs - ms)) / 1000 + Math.abs(wayFt) * 0.02;
    const open = isTold
      ? 0
      : Math.min(SIGMAS * Math.sqrt(bridge + wander), Math.max(0.05, reachFt));
    return {
      readingFt: from.readingFt + share * wayFt,
      plusMinusFt: Math.hypot(open, SIGMAS * Math.sqrt(ends)),
      pass,
    };
  };

  const beyond = (mark: FootageMark, ms: number): Standing | null => {
    const plusMinusFt = SIGMAS * mark.sigmaFt + (BEYOND_FT_S * Math.abs(ms - mark.atMs)) / 1000;
    return plusMinusFt > MOST_KNOWN_FT
      ? null
      : { readingFt: mark.readingFt, plusMinusFt, pass: mark.pass };
  };

  const at = (ms: number): Standing | null => {
    const [first] = marks;
    const last = marks.at(-1);
    if (!first || !last) return null;
    if (ms <= first.atMs) return beyond(first, ms);
    if (ms >= last.atMs) return beyond(last, ms);
    return within(pieces[lastAtOrBelow(pieces, ms, ({ from }) => from.atMs)]!, ms);
  };

  const momentsOf = (readingFt: number, pass: Pass): Moment[] => {
    const found = pieces.flatMap((piece): Moment[] => {
      const { from, to } = piece;
      if (piece.pass !== pass) return [];
      const wayFt = to.readingFt - from.readingFt;
      const low = Math.min(from.readingFt, to.readingFt);
      const high = Math.max(from.readingFt, to.readingFt);
      if (readingFt < low || readingFt > high) return [];
      const atMs = wayFt === 0 ? from.atMs : whenAt(within, piece, readingFt);
      const { plusMinusFt } = within(piece, atMs);
      const spanMs = to.atMs - from.atMs;
      const plusMinusMs =
        wayFt === 0 ? spanMs : Math.min(spanMs, (plusMinusFt * spanMs) / Math.abs(wayFt));
      return [{ atMs, plusMinusMs: Math.max(plusMinusMs, from.sigmaMs) }];
    });
    // Two pieces that meet at the footage tell one moment.
    return found.filter(({ atMs }, index) => index === 0 || atMs - found[index - 1]!.atMs > 500);
  };

  const misfits = marks.slice(1).flatMap((to, index): [FootageMark, FootageMark][] => {
    const from = marks[index]!;
    const spanS = (to.atMs - from.atMs + 2 * (from.sigmaMs + to.sigmaMs)) / 1000;
    const wayFt = Math.abs(to.readingFt - from.readingFt) - 2 * (from.sigmaFt + to.sigmaFt);
    return wayFt > FASTEST_FT_S * spanS ? [[from, to]] : [];
  });
  return { marks, at, momentsOf, misfits };
}

/** The moment within a piece at which the camera was at a footage, by halving: the way never turns in it. */
function whenAt(
  within: (piece: Piece, ms: number) => Standing,
  piece: Piece,
  readingFt: number,
): number {
  const isRising = piece.to.readingFt > piece.from.readingFt;
  let [low, high] = [piece.from.atMs, piece.to.atMs];
  while (high - low > 1) {
    const middle = (low + high) / 2;
    const isBefore = within(piece, middle).readingFt < readingFt === isRising;
    if (isBefore) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}
