import { useState } from 'react';
import { postJson, sayNotDone, sendJson } from '#client/api';
import { type Reader, READER_NAMES, READERS } from '#core/report/documents';
import { Form } from '../shared/Form';
import { type Typed } from '../shared/form-data';
import styles from './Report.module.css';
import { sayAt } from './say';

export type Link = {
  readonly id: string;
  readonly label: string;
  readonly reader: Reader;
  readonly createdAt: string;
  readonly expiresAt: string;
  readonly revokedAt: string | null;
};

type Props = { readonly jobId: string; readonly links: readonly Link[]; readonly now: string };

/** Links by which the issued report is read: made, copied once, revoked. */
export function Share({ jobId, links: stored, now }: Props) {
  const [links, setLinks] = useState(stored);
  const [made, setMade] = useState<string | null>(null);
  const [isCopied, setCopied] = useState(false);
  const [trouble, setTrouble] = useState<string | null>(null);
  const base = `/api/jobs/${encodeURIComponent(jobId)}/shares`;
  const make = async ({ text, number }: Typed) => {
    const sent = await postJson<Link & { path: string }>(base, {
      label: text('label'),
      reader: text('reader'),
      days: number('days'),
    });
    if (sent.state !== 'ok') {
      setTrouble(sayNotDone(sent));
      return;
    }
    setTrouble(null);
    setCopied(false);
    setMade(`${window.location.origin}${sent.value.path}`);
    setLinks((before) => [sent.value, ...before]);
  };
  const revoke = async (id: string) => {
    const sent = await sendJson('DELETE', `${base}/${id}`);
    if (sent.state !== 'ok') {
      setTrouble(sayNotDone(sent));
      return;
    }
    setTrouble(null);
    setLinks((before) => before.map((one) => (one.id === id ? { ...one, revokedAt: now } : one)));
  };
  const state = ({ revokedAt, expiresAt }: Link) =>
    revokedAt ? 'revoked' : expiresAt <= now ? 'expired' : `until ${sayAt(expiresAt)}`;
  return (
    <div className={styles['options']}>
      <Form className={styles['pair']} onTyped={make}>
        <label>
          Recipient
          <input name="label" autoComplete="off" />
        </label>
        <label>
          Opens
          <select name="reader">
            {READERS.map((one) => (
              <option key={one} value={one}>
                {READER_NAMES[one]}
              </option>
            ))}
          </select>
        </label>
        <label>
          Days
          <input name="days" inputMode="numeric" defaultValue="30" />
        </label>
        <button type="submit">Create a link</button>
      </Form>
      {made && (
        <p role="status" className={styles['made']}>
          <span>This link is shown once:</span>
          <input
            readOnly
            aria-label="The link"
            value={made}
            onFocus={(event) => event.target.select()}
          />
          <button
            type="button"
            onClick={() => void navigator.clipboard.writeText(made).then(() => setCopied(true))}
          >
            {isCopied ? 'Copied' : 'Copy'}
          </button>
        </p>
      )}
      {trouble && <p role="alert">{trouble}</p>}
      <ul className={styles['versions']}>
        {links.map((link) => (
          <li key={link.id}>
            {link.label || 'A link'}: {READER_NAMES[link.reader].toLowerCase()}, {state(link)}{' '}
            {!link.revokedAt && link.expiresAt > now && (
              <button type="button" onClick={() => void revoke(link.id)}>
                Revoke
              </button>
            )}
          </li>
        ))}
      </ul>
    </div>
  );
}
