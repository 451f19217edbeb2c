import type { ReactNode } from 'react';
import type { Desk, DeskCard } from '#core/desk/desk';
import styles from './DeskPage.module.css';

type Props = {
  readonly desk: Desk;
  readonly query: string;
  /** When everything was backed up last, in words, and whether somebody should look after it. */
  readonly backup: { readonly text: string; readonly isTrouble: boolean };
  /** What else there is, as far as whoever is signed in may go there. */
  readonly links: readonly { readonly href: string; readonly label: string }[];
  readonly firstRun?: ReactNode;
  readonly newJob?: ReactNode;
  readonly importFile?: ReactNode;
  readonly practice?: ReactNode;
};

/** Jobs at work, all jobs, and the ways to start one. */
export function DeskPage(props: Props) {
  const { desk, query, backup, links, firstRun, newJob, importFile, practice } = props;
  const hasPeople = desk.rows.some(({ whose }) => whose !== null);
  return (
    <main className={styles['desk']}>
      <div className={styles['lists']}>
        {firstRun}
        <section aria-labelledby="at-work">
          <h1 id="at-work" className={styles['title']}>
            {desk.isOwn ? 'Your jobs' : 'At work'}
          </h1>
          {desk.cards.length === 0 ? (
            <p className={styles['empty']}>
              {desk.isOwn
                ? 'You have no jobs today or in the days to come.'
                : 'Today’s and coming scopes appear here. Book the first one beside this.'}
            </p>
          ) : (
            <ul className={styles['cards']}>
              {desk.cards.map((card) => (
                <Card key={card.id} card={card} isOwn={desk.isOwn} />
              ))}
            </ul>
          )}
        </section>
        <section aria-labelledby="all-jobs">
          <div className={styles['heading']}>
            <h2 id="all-jobs" className={styles['title']}>
              All jobs
            </h2>
            <form className={styles['search']} method="get" action="/">
              <label className="hidden-visually" htmlFor="search">
                Address or client
              </label>
              <input
                id="search"
                name="q"
                type="search"
                defaultValue={query}
                placeholder="Address or client"
              />
              <button type="submit">Search</button>
            </form>
          </div>
          {desk.rows.length === 0 ? (
            <p className={styles['empty']}>
              {query
                ? `No job has “${query}” in its address or client.`
                : 'Every job you book or import is listed here.'}
            </p>
          ) : (
            <table className={styles['table']}>
              <thead>
                <tr>
                  <th scope="col">Property</th>
                  <th scope="col">For</th>
                  {hasPeople && <th scope="col">Inspector</th>}
                  <th scope="col">When</th>
                  <th scope="col">Period ends</th>
                  <th scope="col">Log</th>
                  <th scope="col">
                    <span className="hidden-visually">Open</span>
                  </th>
                </tr>
              </thead>
              <tbody>
                {desk.rows.map((row) => (
                  <tr key={row.id}>
                    <th scope="row">{row.title}</th>
                    <td>{row.client}</td>
                    {hasPeople && <td>{row.whose}</td>}
                    <td>{row.when}</td>
                    <td>{row.periodEnds}</td>
                    <td>{row.log}</td>
                    <td>
                      <div className={styles['links']}>
                        <a href={`/jobs/${encodeURIComponent(row.id)}/scope`}>Scope</a>
                        <a href={`/jobs/${encodeURIComponent(row.id)}/report`}>Report</a>
                        <a href={`/api/jobs/${encodeURIComponent(row.id)}/file`} download>
                          Export
                        </a>
                        {row.mayRemove && (
                          <a href={`/jobs/${encodeURIComponent(row.id)}/remove`}>Remove</a>
                        )}
                      </div>
                    </td>
                  </tr>
                ))}
              </tbody>
            </table>
          )}
          {desk.total > desk.rows.length && (
            <p className={styles['empty']}>
              {desk.rows.length} of {desk.total} shown. Search to narrow the list.
            </p>
          )}
        </section>
      </div>
      <aside className={styles['start']}>
        {newJob}
        {practice}
        {importFile}
        {links.length > 0 && (
          <ul className={styles['more']}>
            {links.map(({ href, label }) => (
              <li key={href}>
                <a href={href}>{label}</a>
              </li>
            ))}
          </ul>
        )}
        <p className={styles['backup']} role={backup.isTrouble ? 'alert' : undefined}>
          {backup.text}
        </p>
      </aside>
    </main>
  );
}

type CardProps = {
  readonly card: Desk['cards'][number];
  /** Whether all of them are the reader's: it need not be said. */
  readonly isOwn: boolean;
};

function Card({ card, isOwn }: CardProps) {
  const href = `/jobs/${encodeURIComponent(card.id)}`;
  return (
    <li className={styles['card']}>
      <p className={styles['when']}>
        {card.isToday ? (
          <strong>{['Today', card.when.split(', ')[1]].filter(Boolean).join(', ')}</strong>
        ) : (
          card.when
        )}
      </p>
      <div>
        <h2>{card.title}</h2>
        <p className={styles['client']}>
          for {card.client}
          {!isOwn && card.whose !== null && ` · ${card.whose}`}
        </p>
        <p className={styles['waits']} data-blocked={card.blockers > 0}>
          {card.verdict && <strong>{card.verdict}. </strong>}
          {card.waits}
        </p>
      </div>
      <p className={styles['days']}>{sayDays(card)}</p>
      <p className={styles['go']}>
        <a href={`${href}/scope`}>{card.scoped ? 'Open the log' : 'Start scoping'}</a>
        {card.scoped && <a href={`${href}/report`}>Read the report</a>}
      </p>
    </li>
  );
}

function sayDays({ daysLeft, periodEnds }: DeskCard): ReactNode {
  if (daysLeft === null) return 'No inspection period given';
  const days =
    daysLeft === 0 ? 'Ends today' : `${daysLeft} working ${daysLeft === 1 ? 'day' : 'days'} left`;
  return (
    <>
      <strong className={daysLeft <= 2 ? styles['soon'] : undefined}>{days}</strong>
      <br />
      period ends {periodEnds}
    </>
  );
}
