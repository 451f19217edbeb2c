import { Minus, Plus } from 'lucide-react';
import { useState } from 'react';
import styles from './Counter.module.css';

/** What turns the counter. */
export type CounterBy = 'hand' | 'rig' | 'reel' | 'picture';

type Props = {
  readonly counterFt: number | null;
  readonly by: CounterBy;
  readonly onCounter: (counterFt: number) => void;
  readonly onStep: (byFt: number) => void;
};

/** The reel's counter, typed or stepped; half-typed text is kept until it is a number. */
export function Counter({ counterFt, by, onCounter, onStep }: Props) {
  const [typed, setTyped] = useState<string | null>(null);
  const commit = () => {
    const value = Number(typed);
    if (typed !== null && typed.trim() !== '' && Number.isFinite(value) && value >= 0)
      onCounter(value);
    setTyped(null);
  };
  if (by !== 'hand') {
    return (
      <div className={styles['counter']}>
        <p>Counter, ft</p>
        <output>{counterFt?.toFixed(1) ?? '–'}</output>
        <p>from the {by}</p>
      </div>
    );
  }
  return (
    <div className={styles['counter']}>
      <label htmlFor="counter">Counter, ft</label>
      <div>
        <button type="button" aria-label="Counter down one foot" onClick={() => onStep(-1)}>
          <Minus size={20} aria-hidden="true" />
        </button>
        <input
          id="counter"
          inputMode="decimal"
          value={typed ?? (counterFt ?? 0).toFixed(1)}
          onFocus={(event) => event.target.select()}
          onChange={(event) => setTyped(event.target.value)}
          onBlur={commit}
          onKeyDown={(event) => {
            if (event.key !== 'Enter') return;
            event.preventDefault();
            commit();
            document.getElementById('line')?.focus();
          }}
        />
        <button type="button" aria-label="Counter up one foot" onClick={() => onStep(1)}>
          <Plus size={20} aria-hidden="true" />
        </button>
      </div>
      <div className={styles['tenths']}>
        {[-5, -0.1, 0.1, 5].map((byFt) => (
          <button key={byFt} type="button" onClick={() => onStep(byFt)}>
            {byFt > 0 ? `+${byFt}` : `−${-byFt}`}
          </button>
        ))}
      </div>
    </div>
  );
}
