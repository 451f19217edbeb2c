import type { Derived } from '#core/derive';
import type { Issue } from '#core/judge/check';
import { hrefOfIssue, placeOfIssue } from '#core/judge/place-of-issue';
import styles from './BeforeLeave.module.css';
import panel from './panel.module.css';

type Props = {
  readonly derived: Derived;
  /** Goes to a run and an entry of it on this screen. */
  readonly onGo: (runId: string, entryId: string | null) => void;
};

/** What is still open, contradictory or unmeasured, each with the one thing that clears it. */
export function BeforeLeave({ derived, onGo }: Props) {
  const jobId = derived.inspection.job.id;
  const blockers = derived.checks.filter(({ level }) => level === 'blocker');
  const warnings = derived.checks.filter(({ level }) => level === 'warning');
  return (
    <section className={`${panel['panel']} ${styles['leave']}`} aria-labelledby="leave-title">
      <h2 id="leave-title" className={panel['title']}>
        Before you leave
      </h2>
      {/* The list scrolls, so it takes focus for the keyboard. */}
      {/* eslint-disable-next-line jsx-a11y/no-noninteractive-tabindex */}
      <div className={styles['lists']} tabIndex={0} role="group" aria-label="What is left to do">
        {derived.checks.length === 0 && (
          <p className={styles['clear']}>
            Nothing is open. A return trip costs more than this look did.
          </p>
        )}
        <List title="These hold the report back" issues={blockers} jobId={jobId} onGo={onGo} />
        <List
          title="Worth a minute while you are here"
          issues={warnings}
          jobId={jobId}
          onGo={onGo}
        />
      </div>
    </section>
  );
}

function List({
  title,
  issues,
  jobId,
  onGo,
}: {
  readonly title: string;
  readonly issues: readonly Issue[];
  readonly jobId: string;
  readonly onGo: Props['onGo'];
}) {
  if (issues.length === 0) return null;
  return (
    <>
      <h3>
        {title} <b>{issues.length}</b>
      </h3>
      <ul>
        {issues.map((issue) => {
          const { stage, runId, entryId } = placeOfIssue(issue);
          return (
            <li key={`${issue.code} ${issue.message}`} data-level={issue.level}>
              <p>
                <strong>{issue.action}</strong>
                <span>{issue.message}</span>
              </p>
              {runId !== null && (
                <a
                  href={hrefOfIssue(jobId, issue)}
                  onClick={(event) => {
                    if (stage !== 'scope') return;
                    event.preventDefault();
                    onGo(runId, entryId);
                  }}
                >
                  Take me there
                  <span className="hidden-visually">: {issue.action}</span>
                </a>
              )}
            </li>
          );
        })}
      </ul>
    </>
  );
}
