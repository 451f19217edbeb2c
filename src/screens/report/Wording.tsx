import { Pencil } from 'lucide-react';
import { type ReactNode, useId, useState } from 'react';
import type { EditableText } from '#core/report/wording';
import { Form } from '../shared/Form';
import styles from './Report.module.css';

type Props = {
  readonly text: EditableText;
  /** How the text stands in the document; for a text that is not there yet, `null`. */
  readonly children: ReactNode;
  readonly label: string;
  readonly onWord: (text: string, reason: string) => void;
  readonly onDrop: (decisionId: string) => void;
};

/** A text of the report that is put in other words where it stands, Chert's own beside it. */
export function Wording({ text, children, label, onWord, onDrop }: Props) {
  const id = useId();
  const [isOpen, setOpen] = useState(false);
  const isOwn = text.text !== text.computed;
  if (!isOpen)
    return (
      <>
        {children}
        <p className={styles['wording']}>
          <button type="button" onClick={() => setOpen(true)}>
            <Pencil size={14} aria-hidden="true" /> {label}
          </button>
          {isOwn && <span>Your words.</span>}
          {text.stale !== null && (
            <span role="note" className={styles['stale']}>
              Your words “{text.stale}” were put in place of something else and are not in force.{' '}
              {text.decisionId && (
                <button type="button" onClick={() => onDrop(text.decisionId!)}>
                  Let them go
                </button>
              )}
            </span>
          )}
        </p>
      </>
    );
  return (
    <Form
      className={styles['wordingForm']}
      onTyped={(typed) => {
        onWord(typed.text('text'), typed.text('reason'));
        setOpen(false);
      }}
    >
      <label htmlFor={`${id}-text`}>{label}</label>
      <textarea
        id={`${id}-text`}
        name="text"
        rows={4}
        defaultValue={text.stale ?? text.text}
        // eslint-disable-next-line jsx-a11y/no-autofocus -- the text is what the press asked for
        autoFocus
      />
      {text.computed !== '' && <p className={styles['hint']}>Chert’s words: {text.computed}</p>}
      <label htmlFor={`${id}-reason`}>Why, for the record</label>
      <input id={`${id}-reason`} name="reason" autoComplete="off" />
      <div className={styles['buttons']}>
        <button type="submit" data-act="true">
          Save these words
        </button>
        {isOwn && text.decisionId && (
          <button
            type="button"
            onClick={() => {
              onDrop(text.decisionId!);
              setOpen(false);
            }}
          >
            Back to Chert’s
          </button>
        )}
        <button type="button" onClick={() => setOpen(false)}>
          Cancel
        </button>
      </div>
    </Form>
  );
}
