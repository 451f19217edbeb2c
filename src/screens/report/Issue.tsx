import { useState } from 'react';
import { postJson } from '#client/api';
import { reloadFresh } from '#client/reload-fresh';
import type { Issue as Check } from '#core/judge/check';
import { Form } from '../shared/Form';
import { type Typed } from '../shared/form-data';
import styles from './Report.module.css';
import { type IssuedVersion, sayAt } from './say';

type Props = {
  readonly jobId: string;
  readonly versions: readonly IssuedVersion[];
  readonly blockers: readonly Check[];
  /** Whether the reason for what is open is in the record already. */
  readonly isStated: boolean;
  /** Whether everything done here is on the server. */
  readonly isSaved: boolean;
};

/** Freezes the report as the next version; old versions stay as they were. */
export function Issue({ jobId, versions, blockers, isStated, isSaved }: Props) {
  const [busy, setBusy] = useState(false);
  const [trouble, setTrouble] = useState<string | null>(null);
  const [latest] = versions;
  const asksLimits = blockers.length > 0 && !isStated;
  const issue = async ({ text }: Typed) => {
    if (latest && text('reason') === '') {
      setTrouble('Say why it is amended: the new version prints it.');
      return;
    }
    if (asksLimits && text('limits') === '') {
      setTrouble('Something is open: clear it, or say why the report goes out with it.');
      return;
    }
    setTrouble(null);
    setBusy(true);
    const sent = await postJson(`/api/jobs/${encodeURIComponent(jobId)}/issued`, {
      reason: text('reason'),
      limits: text('limits'),
    });
    if (sent.state === 'ok') {
      await reloadFresh();
      return;
    }
    setBusy(false);
    setTrouble(
      sent.state === 'refused'
        ? sent.message
        : 'Chert’s server does not answer. Nothing was issued; try again.',
    );
  };
  return (
    <Form className={styles['options']} onTyped={issue}>
      {blockers.length > 0 && (
        <div className={styles['open']}>
          <p>
            <b>
              {blockers.length === 1
                ? 'One thing holds it back'
                : `${blockers.length} things hold it back`}
            </b>
          </p>
          <ul>
            {blockers.map(({ code, message }) => (
              <li key={`${code} ${message}`}>{message}</li>
            ))}
          </ul>
          <a href={`/jobs/${encodeURIComponent(jobId)}/scope?view=leave`}>Clear them on Scope</a>
        </div>
      )}
      {asksLimits && (
        <label>
          It goes out all the same, because
          <input name="limits" autoComplete="off" />
        </label>
      )}
      {latest && (
        <label>
          Why version {latest.number} is amended
          <input name="reason" autoComplete="off" />
        </label>
      )}
      <div className={styles['buttons']}>
        <button type="submit" data-act="true" disabled={busy || !isSaved}>
          {busy
            ? 'Freezing and printing…'
            : latest
              ? `Issue version ${latest.number + 1}`
              : 'Issue to buyer'}
        </button>
      </div>
      {!isSaved && (
        <p className={styles['hint']}>It can be issued once everything is saved on the server.</p>
      )}
      {trouble && <p role="alert">{trouble}</p>}
      <Versions jobId={jobId} versions={versions} />
    </Form>
  );
}

/** What was issued, the latest first. */
export function Versions({ jobId, versions }: Pick<Props, 'jobId' | 'versions'>) {
  if (versions.length === 0) return null;
  return (
    <ul className={styles['versions']}>
      {versions.map(({ number, issuedAt, reason, seal }) => (
        <li key={number}>
          <a href={`/jobs/${encodeURIComponent(jobId)}/issued/${number}`}>Version {number}</a>,{' '}
          {sayAt(issuedAt)}
          {reason && `: ${reason}`} <code title={seal}>{seal.slice(0, 12)}</code>
        </li>
      ))}
    </ul>
  );
}
