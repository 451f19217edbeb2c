import { sayClock } from '#core/recording/say-moment';
import type { Notice } from '#core/vision/frames';
import parts from '../shared/parts.module.css';
import styles from './RecordingPanel.module.css';
import type { LookedThrough } from './useLookThrough';

type Switch = readonly [isOn: boolean, set: (isOn: boolean) => void];

export type MachineProps = {
  readonly looked: LookedThrough;
  readonly canLook: boolean;
  readonly marks: Switch;
  readonly guesses: Switch;
  readonly onNotice: (notice: Notice) => void;
  /** Logs a stretch that cannot be judged as unseen. */
  readonly onUnseen: (notice: Notice) => void;
};

function Tick({ of: [isOn, set], children }: { readonly of: Switch; readonly children: string }) {
  return (
    <label className={styles['tick']}>
      <input type="checkbox" checked={isOn} onChange={(event) => set(event.target.checked)} />
      {children}
    </label>
  );
}

/** What the machine points out, each helper with its switch. It proposes; nothing enters the log by itself. */
export function Machine(props: MachineProps) {
  const { looked, canLook, marks, guesses, onNotice, onUnseen } = props;
  const { notices, progress, isDone, start } = looked;
  return (
    <>
      <h3>Seen by the machine</h3>
      <Tick of={guesses}>A first guess at the pipe’s edge and the water when measuring</Tick>
      <Tick of={marks}>Moments that differ, marked on the time line</Tick>
      {marks[0] && (
        <div className={parts['row']}>
          <button type="button" disabled={!canLook || progress !== null} onClick={start}>
            {isDone ? 'Look through again' : 'Look through the video'}
          </button>
          {progress !== null && <span role="status">{Math.round(progress * 100)}%</span>}
        </div>
      )}
      {marks[0] && isDone && notices.length === 0 && (
        <p className={parts['hint']}>
          Nothing that differs was found. Look for yourself all the same.
        </p>
      )}
      {marks[0] && notices.length > 0 && (
        <ul className={styles['marks']}>
          {notices.map((notice) => (
            <li key={`${notice.kind} ${notice.atMs}`}>
              <button type="button" onClick={() => onNotice(notice)}>
                <span data-reading="true">{sayClock(notice.atMs)}</span> {notice.title}
              </button>
              {notice.toMs !== undefined && (
                <button type="button" onClick={() => onUnseen(notice)}>
                  Log as not seen
                </button>
              )}
            </li>
          ))}
        </ul>
      )}
    </>
  );
}
