import type { Derived } from '#core/derive';
import type { Issue } from '#core/judge/check';
import styles from './BeforeLeave.module.css';
import panel from './panel.module.css';

type Props = { readonly derived: Derived };

/** What is still open, contradictory or unmeasured, each with the one thing that clears it. */
export function BeforeLeave({ derived }: Props) {
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
        <List title="These hold the report back" issues={blockers} level="blocker" />
        <List title="Worth a minute while you are here" issues={warnings} level="warning" />
      </div>
    </section>
  );
}

function List({
  title,
  issues,
  level,
}: {
  title: string;
  issues: readonly Issue[];
  level: string;
}) {
  if (issues.length === 0) return null;
  return (
    <>
      <h3>
        {title} <b>{issues.length}</b>
      </h3>
      <ul>
        {issues.map(({ code, message, action }) => (
          <li key={`${code} ${message}`} data-level={level}>
            <strong>{action}</strong>
            <span>{message}</span>
          </li>
        ))}
      </ul>
    </>
  );
}
