import { ulid } from 'ulid';
import type { Doing } from '#client/job-on-device';
import type { CounterPoint, Recording, SetMark } from '#core/model/job/recording';
import type { Run } from '#core/model/job/run';

/** The change of a run's recordings: over the run as it is now, or what came to it meanwhile would be taken back. */
function withRecordings(run: Run, recordings: readonly Recording[]): Doing {
  const { entries: _entries, ...setup } = run;
  return { what: 'run', setup: { ...setup, recordings } };
}

/** A recording more. */
export const addRecording = (run: Run, recording: Recording): Doing =>
  withRecordings(run, [...(run.recordings ?? []), recording]);

/** A recording with something changed. */
export const changeRecording = (run: Run, id: string, more: Partial<Recording>): Doing =>
  withRecordings(
    run,
    (run.recordings ?? []).map((one) => (one.id === id ? { ...one, ...more } : one)),
  );

/** A footage set by hand at a moment; one set within a second of it gives way. */
export function setMark(run: Run, recording: Recording, mark: Omit<SetMark, 'id'>): Doing {
  const atMs = Math.round(mark.atMs);
  const others = (recording.marks ?? []).filter((one) => Math.abs(one.atMs - atMs) > 1000);
  return changeRecording(run, recording.id, {
    marks: [...others, { ...mark, atMs, id: ulid() }].sort((a, b) => a.atMs - b.atMs),
  });
}

/** Takes a mark out that was set by hand. */
export const takeMark = (run: Run, recording: Recording, id: string): Doing =>
  changeRecording(run, recording.id, {
    marks: (recording.marks ?? []).filter((one) => one.id !== id),
  });

/** The reel's own record of its counter. */
export const setCounter = (
  run: Run,
  recording: Recording,
  counter: readonly CounterPoint[],
): Doing => changeRecording(run, recording.id, { counter });
