import type { Database } from 'better-sqlite3';
import { type Reader, READERS } from '#core/report/documents';
import type { Frozen } from '#core/report/frozen';
import { type Issued, listIssued, loadFrozen, verifyIssued } from './issued';
import { hashOfStill } from './media/stills';
import type { MediaStores } from './media/store';

/** What a page of an issued report shows. */
export type IssuedShown = {
  readonly frozen: Frozen;
  readonly version: Issued;
  readonly versions: readonly Issued[];
  readonly reader: Reader;
  readonly faults: readonly string[];
};

/** Reads a version for its page, checked against its seal; the latest while none is named. `null`: there is none. */
export async function readIssued(
  db: Database,
  stores: MediaStores,
  jobId: string,
  query: { readonly number: string | null; readonly reader: string | null },
): Promise<IssuedShown | null> {
  const versions = listIssued(db, jobId);
  const version =
    query.number === null
      ? versions[0]
      : versions.find(({ number }) => String(number) === query.number);
  const reader = query.reader === null ? 'buyer' : READERS.find((one) => one === query.reader);
  if (!version || !reader) return null;
  const frozen = loadFrozen(db, jobId, version.number);
  if (!frozen) return null;
  const faults = await verifyIssued(db, jobId, version.number, hashOfStill(db, stores, jobId));
  return { frozen, version, versions, reader, faults };
}
