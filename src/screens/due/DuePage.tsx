import type { DueItem } from '#core/schedule/due';
import styles from './DuePage.module.css';
import { type LateItem, LateJobs } from './LateJobs';

type Item = DueItem & { readonly person: string; readonly maySettle: boolean };
type Props = {
  readonly groups: readonly { readonly name: string; readonly items: readonly Item[] }[];
  /** Whose is shown; `null` where Chert has no people. */
  readonly whose: string | null;
  readonly count: number;
  /** How many come after what is shown. */
  readonly more: number;
  /** Work that came in late, and that nobody has seen yet. */
  readonly late: readonly LateItem[];
  /** What was just said to be done. */
  readonly undo: { readonly jobId: string; readonly key: string } | null;
};

function sayDays(inDays: number): string {
  if (inDays === 0) return 'today';
  if (inDays === 1) return 'tomorrow';
  if (inDays > 0) return `in ${inDays} days`;
  return inDays === -1 ? '1 day late' : `${-inDays} days late`;
}

/** Everything with a date across all jobs, by urgency, each with the press that does it. */
export function DuePage({ groups, whose, count, more, late, undo }: Props) {
  return (
    <main className={styles['page']}>
      <div className={styles['head']}>
        <h1>Due</h1>
        {whose !== null && (
          <nav className={styles['whose']} aria-label="Whose">
            <a href="/due?whose=mine" aria-current={whose === 'mine' ? 'page' : undefined}>
              Mine
            </a>
            <a href="/due?whose=all" aria-current={whose === 'all' ? 'page' : undefined}>
              Everybody’s
            </a>
          </nav>
        )}
      </div>
      {undo && (
        <form method="post" action={`/due?whose=${whose ?? ''}`} className={styles['undo']}>
          <input type="hidden" name="job" value={undo.jobId} />
          <input type="hidden" name="key" value={undo.key} />
          <span role="status">Taken off the list.</span>
          <button type="submit" name="do" value="undo">
            Undo
          </button>
        </form>
      )}
      <LateJobs items={late} whose={whose} />
      {groups.length === 0 && (
        <p className={styles['none']}>
          {count > 0
            ? 'Nothing of yours is due in the next 60 days.'
            : 'Nothing is due in the next 60 days. Scopes, reports, inspection periods, scopes after repairs and upkeep appear here once a job has them.'}
        </p>
      )}
      {groups.map(({ name, items }) => (
        <section key={name} className={styles['group']} data-late={name === 'Late' || undefined}>
          <h2>
            {name} <span>{items.length}</span>
          </h2>
          <ul>
            {items.map((item) => (
              <Row key={`${item.jobId} ${item.key}`} item={item} whose={whose} />
            ))}
          </ul>
        </section>
      ))}
      {more > 0 && (
        <p className={styles['none']}>{more} more come after these, once some are done.</p>
      )}
    </main>
  );
}

function Row({ item, whose }: { readonly item: Item; readonly whose: string | null }) {
  return (
    <li className={styles['item']}>
      <p className={styles['when']}>
        <b>{item.when}</b>
        <span>{sayDays(item.inDays)}</span>
      </p>
      <div className={styles['what']}>
        <p>
          <b>{item.title}.</b> {item.says}
        </p>
        <p className={styles['where']}>
          for {item.client}
          {item.person && ` · ${item.person}`}
        </p>
      </div>
      <div className={styles['acts']}>
        <a href={item.press.href}>{item.press.label}</a>
        {item.maySettle && (
          <form method="post" action={`/due?whose=${whose ?? ''}`}>
            <input type="hidden" name="job" value={item.jobId} />
            <input type="hidden" name="key" value={item.key} />
            <button
              type="submit"
              name="do"
              value="done"
              aria-label={`Done: ${item.title}. ${item.says}`}
            >
              Done
            </button>
          </form>
        )}
      </div>
    </li>
  );
}
