import styles from './Outbox.module.css';
import { TryAgain } from './TryAgain';

type State = 'kept' | 'waiting' | 'sent' | 'bounced' | 'failed';
type Message = {
  readonly id: string;
  readonly jobId: string | null;
  readonly to: string;
  readonly subject: string;
  readonly text: string;
  readonly sentAt: string;
  readonly state: State;
  readonly tries: number;
  readonly answer: string;
  readonly nextTryAt: string | null;
  readonly attachments: readonly { readonly name: string; readonly size: number }[];
};

type Props = {
  readonly messages: readonly Message[];
  /** Whether a mail service is set up. */
  readonly isReal: boolean;
};

const kilobytes = (bytes: number) => `${Math.max(1, Math.round(bytes / 1024))} kB`;
const sayTime = (at: string) => `${at.slice(0, 16).replace('T', ' ')} UTC`;

/** How a message stands, in words. */
function sayState({ state, tries, answer, nextTryAt }: Message): string {
  switch (state) {
    case 'kept':
      return 'Kept here: no email service is set up.';
    case 'waiting':
      return `Not sent yet${tries > 0 ? `, tried ${tries === 1 ? 'once' : `${tries} times`}` : ''}${nextTryAt ? `; tried again ${sayTime(nextTryAt)}` : ''}.${answer ? ` The email service said: ${answer}` : ''}`;
    case 'sent':
      return 'Sent.';
    case 'bounced':
      return `Bounced: the email service will not take it. It said: ${answer}`;
    case 'failed':
      return `Given up after ${tries} tries. The email service said: ${answer}`;
  }
}

/** Every message, and what became of it. */
export function OutboxPage({ messages, isReal }: Props) {
  return (
    <div className={styles['outbox']}>
      <h1>Outbox</h1>
      <p className={styles['hint']}>
        {isReal
          ? 'What is not taken at once is tried again by itself, for most of a day.'
          : 'Simulated: messages stand here and go nowhere. Set CHERT_SMTP and CHERT_MAIL_FROM to send them by your mail server.'}
      </p>
      {messages.length === 0 && <p>What you send from a report comes here.</p>}
      {messages.map((message) => {
        const { id, jobId, to, subject, text, sentAt, state, attachments } = message;
        return (
          <article key={id} className={styles['message']} aria-label={subject}>
            <h2>{subject}</h2>
            <p className={styles['hint']}>
              To {to}, {sayTime(sentAt)}
              {jobId && (
                <>
                  {' · '}
                  <a href={`/jobs/${encodeURIComponent(jobId)}/report`}>its report</a>
                </>
              )}
            </p>
            <p className={styles['state']} data-trouble={state === 'bounced' || state === 'failed'}>
              {sayState(message)}
            </p>
            {isReal && state !== 'sent' && <TryAgain id={id} />}
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
        );
      })}
    </div>
  );
}
