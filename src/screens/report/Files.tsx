import type { Run } from '#core/model/job/run';
import styles from './Report.module.css';

type Props = { readonly jobId: string; readonly runs: readonly Run[] };

/** The job in open formats. */
export function Files({ jobId, runs }: Props) {
  const job = `/api/jobs/${encodeURIComponent(jobId)}`;
  const files: readonly (readonly [href: string, says: string])[] = [
    [`${job}/file`, 'Inspection file (JSON)'],
    [`${job}/files/job.zip`, 'Inspection file with stills (zip)'],
    [`${job}/files/observations.csv`, 'Observations (CSV)'],
    [`${job}/files/located.geojson`, 'Located points (GeoJSON)'],
    [`${job}/files/calendar.ics`, 'Next steps and upkeep (calendar)'],
    ...runs.map(
      ({ id }) =>
        [
          `${job}/files/chapters.vtt?run=${encodeURIComponent(id)}`,
          `Chapters of run ${id} (WebVTT)`,
        ] as const,
    ),
    ['/prices', 'Price books (CSV, JSON)'],
  ];
  return (
    <ul className={styles['versions']}>
      {files.map(([href, says]) => (
        <li key={href}>
          <a href={href}>{says}</a>
        </li>
      ))}
      <li>
        <a href={`/jobs/${encodeURIComponent(jobId)}/observations`}>Import observations (CSV)</a>
      </li>
    </ul>
  );
}
