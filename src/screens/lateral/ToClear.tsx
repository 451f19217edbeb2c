import type { Issue } from '#core/judge/check';
import { hrefOfIssue } from '#core/judge/place-of-issue';
import styles from './Lateral.module.css';

type Props = { readonly jobId: string; readonly checks: readonly Issue[] };

/** More than this are counted, not listed: nobody reads them all. */
const MOST = 40;

/** What measuring found open or contradictory, each with what clears it and the way there. */
export function ToClear({ jobId, checks }: Props) {
  if (checks.length === 0) return <p className={styles['hint']}>Nothing is open.</p>;
  return (
    <ul className={styles['clear']}>
      {checks.slice(0, MOST).map((issue) => (
        <li key={`${issue.code} ${issue.message}`} data-level={issue.level}>
          <p>
            <strong>{issue.action}</strong>
            <span>{issue.message}</span>
          </p>
          <a href={hrefOfIssue(jobId, issue)}>Go there</a>
        </li>
      ))}
      {checks.length > MOST && <li>And {checks.length - MOST} more, on Scope under To do.</li>}
    </ul>
  );
}
