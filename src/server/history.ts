import type { Database } from 'better-sqlite3';
import type { Happened } from '#core/model/job/history';
import { type DeedKind, sayDeed } from '#core/office/say-deed';
import { listEdits } from './edits';
import { namesOfPeople } from './people/accounts';
import { prepared } from './prepared';

/** The most that is read at once. */
const MOST_TOLD = 500;

type Signature = { readonly person: string | null; readonly device: string | null };
/** Who did it and on what, by the session under which it was sent. */
const SIGNED = `(SELECT a.name FROM sessions AS s JOIN accounts AS a ON a.id = s.account_id WHERE s.id = %.session) AS person,
  (SELECT s.device FROM sessions AS s WHERE s.id = %.session) AS device`;
const signedIn = (table: string) => SIGNED.replaceAll('%', table);
const signatureOf = ({ person, device }: Signature) => ({
  ...(person === null ? {} : { person }),
  ...(device === null ? {} : { device }),
});

type Deed = Signature & { readonly what: DeedKind; readonly detail: string; readonly at: string };

const listDeeds = (db: Database, jobId: string): Happened[] =>
  prepared<[string], Deed>(
    db,
    `SELECT what, detail, at, ${signedIn('deeds')} FROM deeds WHERE job_id = ?
     ORDER BY seq DESC LIMIT ${MOST_TOLD}`,
  )
    .all(jobId)
    .map(({ what, detail, at, ...signature }) => ({
      kind: 'deed',
      at,
      says: sayDeed(what, detail),
      ...signatureOf(signature),
    }));

type Logged = Signature & {
  readonly runId: string;
  readonly count: number;
  readonly at: string;
};

/** What was logged, by run, sender and hour: single entries stand in the log itself. */
const listLogged = (db: Database, jobId: string): Happened[] =>
  prepared<[string], Logged>(
    db,
    `SELECT run_id AS runId, count(*) AS count, max(received_at) AS at, ${signedIn('entries')}
     FROM entries WHERE job_id = ?
     GROUP BY run_id, session, substr(received_at, 1, 13) ORDER BY at DESC LIMIT ${MOST_TOLD}`,
  )
    .all(jobId)
    .map(({ runId, count, at, ...signature }) => ({
      kind: 'logged',
      at,
      runId,
      count,
      ...signatureOf(signature),
    }));

/** Everything that happened to a job, the latest first, each with who did it where Chert has people. */
export function listHistory(db: Database, jobId: string): Happened[] {
  const names = namesOfPeople(db);
  // Whose a job is, is kept by the account; people are told the name.
  const named = (value: unknown) =>
    typeof value === 'string' ? (names.get(value) ?? value) : value;
  const edits = listEdits(db, jobId).map((edit): Happened => {
    if (edit.path.join(' ') !== 'job assignedTo') return { kind: 'edit', ...edit };
    return { kind: 'edit', ...edit, was: named(edit.was), value: named(edit.value) };
  });
  return [...edits, ...listDeeds(db, jobId), ...listLogged(db, jobId)]
    .toSorted((a, b) => (a.at < b.at ? 1 : a.at > b.at ? -1 : 0))
    .slice(0, MOST_TOLD);
}
