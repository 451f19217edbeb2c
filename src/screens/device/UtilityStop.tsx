import { OctagonX } from 'lucide-react';
import { useMemo } from 'react';
import { findUtilitiesThrough, UTILITY_CAUTION } from '#core/cautions';
import type { Inspection } from '#core/model/job/inspection';
import styles from './UtilityStop.module.css';

/** Another utility through the sewer stops everything: said on every screen of the job. */
export function UtilityStop({ inspection }: { readonly inspection: Inspection }) {
  const seen = useMemo(() => findUtilitiesThrough(inspection), [inspection]);
  if (seen.length === 0) return null;
  const where = seen
    .map(
      ({ runId, readingFt }) =>
        `${runId}${readingFt === null ? '' : ` at ${readingFt.toFixed(1)} ft`}`,
    )
    .join(', ');
  return (
    <div className={styles['stop']} role="alert">
      <OctagonX size={28} aria-hidden="true" />
      <p>
        <strong>
          {UTILITY_CAUTION.about} ({where}).
        </strong>{' '}
        {UTILITY_CAUTION.text}
      </p>
    </div>
  );
}
