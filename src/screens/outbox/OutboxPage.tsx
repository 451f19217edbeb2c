import styles from './Outbox.module.css';

type Message = {
  readonly id: string;
  readonly jobId: string | null;
  readonly to: string;
  readonly subject: string;
  readonly text: string;
  readonly sentAt: string;
  readonly attachments: readonly { readonly name: string; readonly size: number }[];
};

const kilobytes = (bytes: number) => `${Math.max(1, Math.round(bytes / 1024))} kB`;

/** What was sent. The mail service that ships with Chert is simulated: nothing leaves this machine. */
export function OutboxPage({ messages }: { readonly messages: readonly Message[] }) {
  return (
    <div className={styles['outbox']}>
      <h1>Outbox</h1>
      <p className={styles['hint']}>
        Simulated: messages stand here and go nowhere. A real mail service takes its place behind
        the same door.
      </p>
      {messages.length === 0 && <p>What you send from a report comes here.</p>}
      {messages.map(({ id, jobId, to, subject, text, sentAt, attachments }) => (
        <article key={id} className={styles['message']} aria-label={subject}>
          <h2>{subject}</h2>
          <p className={styles['hint']}>
            To {to}, {sentAt.slice(0, 16).replace('T', ' ')} UTC
            {jobId && (
              <>
                {' · '}
                <a href={`/jobs/${encodeURIComponent(jobId)}/report`}>its report</a>
              </>
            )}
          </p>
          <pre>{text}</pre>
          {attachments.length > 0 && (
            <ul>
              {attachments.map(({ name, size }, index) => (
                <li key={name}>
                  <a href={`/api/outbox/${id}/${index}`}>{name}</a> {kilobytes(size)}
                </li>
              ))}
            </ul>
          )}
        </article>
      ))}
    </div>
  );
}
