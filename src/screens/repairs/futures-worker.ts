import { assessed } from '#core/assess';
import type { Inspection } from '#core/model/job/inspection';
import { type Played, startPlay, USUAL_HISTORIES } from '#core/planning/futures/play';
import { findSways, type Sway } from '#core/planning/futures/sensitivity';
import type { PlanId } from '#core/planning/plans/plan';
import { repairOf } from '#core/planning/repair';

export type Asked =
  | { readonly ask: 'play'; readonly inspection: Inspection; readonly seed: number }
  | { readonly ask: 'sways'; readonly inspection: Inspection };
export type Answered =
  | { readonly tell: 'progress'; readonly share: number }
  | { readonly tell: 'played'; readonly played: readonly Played<PlanId>[]; readonly tookMs: number }
  | { readonly tell: 'sways'; readonly sways: readonly Sway[] };

/** How many histories are played between two words of progress. */
const AT_A_TIME = 4000;

const say = (answer: Answered) => postMessage(answer);
const breathe = () => new Promise((resolve) => setTimeout(resolve));

async function play(inspection: Inspection, seed: number) {
  const { futures } = repairOf(assessed(inspection));
  const startMs = performance.now();
  const playing = startPlay(futures, { seed, histories: USUAL_HISTORIES });
  for (let share = 0; share < 1;) {
    share = playing.step(AT_A_TIME);
    say({ tell: 'progress', share });
    // Between two parts the worker hears whether it is still wanted.
    await breathe();
  }
  const played = playing.tell();
  say({ tell: 'played', played, tookMs: performance.now() - startMs });
}

addEventListener('message', ({ data }: MessageEvent<Asked>) => {
  if (data.ask === 'play') void play(data.inspection, data.seed);
  else {
    say({ tell: 'sways', sways: findSways(repairOf(assessed(data.inspection))) });
  }
});
