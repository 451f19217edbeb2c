import { useId, useState } from 'react';
import parts from '../shared/parts.module.css';
import styles from './TakeVideo.module.css';

type Props = {
  readonly onAdd: (file: File, isStored: boolean, handle: FileSystemFileHandle | null) => void;
};

/** Browsers that can, hand out a file so that it can be opened again. */
type Picking = {
  readonly showOpenFilePicker?: (wish: object) => Promise<FileSystemFileHandle[]>;
};

/** Takes a video file: stored with the job, or left where it is. */
export function TakeVideo({ onAdd }: Props) {
  const id = useId();
  const [isStored, setStored] = useState(false);
  const pick = async () => {
    const { showOpenFilePicker } = window as Picking;
    const [handle] =
      (await showOpenFilePicker?.({
        types: [{ description: 'Video', accept: { 'video/*': ['.mp4', '.webm', '.ogv', '.mov'] } }],
      }).catch(() => [])) ?? [];
    if (handle) onAdd(await handle.getFile(), isStored, handle);
  };
  const canPick = 'showOpenFilePicker' in globalThis;
  return (
    <div className={styles['take']}>
      <p>
        <b>A video of this run</b> from your camera or its reel: MP4 or WebM. It is laid beside the
        log, so that every row leads to its moment.
      </p>
      <label className={styles['tick']}>
        <input
          type="checkbox"
          checked={isStored}
          onChange={(event) => setStored(event.target.checked)}
        />
        Store it with the job. Otherwise it stays in its file, and this device remembers which.
      </label>
      {canPick && !isStored && (
        <div className={parts['row']}>
          <button type="button" data-act onClick={() => void pick()}>
            Open a video
          </button>
        </div>
      )}
      <label htmlFor={id} className={canPick && !isStored ? 'hidden-visually' : undefined}>
        Choose a video
      </label>
      <input
        id={id}
        type="file"
        accept="video/*"
        className={canPick && !isStored ? 'hidden-visually' : undefined}
        tabIndex={canPick && !isStored ? -1 : 0}
        onChange={(event) => {
          const file = event.target.files?.[0];
          event.target.value = '';
          if (file) onAdd(file, isStored, null);
        }}
      />
    </div>
  );
}
