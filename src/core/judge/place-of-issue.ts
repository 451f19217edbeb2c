import type { Issue } from './check';

/** Where an issue is cleared: the screen, and the run and entry to stand at. */
export type IssuePlace = {
  readonly stage: 'scope' | 'lateral';
  readonly runId: string | null;
  readonly entryId: string | null;
};

/** Issues that are cleared where runs are joined. */
const ON_LATERAL = ['tie-misfit', 'tie-unchecked', 'run-unplaced', 'homecoming'];

/** Tells where to go to clear an issue: the run it names first, and the entry it names last. */
export function placeOfIssue({ code, runIds, entryIds }: Issue): IssuePlace {
  return {
    stage: ON_LATERAL.includes(code) ? 'lateral' : 'scope',
    runId: runIds[0] ?? null,
    entryId: entryIds.at(-1) ?? null,
  };
}

/** The address of that place. */
export function hrefOfIssue(jobId: string, issue: Issue): string {
  const { stage, runId, entryId } = placeOfIssue(issue);
  const query = new Map<string, string>();
  if (runId !== null) query.set('run', runId);
  if (entryId !== null) query.set('entry', entryId);
  const text = [...query].map(([key, value]) => `${key}=${encodeURIComponent(value)}`).join('&');
  return `/jobs/${encodeURIComponent(jobId)}/${stage}${text ? `?${text}` : ''}`;
}
