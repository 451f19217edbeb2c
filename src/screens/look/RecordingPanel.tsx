import { useId } from 'react';
import { instantOfFields, localInstant } from '#client/time';
import type { Recording } from '#core/model/job/recording';
import type { Run } from '#core/model/job/run';
import { sayClock } from '#core/recording/say-moment';
import type { Timeline } from '#core/recording/timeline';
import parts from '../shared/parts.module.css';
import { Machine, type MachineProps } from './Machine';
import styles from './RecordingPanel.module.css';
import { TakeVideo } from './TakeVideo';

type Props = {
  readonly run: Run;
  readonly recording: Recording | null;
  readonly timeline: Timeline;
  /** How far a file that is being stored has come, in words. */
  readonly progress: string | null;
  readonly trouble: string | null;
  readonly onAdd: (file: File, isStored: boolean, handle: FileSystemFileHandle | null) => void;
  readonly onCounter: (text: string) => void;
  readonly onStart: (instant: string) => void;
  readonly onTakeMark: (id: string) => void;
  readonly onGo: (ms: number) => void;
  readonly onChapters: () => void;
  readonly machine: MachineProps;
};

/** An instant as a field for date and time shows it, in the device's own time. */
function fieldOf(instant: string): string {
  const date = new Date(instant);
  return new Date(date.getTime() - date.getTimezoneOffset() * 60_000).toISOString().slice(0, 19);
}

/** A moment as its field holds it, to the second, as an instant. */
function instantOf(typed: string): string {
  const [day = '', time = ''] = typed.split('T');
  const minute = Date.parse(instantOfFields(day, time.slice(0, 5)));
  return new Date(minute + Number(time.slice(6, 8) || 0) * 1000).toISOString();
}

/** What is known of a recording: when it began, its counter, the footages set by hand, its chapters. */
export function RecordingPanel(props: Props) {
  const { run, recording, timeline, progress, trouble } = props;
  const id = useId();
  const { onAdd, onCounter, onStart, onTakeMark, onGo, onChapters } = props;
  const marks = recording?.marks ?? [];
  const hasAny = (run.recordings?.length ?? 0) > 0;
  // A file is last written when the recording ends, unless it was copied since: offered, and not taken for so.
  const { startedAt, writtenAt, durationMs } = recording ?? {};
  const guessed =
    startedAt === undefined && writtenAt !== undefined && durationMs !== undefined
      ? localInstant(new Date(Date.parse(writtenAt) - durationMs))
      : null;
  return (
    <div className={styles['panel']}>
      {progress !== null && <p role="status">{progress}</p>}
      {trouble !== null && <p role="alert">{trouble}</p>}
      {recording && (
        <>
          <label htmlFor={`${id}start`}>When it began</label>
          <input
            id={`${id}start`}
            type="datetime-local"
            step={1}
            key={`${recording.id} ${recording.startedAt}`}
            defaultValue={recording.startedAt === undefined ? '' : fieldOf(recording.startedAt)}
            onBlur={(event) => {
              const { value, defaultValue } = event.target;
              if (value !== '' && value !== defaultValue) onStart(instantOf(value));
            }}
          />
          {guessed !== null && (
            <div className={parts['row']}>
              <button type="button" onClick={() => onStart(guessed)}>
                {fieldOf(guessed).replace('T', ', ')}, by its file
              </button>
            </div>
          )}
          <p className={parts['hint']}>
            What was logged while it ran is laid beside it by this. Where it is off, set the footage
            at two places that you can see.
          </p>
          <label htmlFor={`${id}csv`}>The reel’s counter, as CSV (time, reading)</label>
          <input
            id={`${id}csv`}
            type="file"
            accept=".csv,.txt,text/csv"
            onChange={(event) => {
              const file = event.target.files?.[0];
              event.target.value = '';
              if (file) void file.text().then(onCounter);
            }}
          />
          {recording.counter && (
            <p className={parts['hint']}>{recording.counter.length} readings are laid beside it.</p>
          )}
          {marks.length > 0 && (
            <>
              <h3>Footage set by hand</h3>
              <ul className={styles['marks']}>
                {marks.map((mark) => (
                  <li key={mark.id}>
                    <button type="button" onClick={() => onGo(mark.atMs)}>
                      <span data-reading="true">{sayClock(mark.atMs)}</span>{' '}
                      <span data-reading="true">{mark.readingFt.toFixed(1)} ft</span>, {mark.pass}
                    </button>
                    <button
                      type="button"
                      aria-label={`Take out the footage at ${sayClock(mark.atMs)}`}
                      onClick={() => onTakeMark(mark.id)}
                    >
                      Take out
                    </button>
                  </li>
                ))}
              </ul>
            </>
          )}
          {timeline.misfits.map(([one, two]) => (
            <p key={`${one.atMs} ${two.atMs}`} role="alert">
              From {one.readingFt.toFixed(1)} ft at {sayClock(one.atMs)} to{' '}
              {two.readingFt.toFixed(1)} ft at {sayClock(two.atMs)} no hand moves a camera: one of
              the two is wrong.
            </p>
          ))}
          <div className={parts['row']}>
            <button type="button" onClick={onChapters}>
              Save chapters (WebVTT)
            </button>
          </div>
          <Machine {...props.machine} />
          <hr />
        </>
      )}
      {hasAny ? (
        <>
          <h3>Another video of this run</h3>
          <TakeVideo onAdd={onAdd} />
        </>
      ) : (
        <p>
          No video lies beside this run yet. Once you open one, this is where you say when it began
          and what its counter read, and where Chert looks through it.
        </p>
      )}
    </div>
  );
}
