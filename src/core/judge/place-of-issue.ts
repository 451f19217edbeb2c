/** Where an issue is cleared: the screen, and the run and entry to stand at. */
export type IssuePlace = {
  readonly stage: 'site' | 'scope' | 'lateral' | 'findings';
  readonly runId: string | null;
  readonly entryId: string | null;
};

/** What an issue or a question says of its place. */
type Placed = {
  readonly code: string;
  readonly runIds: readonly string[];
  readonly entryIds: readonly string[];
};

/** Issues that are not cleared by logging: where runs are joined, in the facts of the job, at the desk. */
const STAGE_OF: Readonly<Record<string, IssuePlace['stage']>> = {
  'tie-misfit': 'lateral',
  'tie-unchecked': 'lateral',
  'run-unplaced': 'lateral',
  homecoming: 'lateral',
  'home-implausible': 'lateral',
  'counters-disagree': 'lateral',
  'access-untried': 'site',
  'advice-differs': 'findings',
  'cleaned-before': 'lateral',
  'zero-at-rim': 'lateral',
  'run-no-zero': 'lateral',
  'shallow-water': 'site',
  'outside-scope': 'site',
  'override-stale': 'findings',
  'no-advice': 'findings',
  'near-duplicate': 'findings',
};

/** Tells where to go to clear an issue: the run it names first, and the entry it names last. */
export function placeOfIssue({ code, runIds, entryIds }: Placed): IssuePlace {
  return {
    // What names neither run nor entry is a fact of the job.
    stage: STAGE_OF[code] ?? (runIds.length + entryIds.length === 0 ? 'site' : 'scope'),
    runId: runIds[0] ?? null,
    entryId: entryIds.at(-1) ?? null,
  };
}

/** The address of that place. */
export function hrefOfIssue(jobId: string, issue: Placed): string {
  const { stage, runId, entryId } = placeOfIssue(issue);
  const query = new Map<string, string>();
  if (runId !== null) query.set('run', runId);
  if (entryId !== null) query.set('entry', entryId);
  const text = [...query].map(([key, value]) => `${key}=${encodeURIComponent(value)}`).join('&');
  return `/jobs/${encodeURIComponent(jobId)}/${stage}${text ? `?${text}` : ''}`;
}
