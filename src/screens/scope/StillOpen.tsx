import { listToClear } from '#core/judge/to-clear';
import { sayEntry } from '#core/model/log/say-entry';
import styles from './RunState.module.css';
import type { Scope } from './useScope';

/** Checks that a row of its own says already. */
const SAID_BY_STRETCH = ['stretch-open'];

/** What waits for an answer on this run: stretches without an end, water not verified, flags. */
export function StillOpen({
  scope,
  onLeave,
}: {
  readonly scope: Scope;
  readonly onLeave: () => void;
}) {
  const { assessment } = scope;
  // A stretch that the other pass gave both ends is no longer open.
  const unended = new Set(
    assessment.checks
      .filter(({ code }) => code === 'stretch-open')
      .flatMap(({ entryIds }) => entryIds),
  );
  const open = scope.open.filter(({ id }) => unended.has(id));
  const blockers = assessment.checks.filter(
    ({ level, code }) => level === 'blocker' && !SAID_BY_STRETCH.includes(code),
  );
  const left = listToClear(assessment).length;
  return (
    <div className={styles['part']}>
      <h2>Still open</h2>
      {open.length === 0 && blockers.length === 0 ? (
        <p>Nothing holds the report back.</p>
      ) : (
        <ul className={styles['open']}>
          {open.map((entry) => (
            <li key={entry.id}>
              <strong>
                {sayEntry(entry).title} since {entry.readingFt?.toFixed(1) ?? 'no footage'}: where
                does it end?
              </strong>
            </li>
          ))}
          {blockers.map(({ code, message, action }) => (
            <li key={`${code} ${message}`}>
              <strong>{message}</strong> {action}
            </li>
          ))}
        </ul>
      )}
      <button type="button" className={styles['leave']} onClick={onLeave}>
        Before you leave{left > 0 ? `: ${left}` : ''}
      </button>
    </div>
  );
}
