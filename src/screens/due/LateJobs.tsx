import { type LateWork, sayLate } from '#core/office/say-late';
import styles from './DuePage.module.css';

/** Late work of a job, as the office looks at it. */
export type LateItem = LateWork & {
  readonly jobId: string;
  readonly title: string;
  readonly isRemoved: boolean;
  readonly isIssued: boolean;
  readonly maySettle: boolean;
  readonly mayBringBack: boolean;
};

/** Work that came in late, and what it asks for: a look, a job brought back, a report amended. */
export function LateJobs({
  items,
  whose,
}: {
  readonly items: readonly LateItem[];
  readonly whose: string | null;
}) {
  if (items.length === 0) return null;
  return (
    <section className={styles['group']} aria-labelledby="late-work">
      <h2 id="late-work">
        Came in late <span>{items.length}</span>
      </h2>
      <ul>
        {items.map((item) => {
          const { jobId, title, kind, after, isRemoved, isIssued, maySettle, mayBringBack } = item;
          return (
            <li key={`${jobId} ${kind} ${after}`} className={styles['item']}>
              <div>
                <p>
                  {isRemoved ? (
                    <b>{title}</b>
                  ) : (
                    <a href={`/jobs/${encodeURIComponent(jobId)}/report`}>{title}</a>
                  )}
                </p>
                <p>
                  {sayLate(item)}
                  {isRemoved && ' The job stays off the list.'}
                  {isIssued && !isRemoved && ' A report was issued: amend it?'}
                </p>
              </div>
              <form method="post" action={`/due?whose=${whose ?? ''}`}>
                <input type="hidden" name="job" value={jobId} />
                {isRemoved && mayBringBack && (
                  <button type="submit" name="do" value="bring-back">
                    Bring it back
                  </button>
                )}
                {!isRemoved && maySettle && (
                  <button type="submit" name="do" value="seen">
                    I have seen it
                  </button>
                )}
              </form>
            </li>
          );
        })}
      </ul>
    </section>
  );
}
