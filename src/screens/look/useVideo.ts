import { type RefObject, useCallback, useEffect, useRef, useState } from 'react';
import { stillOf } from '#client/recording/still-of';

/** Speeds at which a recording is looked through. */
export const RATES = [0.25, 0.5, 1, 1.5, 2, 4] as const;
/** One picture of a recording whose own rate nobody knows, seconds. */
const FRAME_S = 1 / 30;
/** The screen follows the picture no more often than this, ms. */
const FOLLOW_MS = 90;

export type Video = {
  readonly atMs: number;
  readonly durationMs: number | null;
  /** Whether a picture is there to be looked at. */
  readonly isReady: boolean;
  readonly isPlaying: boolean;
  readonly rate: number;
  readonly trouble: string | null;
  readonly toggle: () => void;
  readonly pause: () => void;
  readonly seek: (ms: number) => void;
  readonly step: (frames: number) => void;
  readonly changeRate: (by: 1 | -1) => void;
  /** Goes to a moment and waits until its picture is shown. */
  readonly show: (ms: number) => Promise<void>;
  /** The picture of now as JPEG; `null` while there is none. */
  readonly still: () => Promise<Blob | null>;
  /** What the element tells, to be put on it. */
  readonly events: {
    readonly onLoadedMetadata: () => void;
    readonly onDurationChange: () => void;
    readonly onLoadedData: () => void;
    readonly onTimeUpdate: () => void;
    readonly onSeeked: () => void;
    readonly onPlay: () => void;
    readonly onPause: () => void;
    readonly onError: () => void;
  };
};

/** Far behind the end of any recording, seconds: asked for, a file without a length finds its own end. */
const BEYOND_S = 1e7;

/**
 * A video element as a player: where it is, and what it can be told.
 *
 * @param knownMs how long the recording is, where somebody noted it.
 */
export function useVideo(
  url: string | null,
  knownMs: number | undefined,
): readonly [ref: RefObject<HTMLVideoElement | null>, video: Video] {
  const ref = useRef<HTMLVideoElement>(null);
  const [atMs, setAtMs] = useState(0);
  const [durationMs, setDurationMs] = useState<number | null>(null);
  const [isReady, setReady] = useState(false);
  const [isPlaying, setPlaying] = useState(false);
  const [rate, setRate] = useState(1);
  const [trouble, setTrouble] = useState<string | null>(null);
  const isMeasuring = useRef(false);
  /** Where to go once its end is found, seconds: somebody may ask before. */
  const wanted = useRef(0);
  useEffect(() => {
    setAtMs(0);
    setDurationMs(null);
    setReady(false);
    setPlaying(false);
    setTrouble(null);
    isMeasuring.current = false;
    wanted.current = 0;
  }, [url]);

  // While it plays the screen follows, as often as somebody can tell.
  useEffect(() => {
    if (!isPlaying) return;
    let frame = 0;
    let toldMs = -Infinity;
    const follow = (nowMs: number) => {
      if (nowMs - toldMs >= FOLLOW_MS && ref.current) {
        toldMs = nowMs;
        setAtMs(ref.current.currentTime * 1000);
      }
      frame = requestAnimationFrame(follow);
    };
    frame = requestAnimationFrame(follow);
    return () => cancelAnimationFrame(frame);
  }, [isPlaying]);

  const seek = useCallback((ms: number) => {
    const video = ref.current;
    if (!video) return;
    const most = Number.isFinite(video.duration) ? video.duration : Infinity;
    const atS = Math.min(most, Math.max(0, ms / 1000));
    if (isMeasuring.current) wanted.current = atS;
    else video.currentTime = atS;
    setAtMs(atS * 1000);
  }, []);
  const pause = useCallback(() => ref.current?.pause(), []);
  const play = () => {
    ref.current?.play().catch(() => setTrouble('The browser does not play this file.'));
  };
  const readDuration = () => {
    const video = ref.current;
    if (!video) return;
    if (Number.isFinite(video.duration)) setDurationMs(video.duration * 1000);
    else if (knownMs !== undefined) setDurationMs(knownMs);
    else if (!isMeasuring.current) {
      // A recording that was cut off, or is still being made, does not say how long it is.
      isMeasuring.current = true;
      video.currentTime = BEYOND_S;
    }
  };
  const show = async (ms: number) => {
    const video = ref.current;
    if (!video) return;
    video.pause();
    await new Promise<void>((resolve) => {
      video.addEventListener('seeked', () => resolve(), { once: true });
      seek(ms);
    });
  };
  const player: Video = {
    atMs,
    durationMs,
    isReady,
    isPlaying,
    rate,
    trouble,
    toggle: () => (ref.current?.paused === false ? pause() : play()),
    pause,
    seek,
    step: (frames) => {
      pause();
      seek((ref.current?.currentTime ?? 0) * 1000 + frames * FRAME_S * 1000);
    },
    changeRate: (by) => {
      const index = RATES.indexOf(rate as (typeof RATES)[number]) + by;
      const next = RATES[Math.min(RATES.length - 1, Math.max(0, index))]!;
      if (ref.current) ref.current.playbackRate = next;
      setRate(next);
    },
    show,
    still: () => stillOf(ref.current),
    events: {
      onLoadedMetadata: readDuration,
      onDurationChange: readDuration,
      onLoadedData: () => setReady(true),
      onTimeUpdate: () => {
        if (!isMeasuring.current) setAtMs((ref.current?.currentTime ?? 0) * 1000);
      },
      onSeeked: () => {
        const video = ref.current;
        if (!video) return;
        if (isMeasuring.current) {
          isMeasuring.current = false;
          const endS = Number.isFinite(video.duration) ? video.duration : video.currentTime;
          setDurationMs(endS * 1000);
          video.currentTime = Math.min(wanted.current, endS);
          return;
        }
        setAtMs(video.currentTime * 1000);
      },
      onPlay: () => setPlaying(true),
      onPause: () => setPlaying(false),
      onError: () =>
        setTrouble(
          'The browser cannot show this video. It shows WebM and most MP4 files; save it as MP4 (H.264) and choose it again.',
        ),
    },
  };
  return [ref, player];
}
