import { type Reader, READER_NAMES, READERS } from '#core/report/documents';
import type { Frozen } from '#core/report/frozen';
import styles from './Issued.module.css';
import { ReportPage } from './ReportPage';
import { type IssuedVersion, sayAt } from './say';

type Props = {
  readonly frozen: Frozen;
  readonly version: IssuedVersion;
  /** Every version, the latest first. */
  readonly versions: readonly IssuedVersion[];
  readonly reader: Reader;
  /** Whose papers may be seen here; all of them while not said. */
  readonly readers?: readonly Reader[];
  /** What is not as it was issued; empty when all is. */
  readonly faults: readonly string[];
  /** Where this page, its files and its stills are to be had. */
  readonly pageUrl: (number: number, reader: Reader) => string;
  readonly fileUrl: (name: string) => string;
  readonly stillUrl: (id: string) => string;
};

/** A version of a report as it was issued. It needs no script. */
export function IssuedPage(props: Props) {
  const {
    frozen,
    version,
    versions,
    reader,
    readers = READERS,
    faults,
    pageUrl,
    fileUrl,
    stillUrl,
  } = props;
  const { number, seal } = version;
  const latest = versions[0]!.number;
  return (
    <div className={styles['issued']}>
      <nav className={styles['strip']} aria-label="This report">
        {readers.map((one) => (
          <a
            key={one}
            href={pageUrl(number, one)}
            aria-current={one === reader ? 'page' : undefined}
          >
            {READER_NAMES[one]}
          </a>
        ))}
        <a href={fileUrl(`${reader}.pdf`)}>PDF</a>
        <a href={fileUrl('calendar.ics')}>Calendar</a>
      </nav>
      {number < latest && (
        <p className={styles['notice']} role="note">
          This is version {number}. <a href={pageUrl(latest, reader)}>Version {latest}</a> has taken
          its place.
        </p>
      )}
      {faults.length > 0 && (
        <p className={styles['notice']} role="alert">
          This is not the report as it was issued: {faults.join('; ')}. Ask the inspector for it.
        </p>
      )}
      <ReportPage
        blocks={frozen.documents[reader]}
        drawn={frozen.drawings}
        rows={frozen.rows}
        stillUrl={stillUrl}
      />
      <footer className={styles['foot']}>
        <p>
          Version {number}, issued {sayAt(version.issuedAt)}.{' '}
          {faults.length === 0 ? 'Checked against its seal' : 'Its seal was'} <code>{seal}</code>
        </p>
        {versions.length > 1 && (
          <p>
            All versions:{' '}
            {versions.map((one) => (
              <a key={one.number} href={pageUrl(one.number, reader)}>
                {one.number}, {sayAt(one.issuedAt)}
              </a>
            ))}
          </p>
        )}
      </footer>
    </div>
  );
}
