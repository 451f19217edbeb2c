import { useEffect, useMemo, useState } from 'react';
import { computeLateral, type LateralModel, type LateralRequest } from '#core/section/lateral-view';
import type { Answered, Asked } from './lateral-worker';

/** A frame: whatever takes longer is computed elsewhere, so that the screen never waits. */
const FRAME_MS = 16;

type Timed = { readonly model: LateralModel; readonly tookMs: number };

function computeTimed(request: LateralRequest): Timed {
  const startMs = performance.now();
  const model = computeLateral(request);
  return { model, tookMs: performance.now() - startMs };
}

/**
 * What the screen shows for a request. Computed at once while that takes less than a frame; once it
 * takes longer (twice, for the first time is slow for want of warm-up) in a worker from then on, with
 * the last answer standing meanwhile.
 */
export function useLateral(request: LateralRequest): LateralModel {
  const { inspection, lineId, width, view, atFt } = request;
  const [slowTimes, setSlowTimes] = useState(0);
  const [answered, setAnswered] = useState<LateralModel | null>(null);
  const isAway = slowTimes >= 2 && answered !== null;
  const inline = useMemo(
    () => (isAway ? null : computeTimed({ inspection, lineId, width, view, atFt })),
    [isAway, inspection, lineId, width, view, atFt],
  );

  useEffect(() => {
    if (!inline || inline.tookMs <= FRAME_MS) return;
    setAnswered(inline.model);
    setSlowTimes((times) => times + 1);
  }, [inline]);

  const worker = useMemo(() => (isAway ? startWorker() : null), [isAway]);
  useEffect(() => () => worker?.terminate(), [worker]);
  useEffect(() => {
    if (!worker) return;
    const asked: Asked = { request: { inspection, lineId, width, view, atFt } };
    let isWanted = true;
    // Answers come in the order of the questions: one that is late is soon replaced.
    const onAnswer = ({ data }: MessageEvent<Answered>) => isWanted && setAnswered(data.model);
    worker.addEventListener('message', onAnswer);
    worker.postMessage(asked);
    return () => {
      isWanted = false;
      worker.removeEventListener('message', onAnswer);
    };
  }, [worker, inspection, lineId, width, view, atFt]);

  return (inline?.model ?? answered)!;
}

const startWorker = () =>
  new Worker(new URL('./lateral-worker.ts', import.meta.url), { type: 'module' });
