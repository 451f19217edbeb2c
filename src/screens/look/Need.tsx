import parts from '../shared/parts.module.css';
import type { Source } from './useSource';

type Props = { readonly source: Source; readonly onFile: (file: File) => void };

/** Why there is no picture, and the press that brings it. */
export function Need({ source, onFile }: Props) {
  return (
    <div className={parts['bare']}>
      <p>{source.need ?? 'Looking for the recording …'}</p>
      {source.reopen && (
        <div className={parts['row']}>
          <button type="button" data-act onClick={source.reopen}>
            Open it
          </button>
        </div>
      )}
      {source.need !== null && (
        <label>
          Choose the file{' '}
          <input
            type="file"
            accept="video/*"
            onChange={(event) => {
              const file = event.target.files?.[0];
              if (file) onFile(file);
            }}
          />
        </label>
      )}
    </div>
  );
}
