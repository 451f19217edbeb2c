import { useMedia } from '../device/useMedia';
import styles from './Detail.module.css';

type Props = { readonly jobId: string; readonly ids: readonly string[]; readonly of: string };

/** The stills of a finding. */
export function Stills({ jobId, ids, of }: Props) {
  if (ids.length === 0) return <p className={styles['hint']}>No still was taken of it.</p>;
  return (
    <ul className={styles['stills']}>
      {[...new Set(ids)].map((id, index) => (
        <li key={id}>
          <Still jobId={jobId} id={id} label={`Still ${index + 1} of ${of}`} />
        </li>
      ))}
    </ul>
  );
}

function Still({ jobId, id, label }: { jobId: string; id: string; label: string }) {
  const url = useMedia(jobId, id);
  if (url === null) return <span className={styles['hint']}>…</span>;
  return (
    <a href={url} target="_blank" rel="noreferrer">
      <img src={url} alt={label} />
    </a>
  );
}
