import { MEASURE_WORDS } from '#client/actions/measuring';
import type { Entry } from '#core/model/log/entry';
import { sayEntry } from '#core/model/log/say-entry';
import { sayMeasured, surerThanEye } from '#core/still/say-measured';
import parts from '../shared/parts.module.css';
import styles from './MeasurePanel.module.css';
import type { Measuring } from './useMeasuring';

type Props = {
  readonly measuring: Measuring;
  readonly entry: Entry | null;
  readonly eye: { readonly eyeShareRatio: number; readonly eyeSizeIn: number };
  readonly isGuessing: boolean;
  /** What came of the last guess, in words. */
  readonly guessed: string | null;
  /** Asks the machine for a first guess; absent where that is switched off. */
  readonly onGuess: (() => void) | null;
  readonly onWrite: () => void;
  readonly onClose: () => void;
};

/** What to touch next, what was measured so far, and the press that writes it down. */
export function MeasurePanel(props: Props) {
  const { measuring, entry, eye, isGuessing, onGuess, onWrite, onClose } = props;
  const { what, kinds, part, touches, result, setWhat, setPart } = measuring;
  const isMeasured = !('trouble' in result);
  const surer = isMeasured ? surerThanEye(result, eye) : null;
  return (
    <div className={styles['panel']}>
      <div className={styles['work']}>
        <p className={styles['of']}>
          {entry ? (
            <>
              Measuring <b>{sayEntry(entry).title}</b>
              {entry.readingFt !== null && ` at ${entry.readingFt.toFixed(1)} ft`}
            </>
          ) : (
            'Choose a defect in the log to write the measure into.'
          )}
        </p>
        <div className={styles['kinds']} role="group" aria-label="What is measured">
          {kinds.map((kind) => (
            <button
              key={kind}
              type="button"
              aria-pressed={kind === what}
              onClick={() => setWhat(kind)}
            >
              {MEASURE_WORDS[kind].name}
            </button>
          ))}
        </div>
        <ol className={styles['steps']}>
          <li data-now={part === 'pipe'}>
            <button type="button" onClick={() => setPart('pipe')}>
              <b>The pipe</b> · {touches.pipe.length} touches
            </button>
            <span>Touch the edge of one joint in three places or more.</span>
          </li>
          <li data-now={part === 'vanish'}>
            <button type="button" onClick={() => setPart('vanish')}>
              <b>The far end</b> · {touches.vanish.length === 0 ? 'not touched' : 'touched'}
            </button>
            <span>
              Touch where the pipe vanishes: it is surer for it, as the lens may look askew.
            </span>
          </li>
          {measuring.needsBottom && (
            <li data-now={part === 'bottom'}>
              <button type="button" onClick={() => setPart('bottom')}>
                <b>The bottom</b> · {touches.bottom.length === 0 ? 'not touched' : 'touched'}
              </button>
              <span>This head may be turned: touch where the bottom of the pipe is.</span>
            </li>
          )}
          <li data-now={part === 'on'}>
            <button type="button" onClick={() => setPart('on')}>
              <b>The thing</b> · {touches.on.length} touches
            </button>
            <span>{MEASURE_WORDS[what].touch}</span>
          </li>
        </ol>
        <div className={parts['row']}>
          {onGuess && (
            <button type="button" disabled={isGuessing} onClick={onGuess}>
              First guess
            </button>
          )}
          <button type="button" onClick={measuring.begin}>
            Begin again
          </button>
        </div>
        {props.guessed !== null && <p role="status">{props.guessed}</p>}
      </div>
      <div className={styles['foot']}>
        <p className={styles['result']} role="status" data-measured={isMeasured}>
          {isMeasured ? sayMeasured(result) : result.trouble}
          {surer !== null && surer >= 1.5 && (
            <span className={styles['surer']}>{surer.toFixed(0)} times as sure as by eye</span>
          )}
        </p>
        <div className={parts['row']}>
          <button
            type="button"
            data-act
            disabled={!isMeasured || entry?.kind !== 'defect'}
            onClick={onWrite}
          >
            Write into the log
          </button>
          <button type="button" onClick={onClose}>
            Back to the video
          </button>
        </div>
      </div>
    </div>
  );
}
