import { useEffect } from 'react';
import { changeRecording } from '#client/actions/recordings';
import { findCounter } from '#client/recording/counter-on-device';
import type { CounterPoint, Recording } from '#core/model/job/recording';
import type { LookActs } from './useLookActs';

/** A recording may still be going on in another tab until so long after it began and its last picture, ms. */
const GOES_ON_MS = 60_000;

/**
 * Notes how long a recording is, once a player has told: of a file that was added, and of one that was cut off when
 * its page was killed, together with what its reel had told until then.
 */
export function useUnfinished(
  change: LookActs['change'],
  recording: Recording | null,
  durationMs: number | null,
): void {
  const isKnown = recording?.durationMs !== undefined;
  useEffect(() => {
    if (!recording || isKnown || durationMs === null) return;
    const startedMs =
      recording.startedAt === undefined ? -Infinity : Date.parse(recording.startedAt);
    if (Date.now() - startedMs - durationMs < GOES_ON_MS) return;
    const note = (counter: readonly CounterPoint[]) => {
      const read = counter.length > 1 && !recording.counter ? { counter } : {};
      const ended = { durationMs: Math.round(durationMs), ...read };
      change((now) => changeRecording(now, recording.id, ended));
    };
    // What a reel told is lost with a device that keeps nothing; the length is noted all the same.
    findCounter(recording.id).then(note, () => note([]));
    // eslint-disable-next-line react-hooks/exhaustive-deps -- once for each recording, when its length is known
  }, [recording?.id, isKnown, durationMs]);
}
