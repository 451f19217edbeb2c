import { useState } from 'react';
import { Form } from '../shared/Form';
import form from '../shared/form.module.css';
import { useReady } from '../shared/useReady';
import styles from './Ties.module.css';

type Props = {
  /** A line that would do, for these runs. */
  readonly example: string;
  /** Ties what the line says; returns what is wrong with it, or `null` when it is tied. */
  readonly onLine: (line: string) => string | null;
};

/** A tie by typing: two runs and their footages; or a tape: two accesses and the feet between. */
export function AddTie({ example, onLine }: Props) {
  const ready = useReady();
  const [line, setLine] = useState('');
  const [trouble, setTrouble] = useState<string | null>(null);
  const submit = () => {
    const wrong = onLine(line);
    setTrouble(wrong);
    if (wrong === null) setLine('');
  };
  return (
    <Form className={styles['add']} onTyped={submit}>
      <label htmlFor="tie-line">One thing that two runs saw, or a tape</label>
      <div>
        <input
          id="tie-line"
          value={line}
          placeholder={example}
          autoComplete="off"
          disabled={!ready}
          aria-invalid={trouble !== null}
          aria-describedby={trouble === null ? undefined : 'tie-trouble'}
          onChange={(event) => setLine(event.target.value)}
        />
        <button className={form['act']} type="submit" disabled={!ready}>
          Tie
        </button>
      </div>
      {trouble !== null && (
        <p id="tie-trouble" className={form['error']} role="alert">
          {trouble}
        </p>
      )}
    </Form>
  );
}
