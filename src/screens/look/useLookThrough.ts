import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import type { Pace } from '#core/recording/timeline';
import {
  type Frame,
  FRAME_HEIGHT,
  FRAME_WIDTH,
  type Notice,
  noticesOf,
  pacesOf,
  readFrame,
} from '#core/vision/frames';

/** A picture is taken of the recording this often, ms of its own time. */
const EVERY_MS = 250;
/** The recording is looked through at this speed: browsers show most pictures of it. */
const RATE = 8;

export type LookedThrough = {
  /** How far it has come, 0 to 1; `null` while nothing is under way. */
  readonly progress: number | null;
  readonly isDone: boolean;
  readonly notices: readonly Notice[];
  readonly paces: readonly Pace[];
  readonly start: () => void;
};

const NONE: readonly Frame[] = [];

/**
 * Lets the machine look through a recording: small pictures of it, beside what is looked at, at many times its speed.
 * What differs from what came before is pointed out; how much the picture moves tells when the camera did.
 */
export function useLookThrough(url: string | null, durationMs: number | null): LookedThrough {
  const [frames, setFrames] = useState<readonly Frame[]>(NONE);
  const [progress, setProgress] = useState<number | null>(null);
  const video = useRef<HTMLVideoElement | null>(null);
  const stop = useCallback(() => {
    video.current?.pause();
    video.current?.removeAttribute('src');
    video.current = null;
    setProgress(null);
  }, []);
  useEffect(() => {
    setFrames(NONE);
    return stop;
  }, [url, stop]);

  const start = () => {
    if (url === null || durationMs === null || video.current) return;
    const hidden = document.createElement('video');
    const canvas = document.createElement('canvas');
    canvas.width = FRAME_WIDTH;
    canvas.height = FRAME_HEIGHT;
    const context = canvas.getContext('2d', { willReadFrequently: true });
    if (!context) return;
    video.current = hidden;
    hidden.muted = true;
    hidden.src = url;
    hidden.playbackRate = RATE;
    setProgress(0);
    const taken: Frame[] = [];
    let nextMs = 0;
    let toldMs = 0;
    const take = () => {
      if (video.current !== hidden) return;
      const atMs = hidden.currentTime * 1000;
      if (atMs >= nextMs) {
        nextMs = atMs + EVERY_MS;
        context.drawImage(hidden, 0, 0, FRAME_WIDTH, FRAME_HEIGHT);
        taken.push(readFrame(context.getImageData(0, 0, FRAME_WIDTH, FRAME_HEIGHT).data, atMs));
      }
      if (performance.now() - toldMs > 300) {
        toldMs = performance.now();
        setProgress(Math.min(1, atMs / durationMs));
      }
      if (!hidden.ended) hidden.requestVideoFrameCallback(take);
    };
    const end = () => {
      if (video.current !== hidden) return;
      setFrames(taken);
      stop();
    };
    hidden.onended = end;
    hidden.onerror = end;
    hidden.requestVideoFrameCallback(take);
    hidden.play().catch(end);
  };
  const notices = useMemo(() => noticesOf(frames), [frames]);
  const paces = useMemo(() => (frames.length > 8 ? pacesOf(frames) : []), [frames]);
  return { progress, isDone: frames.length > 0, notices, paces, start };
}
