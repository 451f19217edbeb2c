import { useState } from 'react';
import { postJson } from '#client/api';
import { READER_NAMES, READERS } from '#core/report/documents';
import { Form } from '../shared/Form';
import { type Typed } from '../shared/form-data';
import styles from './Report.module.css';

type Props = {
  readonly jobId: string;
  readonly title: string;
  readonly headline: string;
  readonly inspector: string;
};

/** What became of a message, by how it stands in the outbox. */
const SAID: Readonly<Record<string, string>> = {
  kept: 'Sent: it stands in the outbox.',
  sent: 'Sent: the email service has taken it.',
  waiting: 'The email service did not take it yet. It is tried again by itself: see the outbox.',
  bounced: 'It bounced: the email service will not take it. See the outbox.',
  failed: 'It was given up. See the outbox.',
};

/** Sends the issued report. The email service that ships is simulated: messages stand in the outbox. */
export function Send({ jobId, title, headline, inspector }: Props) {
  const [said, setSaid] = useState<string | null>(null);
  const [trouble, setTrouble] = useState<readonly string[]>([]);
  const send = async ({ text, ticked }: Typed) => {
    const wish = {
      to: text('to'),
      subject: text('subject'),
      text: text('text'),
      attach: ticked('attach'),
    };
    const sent = await postJson(`/api/jobs/${encodeURIComponent(jobId)}/send`, wish);
    setSaid(null);
    if (sent.state === 'ok') {
      setTrouble([]);
      setSaid(SAID[(sent.value as { readonly state?: string }).state ?? 'kept'] ?? SAID['kept']!);
      return;
    }
    setTrouble(
      sent.state === 'refused'
        ? sent.faults.length > 0
          ? sent.faults.map(
              ({ path, got }) =>
                `${path === 'to' ? 'To: expected an address, such as name@place.example' : path}: got ${got === '""' ? 'nothing' : got}.`,
            )
          : [sent.message]
        : ['Chert’s server does not answer. Nothing was sent; try again.'],
    );
  };
  return (
    <Form className={styles['options']} onTyped={send}>
      <label>
        To
        <input name="to" type="email" autoComplete="off" list="contact-mails" />
      </label>
      <label>
        Subject
        <input name="subject" defaultValue={`Sewer lateral report, ${title}`} autoComplete="off" />
      </label>
      <label>
        Message
        <textarea
          name="text"
          rows={5}
          defaultValue={`${headline}\n\nThe report is attached.\n\n${inspector}`}
        />
      </label>
      {READERS.map((reader) => (
        <label key={reader} className={styles['tick']}>
          <input
            type="checkbox"
            name="attach"
            value={`${reader}.pdf`}
            defaultChecked={reader === 'buyer'}
          />{' '}
          {READER_NAMES[reader]}, PDF
        </label>
      ))}
      <label className={styles['tick']}>
        <input type="checkbox" name="attach" value="calendar.ics" defaultChecked /> Calendar of the
        next steps
      </label>
      <div className={styles['buttons']}>
        <button type="submit" data-act="true">
          Send it
        </button>
        <a href="/outbox">Outbox</a>
      </div>
      {said && <p role="status">{said}</p>}
      {trouble.map((text) => (
        <p key={text} role="alert">
          {text}
        </p>
      ))}
    </Form>
  );
}
