import { ArrowDown, ArrowLeft, ArrowRight, ArrowUp, Minus, Plus } from 'lucide-react';
import styles from './BoardScreen.module.css';

const MOVES = [
  ['ArrowLeft', 'Day before', ArrowLeft],
  ['ArrowRight', 'Day after', ArrowRight],
  ['ArrowUp', 'Person above', ArrowUp],
  ['ArrowDown', 'Person below', ArrowDown],
  ['-', '15 minutes earlier', Minus],
  ['+', '15 minutes later', Plus],
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
        Drop here
      </button>
      <button type="button" onClick={() => onKey('Escape')}>
        Cancel
      </button>
    </div>
  );
}
