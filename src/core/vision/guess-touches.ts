import type { Touch } from '../model/log/still-measure';
import { bend } from '../still/lens';
import { onPicture } from '../still/pipe-fit';
import { darkestIn } from './darkest';
import { planesOf } from './grey';
import { guessPipe } from './guess-pipe';
import { guessWater } from './guess-water';

/** A picture to guess in, four bytes a point; some 200 points high: more only costs time. */
export type GuessAsk = {
  readonly rgba: Uint8ClampedArray<ArrayBuffer>;
  readonly width: number;
  readonly height: number;
};

/** What the machine takes for the pipe's edge and the water's line: touches, to be dragged until they sit. */
export type Guessed = {
  readonly pipe: readonly Touch[];
  /** Where the pipe vanishes. */
  readonly vanish: readonly Touch[];
  /** Empty where no line of water stands out. */
  readonly water: readonly Touch[];
  /** Share of the edge that was seen. */
  readonly seen: number;
};

/** So many touches stand for the edge that was found. */
const TOUCHES = 8;

/** Guesses where somebody would touch a picture to measure it; `null` where too little of a pipe is seen. */
export function guessTouches({ rgba, width, height }: GuessAsk): Guessed | null {
  const planes = planesOf(rgba, width, height);
  const grey = planes[0]!;
  const pipe = guessPipe(grey);
  if (!pipe) return null;
  const glass = { aspect: width / height, distortion: 0 };
  const edge = Array.from({ length: TOUCHES }, (_, index) => {
    const angle = (2 * Math.PI * (index + 0.5)) / TOUCHES;
    return bend(onPicture(pipe.fit, { x: Math.sin(angle), y: -Math.cos(angle) }), glass);
  });
  const water = guessWater(planes, pipe.fit);
  return {
    pipe: edge.filter(([x, y]) => x >= 0 && x <= 1 && y >= 0 && y <= 1),
    vanish: [bend(darkestIn(grey, pipe.fit), glass)],
    water: water ? water.ends.map((end) => bend(end, glass)) : [],
    seen: pipe.seen,
  };
}
