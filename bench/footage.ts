import { seededRandom } from '#core/base/random';
import { followPass, type PassState } from '#core/measure/follow-pass';
import type { FootageMark } from '#core/recording/mark';
import { layTimeline } from '#core/recording/timeline';
import type { Row } from './row';
import { percentile } from './times';

const RUNS = 40;
const STEP_S = 0.2;
/** A hand goes at one of these speeds, feet a second, for a few seconds at a time. */
const SPEEDS = [0.7, 1.6];
const LENGTH_FT = 90;
/** What is called out lies so far apart, feet, and stands in the log so long after it was passed, seconds. */
const APART_FT = [4, 14] as const;
const TYPED_S = 2;

type Moment = { readonly atS: number; readonly ft: number; readonly pass: 'out' | 'back' };

/** A run as a hand drives it: pushes and rests, pulls back now and then to look again, turns at the end, comes home. */
function drive(random: ReturnType<typeof seededRandom>): Moment[] {
  const moments: Moment[] = [];
  let state: PassState = { pass: 'out', farthestFt: 0 };
  let [atS, ft, direction] = [0, 0, 1];
  while (direction > 0 || ft > 0.5) {
    const act = random.next();
    const isResting = act < 0.3;
    const isLooking = !isResting && act < 0.4 && direction > 0;
    const speed = isResting ? 0 : random.oneOf(SPEEDS) * (isLooking ? -0.5 : direction);
    const endS = atS + random.between(isLooking ? 1 : 2, isLooking ? 3 : 9);
    for (; atS < endS; atS += STEP_S) {
      ft = Math.min(LENGTH_FT, Math.max(0, ft + speed * STEP_S));
      state = followPass(state, ft);
      moments.push({ atS, ft, pass: state.pass });
    }
    if (ft >= LENGTH_FT) direction = -1;
  }
  return moments;
}

/** What such a run leaves in its log: a footage every few feet, some seconds late. */
function markRun(
  moments: readonly Moment[],
  random: ReturnType<typeof seededRandom>,
): FootageMark[] {
  const marks: FootageMark[] = [];
  let lastFt = -Infinity;
  let apartFt = 0;
  for (const { atS, ft, pass } of moments) {
    if (Math.abs(ft - lastFt) < apartFt) continue;
    lastFt = ft;
    apartFt = random.between(...APART_FT);
    const atMs = (atS + Math.abs(random.normal()) * TYPED_S) * 1000;
    marks.push({
      atMs,
      readingFt: Math.round(ft * 10) / 10,
      pass,
      sigmaFt: 0.25,
      sigmaMs: 2500,
      from: 'log',
    });
  }
  return marks.sort((a, b) => a.atMs - b.atMs);
}

/** Lays time and footage of made runs over one another and holds them against where the camera was. */
export function benchFootage(): Row[] {
  const random = seededRandom(31);
  const off: number[] = [];
  const told: number[] = [];
  let held = 0;
  for (let run = 0; run < RUNS; run += 1) {
    const moments = drive(random);
    const line = layTimeline(markRun(moments, random), { farthestFt: LENGTH_FT });
    for (const { atS, ft } of moments) {
      const here = line.at(atS * 1000);
      if (!here) continue;
      off.push(Math.abs(here.readingFt - ft));
      told.push(here.plusMinusFt);
      held += Math.abs(here.readingFt - ft) <= here.plusMinusFt ? 1 : 0;
    }
  }
  const feet = (values: readonly number[], share: number) => percentile(values, share).toFixed(2);
  return [
    {
      what: 'footage within its ±, marks of the log every 4 to 14 ft',
      aim: '95%',
      got: `${((100 * held) / off.length).toFixed(1)}% of ${off.length.toLocaleString('en-US')} moments`,
    },
    {
      what: 'error of the footage',
      aim: '–',
      got: `median ${feet(off, 0.5)} ft, 95% ${feet(off, 0.95)} ft; ± told: median ${feet(told, 0.5)} ft`,
    },
  ];
}
