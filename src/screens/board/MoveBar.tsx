import { ArrowDown, ArrowLeft, ArrowRight, ArrowUp, Minus, Plus } from 'lucide-react';
import styles from './BoardScreen.module.css';

const MOVES = [
  ['ArrowLeft', 'A day sooner', ArrowLeft],
  ['ArrowRight', 'A day later', ArrowRight],
  ['ArrowUp', 'Who stands above', ArrowUp],
  ['ArrowDown', 'Who stands below', ArrowDown],
  ['-', 'A quarter of an hour sooner', Minus],
  ['+', 'A quarter of an hour later', Plus],
] as const;

type Props = {
  /** What is taken up. */
  readonly title: string;
  readonly onKey: (key: string) => boolean;
};

/** The keys that move a job, for hands without a keyboard. */
export function MoveBar({ title, onKey }: Props) {
  return (
    <div className={styles['moves']} role="toolbar" aria-label={`Move ${title}`}>
      {MOVES.map(([key, label, Icon]) => (
        <button key={key} type="button" aria-label={label} onClick={() => onKey(key)}>
          <Icon size={20} aria-hidden="true" />
        </button>
      ))}
      <button type="button" className={styles['down']} onClick={() => onKey('Enter')}>
        Put it down
      </button>
      <button type="button" onClick={() => onKey('Escape')}>
        Let it be
      </button>
    </div>
  );
}
