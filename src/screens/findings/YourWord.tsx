import { useEffect, useId, useRef, useState } from 'react';
import type { Word } from '#client/actions/findings';
import { type Action, ACTIONS, SEVERITIES, type Severity } from '#core/catalogue/severity/grade';
import type { Finding } from '#core/judge/finding';
import { ACTION_WORDS } from '#core/report/words';
import { Form } from '../shared/Form';
import { type Typed } from '../shared/form-data';
import styles from './Detail.module.css';

type Props = {
  readonly finding: Finding;
  /** The grade that a key chose; the reason is then asked for. */
  readonly asked: Severity | null;
  readonly onKeep: (word: Word) => void;
  readonly onTakeBack: () => void;
};

/** The inspector's last word: another grade, action or wording, each with a reason. */
export function YourWord({ finding, asked, onKeep, onTakeBack }: Props) {
  const id = useId();
  const reason = useRef<HTMLInputElement>(null);
  const [trouble, setTrouble] = useState<string | null>(null);
  const [severity, setSeverity] = useState<Severity>(finding.severity);
  useEffect(() => {
    if (asked === null) return;
    setSeverity(asked);
    reason.current?.focus();
  }, [asked]);
  const { computed, ruling } = finding;

  const keep = ({ text }: Typed) => {
    const action = text('action') as Action;
    const wording = text('wording');
    const why = text('reason');
    const isSame = severity === computed.severity && action === computed.action && wording === '';
    if (isSame) {
      setTrouble('This is what Chert says already: change the grade, the action or the wording.');
      return;
    }
    if (why === '') {
      reason.current?.focus();
      setTrouble('Say why: the reason goes with your word.');
      return;
    }
    setTrouble(null);
    onKeep({
      ...(severity === computed.severity ? {} : { severity }),
      ...(action === computed.action ? {} : { action }),
      ...(wording === '' ? {} : { wording }),
      reason: why,
    });
  };

  return (
    <Form className={styles['word']} onTyped={keep}>
      {ruling && (
        <p className={styles['hint']}>
          Your word stands: “{ruling.reason}”. Chert has {computed.severity},{' '}
          {ACTION_WORDS[computed.action]}.
        </p>
      )}
      <div className={styles['pair']}>
        <label>
          Grade
          <select
            value={severity}
            onChange={(event) => setSeverity(event.target.value as Severity)}
          >
            {SEVERITIES.map((one) => (
              <option key={one} value={one}>
                {one}
                {one === computed.severity ? ' (Chert)' : ''}
              </option>
            ))}
          </select>
        </label>
        <label>
          Action
          <select name="action" defaultValue={finding.action}>
            {ACTIONS.map((one) => (
              <option key={one} value={one}>
                {ACTION_WORDS[one]}
                {one === computed.action ? ' (Chert)' : ''}
              </option>
            ))}
          </select>
        </label>
      </div>
      <label htmlFor={`${id}-wording`}>
        Wording for the buyer <span>(leave empty for Chert’s)</span>
      </label>
      <textarea id={`${id}-wording`} name="wording" rows={2} defaultValue={ruling?.wording ?? ''} />
      <label htmlFor={`${id}-reason`}>Reason</label>
      <input ref={reason} id={`${id}-reason`} name="reason" defaultValue={ruling?.reason ?? ''} />
      {trouble && <p role="alert">{trouble}</p>}
      <div className={styles['buttons']}>
        <button type="submit" data-act="true">
          Save override
        </button>
        {ruling && (
          <button type="button" onClick={onTakeBack}>
            Take my word back
          </button>
        )}
      </div>
    </Form>
  );
}
