import styles from './ScopeScreen.module.css';
import type { Waiting } from './outbox';
import type { SaveState } from './sender';

type Props = {
  readonly save: SaveState;
  readonly waiting: readonly Waiting[];
  readonly onTakeOut: (entryId: string) => void;
};

/** Whether everything logged is on the server, and what is not. */
export function SaveMark({ save, waiting, onTakeOut }: Props) {
  const refused = waiting.filter((one) => one.refused !== undefined);
  const toSend = waiting.length - refused.length;
  const text =
    toSend === 0
      ? 'Saved'
      : save === 'unreachable'
        ? `Kept on this device · ${toSend} to send`
        : `Saving ${toSend}`;
  return (
    <div className={styles['save']}>
      <p role="status" data-state={toSend === 0 ? 'saved' : save}>
        {text}
      </p>
      {refused.map(({ entry, refused: why }) => (
        <p key={entry.id} className={styles['refused']} role="alert">
          Not stored: {why}{' '}
          <button type="button" onClick={() => onTakeOut(entry.id)}>
            Take it out
          </button>
        </p>
      ))}
    </div>
  );
}
