import { lazy } from 'react';
import type { StillMeasure } from '#core/model/log/still-measure';
import { useMedia } from '../device/useMedia';
import { Later } from '../shared/Later';
import styles from './Detail.module.css';

const StillMarks = lazy(async () => ({
  default: (await import('#ui/StillMarks')).StillMarks,
}));

type Props = {
  readonly jobId: string;
  readonly ids: readonly string[];
  readonly of: string;
  /** What was touched on them to measure it. */
  readonly measures: readonly StillMeasure[];
};

/** The stills of a finding. */
export function Stills({ jobId, ids, of, measures }: Props) {
  if (ids.length === 0) return <p className={styles['hint']}>No still was taken of it.</p>;
  return (
    <ul className={styles['stills']}>
      {[...new Set(ids)].map((id, index) => (
        <li key={id}>
          <Still
            jobId={jobId}
            id={id}
            label={`Still ${index + 1} of ${of}`}
            measures={measures.filter(({ photoId }) => photoId === id)}
          />
        </li>
      ))}
    </ul>
  );
}

type StillProps = {
  readonly jobId: string;
  readonly id: string;
  readonly label: string;
  readonly measures: readonly StillMeasure[];
};

function Still({ jobId, id, label, measures }: StillProps) {
  const url = useMedia(jobId, id);
  if (url === null) return <span className={styles['hint']}>…</span>;
  return (
    <a href={url} target="_blank" rel="noreferrer" className={styles['still']}>
      <img src={url} alt={label} />
      {measures.length > 0 && (
        <Later>
          <StillMarks measures={measures} />
        </Later>
      )}
    </a>
  );
}
