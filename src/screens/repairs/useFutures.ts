import { startTransition, useCallback, useEffect, useRef, useState } from 'react';
import type { Inspection } from '#core/model/job/inspection';
import type { Played } from '#core/planning/futures/play';
import type { Sway } from '#core/planning/futures/sensitivity';
import type { PlanId } from '#core/planning/plans/plan';
import type { Repair } from '#core/planning/repair';
import type { Answered, Asked } from './futures-worker';

/** How the playing stands. */
export type Playing =
  | { readonly state: 'playing'; readonly share: number }
  | { readonly state: 'done'; readonly tookMs: number }
  | { readonly state: 'stopped' };

export type FuturesModel = {
  readonly played: readonly Played<PlanId>[] | null;
  readonly playing: Playing;
  readonly sways: readonly Sway[] | null;
  readonly stop: () => void;
  readonly again: () => void;
};

/** The same every time: who looks twice sees the same numbers. */
const SEED = 20_261_103;

const startWorker = () =>
  new Worker(new URL('./futures-worker.ts', import.meta.url), { type: 'module' });

/** Plays the futures away from the screen, anew whenever a plan or a rate changes. */
export function useFutures(inspection: Inspection, { futures }: Repair): FuturesModel {
  const [played, setPlayed] = useState<readonly Played<PlanId>[] | null>(null);
  const [sways, setSways] = useState<readonly Sway[] | null>(null);
  const [playing, setPlaying] = useState<Playing>({ state: 'playing', share: 0 });
  const [round, setRound] = useState(0);
  const worker = useRef<Worker | null>(null);
  const current = useRef(inspection);
  useEffect(() => {
    current.current = inspection;
  });
  // What the histories are played from: the horizon is not in it, for all years are always played.
  const key = JSON.stringify(futures);

  useEffect(() => {
    const started = startWorker();
    worker.current = started;
    started.addEventListener('message', ({ data }: MessageEvent<Answered>) => {
      if (data.tell === 'progress') setPlaying({ state: 'playing', share: data.share });
      else if (data.tell === 'sways') startTransition(() => setSways(data.sways));
      else {
        // What is said to be played is what is drawn.
        startTransition(() => {
          setPlayed(data.played);
          setPlaying({ state: 'done', tookMs: data.tookMs });
        });
      }
    });
    setPlaying({ state: 'playing', share: 0 });
    const asked: Asked = { ask: 'play', inspection: current.current, seed: SEED };
    started.postMessage(asked);
    return () => started.terminate();
  }, [key, round]);

  // Which assumption moves the answer depends on the horizon as well.
  useEffect(() => {
    const asked: Asked = { ask: 'sways', inspection };
    worker.current?.postMessage(asked);
  }, [inspection, key, round]);

  const stop = useCallback(() => {
    worker.current?.terminate();
    setPlaying({ state: 'stopped' });
  }, []);
  return { played, playing, sways, stop, again: () => setRound((now) => now + 1) };
}
