import type { Touch } from '#core/model/log/still-measure';
import { bend } from '#core/still/lens';
import { onPicture } from '#core/still/pipe-fit';
import { darkestIn } from '#core/vision/darkest';
import { greyOf, smooth } from '#core/vision/grey';
import { guessPipe } from '#core/vision/guess-pipe';
import { guessWater } from '#core/vision/guess-water';

/** A picture to guess in, four bytes a point. */
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

function guess({ rgba, width, height }: GuessAsk): Guessed | null {
  const grey = smooth(greyOf(rgba, width, height));
  const pipe = guessPipe(grey);
  if (!pipe) return null;
  const glass = { aspect: width / height, distortion: 0 };
  const edge = Array.from({ length: TOUCHES }, (_, index) => {
    const angle = (2 * Math.PI * (index + 0.5)) / TOUCHES;
    return bend(onPicture(pipe.fit, { x: Math.sin(angle), y: -Math.cos(angle) }), glass);
  });
  const water = guessWater(grey, pipe.fit);
  return {
    pipe: edge.filter(([x, y]) => x >= 0 && x <= 1 && y >= 0 && y <= 1),
    vanish: [bend(darkestIn(grey, pipe.fit), glass)],
    water: water ? water.ends.map((end) => bend(end, glass)) : [],
    seen: pipe.seen,
  };
}

addEventListener('message', ({ data }: MessageEvent<GuessAsk>) => postMessage(guess(data)));
