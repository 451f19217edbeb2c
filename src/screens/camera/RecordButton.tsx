import { CircleStop, Disc } from 'lucide-react';
import type { Recording } from '#core/model/job/recording';
import { sayClock } from '#core/recording/say-moment';
import type { RunRecorder } from '../device/useRecorder';

type Props = {
  readonly recorder: RunRecorder;
  /** What is recorded; `null` while there is no picture. */
  readonly stream: MediaStream | null;
  readonly source: Recording['source'];
  /** Where a reel that tells its reading stands; `null` where none tells. */
  readonly counterFt?: number | null;
};

/** Begins and ends a recording, and says how long it is and how much more there is room for. */
export function RecordButton({ recorder, stream, source, counterFt = null }: Props) {
  const { isAble, isRecording, seconds, minutesLeft, start, stop } = recorder;
  if (!isAble) return null;
  if (!isRecording)
    return (
      <button
        type="button"
        disabled={!stream}
        onClick={() => stream && start(stream, source, counterFt)}
      >
        <Disc size={20} aria-hidden="true" /> Record
      </button>
    );
  return (
    <button type="button" data-on="true" onClick={stop}>
      <CircleStop size={20} aria-hidden="true" /> Stop{' '}
      <span data-reading="true">{sayClock(seconds * 1000)}</span>
      {minutesLeft !== null && minutesLeft < 120 && ` · room for ${minutesLeft} min`}
    </button>
  );
}
