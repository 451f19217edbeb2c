import { useCallback, useEffect, useRef, useState } from 'react';
import { ulid } from 'ulid';
import { addRecording, changeRecording } from '#client/actions/recordings';
import type { CounterReading } from '#client/gear/gear';
import type { JobOnDevice } from '#client/job-on-device';
import { keepCounter, thinned, withReading } from '#client/recording/counter-on-device';
import {
  freeBytes,
  LEAST_FREE_BYTES,
  minutesIn,
  recordedType,
  type Recorder,
  startRecorder,
} from '#client/recording/recorder';
import { localInstant } from '#client/time';
import type { CounterPoint, Recording } from '#core/model/job/recording';
import type { Run } from '#core/model/job/run';

export type RunRecorder = {
  readonly isAble: boolean;
  readonly isRecording: boolean;
  /** Seconds since it began. */
  readonly seconds: number;
  /** Minutes that this device still has room for; `null` where nobody knows. */
  readonly minutesLeft: number | null;
  readonly trouble: string | null;
  /** Begins; `counterFt` is what a reel that tells its reading stands at, `null` where none tells. */
  readonly start: (
    stream: MediaStream,
    source: Recording['source'],
    counterFt: number | null,
  ) => void;
  /** A reading of a reel that tells: it is kept beside the picture while that is recorded. */
  readonly hearCounter: (reading: CounterReading) => void;
  readonly stop: () => void;
};

/** What a reel told is put by this often while it is recorded, ms. */
const COUNTER_MS = 5000;
/** Room is looked at this often while it records, ms. */
const LOOK_MS = 10_000;

/** Records a run's picture on this device, piece by piece; the server gets it when it can be reached. */
export function useRecorder(job: JobOnDevice, run: Run | null): RunRecorder {
  const recorder = useRef<(Recorder & { readonly id: string }) | null>(null);
  const counter = useRef<readonly CounterPoint[]>([]);
  const keptAtMs = useRef(0);
  const [startedAtMs, setStartedAtMs] = useState<number | null>(null);
  const [seconds, setSeconds] = useState(0);
  const [minutesLeft, setMinutesLeft] = useState<number | null>(null);
  const [trouble, setTrouble] = useState<string | null>(null);
  const [isAble, setAble] = useState(false);
  useEffect(() => setAble(recordedType() !== null), []);
  useEffect(() => () => void recorder.current?.stop(), []);

  useEffect(() => {
    if (startedAtMs === null) return;
    const tick = setInterval(() => setSeconds(Math.floor((Date.now() - startedAtMs) / 1000)), 1000);
    const look = async () => {
      const free = await freeBytes();
      if (free === null) return;
      setMinutesLeft(Math.max(0, minutesIn(free)));
      if (free > LEAST_FREE_BYTES) return;
      setTrouble(
        'The recording has ended: this device has no more room. What was recorded is kept.',
      );
      void recorder.current?.stop();
    };
    void look();
    const looking = setInterval(() => void look(), LOOK_MS);
    return () => {
      clearInterval(tick);
      clearInterval(looking);
    };
  }, [startedAtMs]);

  const hearCounter = useCallback(({ readingFt }: CounterReading) => {
    const made = recorder.current;
    if (!made) return;
    const atMs = Date.now() - made.startedAtMs;
    counter.current = withReading(counter.current, [atMs, Math.round(readingFt * 100) / 100]);
    if (atMs - keptAtMs.current < COUNTER_MS) return;
    keptAtMs.current = atMs;
    counter.current = thinned(counter.current);
    keepCounter(made.id, counter.current);
  }, []);
  const start = (stream: MediaStream, source: Recording['source'], counterFt: number | null) => {
    if (!run || recorder.current) return;
    const id = ulid();
    const runId = run.id;
    const number = (run.recordings?.length ?? 0) + 1;
    setTrouble(null);
    try {
      const made = startRecorder(
        stream,
        (piece, blob) => job.addPiece(id, piece, blob),
        () => {
          recorder.current = null;
          setStartedAtMs(null);
          const now = job.latest().runs.find((one) => one.id === runId);
          const durationMs = Date.now() - made.startedAtMs;
          const last = counter.current.at(-1);
          const points = last ? thinned(withReading(counter.current, [durationMs, last[1]])) : [];
          const read = points.length > 1 ? { counter: points } : {};
          if (now) job.change(changeRecording(now, id, { durationMs, ...read }));
        },
      );
      recorder.current = { ...made, id };
      counter.current = counterFt === null ? [] : [[0, counterFt]];
      keptAtMs.current = 0;
      setSeconds(0);
      setStartedAtMs(made.startedAtMs);
      const startedAt = localInstant(new Date(made.startedAtMs));
      job.change(
        addRecording(run, { id, name: `Recording ${number}`, source, place: 'server', startedAt }),
      );
    } catch {
      setTrouble(
        'This browser does not record this picture. Record on the reel, and add its video on Look again.',
      );
    }
  };
  return {
    isAble,
    isRecording: startedAtMs !== null,
    seconds,
    minutesLeft,
    trouble,
    start,
    hearCounter,
    stop: () => void recorder.current?.stop(),
  };
}
