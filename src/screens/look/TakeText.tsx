import { type DragEvent, useId, useRef, useState } from 'react';
import parts from '../shared/parts.module.css';
import styles from './NarrationPanel.module.css';

type Props = {
  readonly onText: (name: string, text: string) => void;
  /** Brings back what was removed last; `null` where nothing was. */
  readonly onBringBack: (() => void) | null;
};

/** Where the keys go once what they pressed is gone. */
const takeFocus = (button: HTMLButtonElement | null) => button?.focus();

/** Takes subtitles or text: dropped, chosen, or pasted. */
export function TakeText({ onText, onBringBack }: Props) {
  const id = useId();
  const [isOver, setOver] = useState(false);
  const area = useRef<HTMLTextAreaElement>(null);
  const take = async (file: File | undefined) => {
    if (file) onText(file.name, await file.text());
  };
  const onDrop = (event: DragEvent) => {
    event.preventDefault();
    setOver(false);
    void take(event.dataTransfer.files[0]);
  };
  return (
    <div
      className={styles['take']}
      data-over={isOver}
      onDragOver={(event) => {
        event.preventDefault();
        setOver(true);
      }}
      onDragLeave={() => setOver(false)}
      onDrop={onDrop}
    >
      {onBringBack && (
        <p className={parts['row']}>
          <span role="status">Removed, with what you accepted of it.</span>
          <button ref={takeFocus} type="button" onClick={onBringBack}>
            Undo
          </button>
        </p>
      )}
      <p>
        What was said while the camera went: drop subtitles here (WebVTT, SRT), choose them, or
        paste text. A draft of the log is made of it; nothing is logged until you say so.
      </p>
      <label className={styles['file']}>
        Choose subtitles or text
        <input
          type="file"
          accept=".vtt,.srt,.txt,text/plain,text/vtt"
          onChange={(event) => void take(event.target.files?.[0])}
        />
      </label>
      <label htmlFor={id}>Or paste what was said</label>
      <textarea ref={area} id={id} rows={6} placeholder="[0:12] Clay at eight feet, four inch. …" />
      <div className={parts['row']}>
        <button
          type="button"
          data-act
          onClick={() => {
            const text = area.current?.value.trim() ?? '';
            if (text !== '') onText('pasted text', text);
          }}
        >
          Make the draft
        </button>
      </div>
    </div>
  );
}
