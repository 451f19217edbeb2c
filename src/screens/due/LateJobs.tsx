import { type LateWork, sayLate } from '#core/office/say-late';
import { dayOf, sayDay } from '#core/report/calendar';
import styles from './DuePage.module.css';

/** Late work of a job, as the office looks at it. */
export type LateItem = LateWork & {
  readonly jobId: string;
  readonly title: string;
  readonly at: string;
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
              <p className={styles['when']}>
                <b>{sayDay(dayOf(item.at))}</b>
              </p>
              <div>
                <p>
                  <b>{title}.</b> {sayLate(item)}
                </p>
                <p className={styles['where']}>
                  {isRemoved && 'The job stays off the list.'}
                  {isIssued && !isRemoved && 'A report was issued before: amend it?'}
                </p>
              </div>
              <div className={styles['acts']}>
                {!isRemoved && (
                  <a href={`/jobs/${encodeURIComponent(jobId)}/report`}>Open the report</a>
                )}
                {(isRemoved ? mayBringBack : maySettle) && (
                  <form method="post" action={`/due?whose=${whose ?? ''}`}>
                    <input type="hidden" name="job" value={jobId} />
                    <button type="submit" name="do" value={isRemoved ? 'bring-back' : 'seen'}>
                      {isRemoved ? 'Bring it back' : 'I have seen it'}
                    </button>
                  </form>
                )}
              </div>
            </li>
          );
        })}
      </ul>
    </section>
  );
}
