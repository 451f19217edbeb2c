import { sayEntry } from '#core/log/say-entry';
import type { Change, Kept } from './changes';
import type { SaveState } from './sender';
import styles from './SaveMark.module.css';

type Props = {
  readonly save: SaveState;
  readonly waiting: readonly Kept[];
  readonly trouble: string | null;
  readonly onTakeOut: (seq: number) => void;
};

function nameChange(change: Change): string {
  if (change.what === 'entry') return sayEntry(change.entry).title;
  return { run: 'The run', access: 'The access point', facts: 'The job facts', media: 'The still' }[change.what]; // prettier-ignore
}

/** Where what was done is: on the server, or on this device and on its way. */
export function SaveMark({ save, waiting, trouble, onTakeOut }: Props) {
  const refused = waiting.filter(({ state }) => state === 'refused');
  const toSend = waiting.length - refused.length;
  const text =
    toSend === 0
      ? 'Saved on the server'
      : save.kind === 'unreachable'
        ? `Kept on this device · ${toSend} to send`
        : `Kept on this device · sending ${toSend}`;
  return (
    <div className={styles['save']}>
      <p role="status" data-state={toSend === 0 ? 'saved' : save.kind}>
        {text}
      </p>
      {save.kind === 'unreachable' && toSend > 0 && save.why && <p role="alert">{save.why}</p>}
      {trouble && <p role="alert">{trouble}</p>}
      {refused.map(({ seq, change, refused: why }) => (
        <p key={seq} role="alert">
          {nameChange(change)} was not stored: {why}{' '}
          <button type="button" onClick={() => onTakeOut(seq)}>
            Take it out
          </button>
        </p>
      ))}
    </div>
  );
}
