import type { Pass } from '#core/catalogue/vocabulary';
import { sayClock } from '#core/recording/say-moment';
import type { Standing } from '#core/recording/timeline';
import { Form } from '../shared/Form';
import styles from './LookScreen.module.css';

type Props = {
  readonly here: Standing | null;
  readonly atMs: number;
  readonly onMark: (readingFt: number, pass: Pass) => void;
  readonly onCancel: () => void;
};

/** Sets the footage of the moment that is shown. */
export function MarkForm({ here, atMs, onMark, onCancel }: Props) {
  return (
    <Form
      className={styles['mark']}
      onKeyDown={(event) => {
        if (event.key === 'Escape') onCancel();
      }}
      onTyped={({ number, text }) => {
        const readingFt = number('feet');
        if (readingFt >= 0) onMark(readingFt, text('pass') === 'back' ? 'back' : 'out');
      }}
    >
      <label htmlFor="mark-feet">The counter at {sayClock(atMs)} reads, feet</label>
      <input
        id="mark-feet"
        name="feet"
        inputMode="decimal"
        defaultValue={here ? here.readingFt.toFixed(1) : ''}
        // eslint-disable-next-line jsx-a11y/no-autofocus -- it was asked for to be typed into
        autoFocus
      />
      <label>
        <span className="hidden-visually">Pass</span>
        <select name="pass" defaultValue={here?.pass ?? 'out'}>
          <option value="out">going out</option>
          <option value="back">coming back</option>
        </select>
      </label>
      <button type="submit">Set</button>
      <button type="button" onClick={onCancel}>
        Cancel
      </button>
    </Form>
  );
}
