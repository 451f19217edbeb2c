import type { Inspection } from '#core/model/job/inspection';
import { labelIn, labelOf } from '#core/model/job/labels';
import type { Recording } from '#core/model/job/recording';
import type { Run } from '#core/model/job/run';
import styles from './LookScreen.module.css';

type Props = {
  readonly inspection: Inspection;
  readonly run: Run;
  readonly recording: Recording | null;
  readonly onRun: (id: string) => void;
  readonly onRecording: (id: string) => void;
};

/** Which run and which of its videos is looked at, where there are several. */
export function RunChoice({ inspection, run, recording, onRun, onRecording }: Props) {
  const recordings = run.recordings ?? [];
  if (inspection.runs.length < 2 && recordings.length < 2) return null;
  return (
    <div className={styles['choose']}>
      {inspection.runs.length > 1 && (
        <select aria-label="Run" value={run.id} onChange={(event) => onRun(event.target.value)}>
          {inspection.runs.map((one) => (
            <option key={one.id} value={one.id}>
              {labelOf(one)} from {labelIn(inspection.accessPoints, one.accessPointId)}
            </option>
          ))}
        </select>
      )}
      {recordings.length > 1 && recording && (
        <select
          aria-label="Video"
          value={recording.id}
          onChange={(event) => onRecording(event.target.value)}
        >
          {recordings.map(({ id, name }) => (
            <option key={id} value={id}>
              {name}
            </option>
          ))}
        </select>
      )}
    </div>
  );
}
