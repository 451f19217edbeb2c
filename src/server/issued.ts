import type { Database } from 'better-sqlite3';
import type { Frozen } from '#core/report/frozen';
import { liftFrozen } from '#core/report/lift-frozen';
import { hashOf, StoreTrouble } from './media/store';
import { prepared } from './prepared';

/** A file of an issued report. */
export type IssuedFile = { readonly name: string; readonly type: string; readonly bytes: Buffer };

/** A version of a report, as lists show it. */
export type Issued = {
  readonly number: number;
  readonly issuedAt: string;
  readonly headline: string;
  readonly reason: string;
  readonly seal: string;
};

/** The name under which the frozen tree is kept. */
export const TREE = 'report.json';

type Named = { readonly name: string; readonly sha256: string };
type Head = Omit<Issued, 'seal'>;

/** The seal of a version: SHA-256 over its facts and over the name and hash of each of its files. */
function sealOf(
  jobId: string,
  { number, issuedAt, headline, reason }: Head,
  files: readonly Named[],
): string {
  const names = files.map(({ name, sha256: hash }) => `${name} ${hash}`).sort();
  return hashOf(JSON.stringify([jobId, number, issuedAt, headline, reason, names]));
}

const COLUMNS = 'number, issued_at AS issuedAt, headline, reason, seal';

/** Every version of a job's report, the latest first. */
export function listIssued(db: Database, jobId: string): Issued[] {
  return prepared<[string], Issued>(
    db,
    `SELECT ${COLUMNS} FROM issued WHERE job_id = ? ORDER BY number DESC`,
  ).all(jobId);
}

/** The number that the next version gets. */
function nextNumber(db: Database, jobId: string): number {
  return (listIssued(db, jobId)[0]?.number ?? 0) + 1;
}

/**
 * Stores a version with all its files, or nothing.
 *
 * @returns `null` when another version took the number meanwhile.
 */
export function storeIssued(
  db: Database,
  jobId: string,
  head: Head,
  files: readonly IssuedFile[],
): Issued | null {
  const hashed = files.map((file) => ({ ...file, sha256: hashOf(file.bytes) }));
  const seal = sealOf(jobId, head, hashed);
  return db
    .transaction((): Issued | null => {
      if (nextNumber(db, jobId) !== head.number) return null;
      prepared(
        db,
        'INSERT INTO issued (job_id, number, issued_at, headline, reason, seal) VALUES (?, ?, ?, ?, ?, ?)',
      ).run(jobId, head.number, head.issuedAt, head.headline, head.reason, seal);
      const add = prepared(
        db,
        'INSERT INTO issued_files (job_id, number, name, type, bytes, sha256) VALUES (?, ?, ?, ?, ?, ?)',
      );
      for (const file of hashed)
        add.run(jobId, head.number, file.name, file.type, file.bytes, file.sha256);
      return { ...head, seal };
    })
    .immediate();
}

/** One file of a version; `null` when there is none. */
export function findIssuedFile(
  db: Database,
  jobId: string,
  number: number,
  name: string,
): IssuedFile | null {
  return (
    prepared<[string, number, string], IssuedFile>(
      db,
      'SELECT name, type, bytes FROM issued_files WHERE job_id = ? AND number = ? AND name = ?',
    ).get(jobId, number, name) ?? null
  );
}

/** The frozen tree of a version; `null` when there is no such version. */
export function loadFrozen(db: Database, jobId: string, number: number): Frozen | null {
  const file = findIssuedFile(db, jobId, number, TREE);
  return file ? liftFrozen(JSON.parse(file.bytes.toString('utf8')) as Frozen) : null;
}

/**
 * Checks a version against its seal: every file is hashed again, and the hash of hashes compared.
 *
 * @param stillHash the hash of a still as the server has it now; `null` when it is gone.
 * @returns what is not as it was issued; empty when all is.
 */
export async function verifyIssued(
  db: Database,
  jobId: string,
  number: number,
  stillHash: (id: string) => Promise<string | null>,
): Promise<string[]> {
  const head = listIssued(db, jobId).find((one) => one.number === number);
  if (!head) return ['the version is not there'];
  const files = prepared<[string, number], Named & { bytes: Buffer }>(
    db,
    'SELECT name, sha256, bytes FROM issued_files WHERE job_id = ? AND number = ?',
  ).all(jobId, number);
  const now = files.map(({ name, bytes }) => ({ name, sha256: hashOf(bytes) }));
  const changed = files
    .filter((file, at) => file.sha256 !== now[at]!.sha256)
    .map(({ name }) => `${name} has been changed`);
  const isSealed = sealOf(jobId, head, now) === head.seal;
  if (!isSealed && changed.length === 0)
    changed.push('its files or facts are not those of its seal');
  if (changed.length > 0) return changed;
  for (const { id, sha256 } of loadFrozen(db, jobId, number)!.stills) {
    try {
      if ((await stillHash(id)) !== sha256) changed.push('a still is gone or has been changed');
    } catch (error) {
      if (!(error instanceof StoreTrouble)) throw error;
      return ['its stills cannot be reached now, and were not looked at'];
    }
  }
  return changed;
}
