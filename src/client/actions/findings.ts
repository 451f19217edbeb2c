import { ulid } from 'ulid';
import type { JobOnDevice } from '#client/job-on-device';
import type { Material } from '#core/catalogue/materials/index';
import type { Action, Severity } from '#core/catalogue/severity/grade';
import type { Assessment } from '#core/judge/assessment';
import { evidenceOf } from '#core/judge/decide';
import type { Finding } from '#core/judge/finding';
import { pipeAt } from '#core/judge/rules/scene';
import type { Segment } from '#core/lateral/segments';
import type { Decision, Inspection } from '#core/model/job/inspection';
import { listFindingDecisions } from '#core/model/job/rulings';
import type { FoldedLog } from '#core/model/log/fold';
import { deciding } from './decide';
import { revised } from './entries';

/** What the inspector says in place of Chert. */
export type Word = {
  readonly severity?: Severity;
  readonly action?: Action;
  readonly wording?: string;
  readonly reason: string;
};

type Logs = ReadonlyMap<string, FoldedLog>;

/** The standing entries of a finding, each with its run. */
export function entriesOf({ runIds, entryIds }: Finding, logs: Logs) {
  const ids = new Set(entryIds);
  return runIds.flatMap((runId) =>
    (logs.get(runId)?.standing ?? [])
      .filter(({ id }) => ids.has(id))
      .map((entry) => ({ runId, entry })),
  );
}

/** The entries that call the pipe here what it is taken for, each with its run. */
export function pipeEntriesOf({ entryIds, material }: Segment, logs: Logs) {
  const ids = new Set(entryIds);
  return [...logs].flatMap(([runId, log]) =>
    log.standing.flatMap((entry) =>
      entry.kind === 'material' && ids.has(entry.id) && entry.material === material
        ? [{ runId, entry }]
        : [],
    ),
  );
}

/** The pipe that a finding lies in; `null` where there is none. */
export function pipeOf({ lateral, branches }: Assessment, finding: Finding): Segment | null {
  return pipeAt({ laterals: [lateral, ...branches] }, finding);
}

/** What can be done to findings, each as changes that the job keeps. */
export function rulingActions(job: JobOnDevice, logs: Logs) {
  const { put, drop } = deciding(job.change);
  const over = (finding: Finding) => ({
    id: ulid(),
    findingId: finding.id,
    entries: entriesOf(finding, logs).map(({ runId, entry }) => ({ runId, entryId: entry.id })),
    evidence: evidenceOf(finding),
  });
  const decisionsOf = (finding: Finding, kind: Decision['kind']) =>
    listFindingDecisions(job.inspection.decisions).filter(
      (one) => one.kind === kind && one.findingId === finding.id,
    );
  return {
    drop,
    override: (finding: Finding, word: Word) =>
      put({ ...over(finding), kind: 'override-finding', ...word }),
    review: (finding: Finding, verdict: 'confirmed' | 'dismissed', reason: string) =>
      put({ ...over(finding), kind: 'review-finding', verdict, reason }),
    /** Takes every word of a kind on a finding back. */
    takeBack: (finding: Finding, kind: Decision['kind']) =>
      drop(
        ...new Set([
          ...decisionsOf(finding, kind).map(({ id }) => id),
          // The one in force may name the finding by an entry that has been corrected since.
          ...(kind === 'override-finding' && finding.ruling ? [finding.ruling.decisionId] : []),
          ...(kind === 'review-finding' && finding.review ? [finding.review.decisionId] : []),
        ]),
      ),
    /** Says a stale decision again, over what there is now. */
    sayAgain: (finding: Finding, decisionId: string) => {
      const old = job.inspection.decisions.find(({ id }) => id === decisionId);
      if (old) put({ ...old, ...over(finding), kind: old.kind, reason: old.reason });
    },
    /** Two findings are one thing. */
    join: (finding: Finding, other: Finding, reason: string) =>
      put({
        id: ulid(),
        kind: 'join-sightings',
        reason,
        sightings: [finding, other].flatMap((one) =>
          entriesOf(one, logs).map(({ runId, entry }) => ({ runId, entryId: entry.id })),
        ),
      }),
    /** The sightings of a finding are not one thing. */
    split: (finding: Finding, reason: string) =>
      put({
        id: ulid(),
        kind: 'split-sightings',
        reason,
        sightings: entriesOf(finding, logs)
          .filter(({ entry }) => entry.kind === 'defect')
          .map(({ runId, entry }) => ({ runId, entryId: entry.id })),
      }),
    /** Corrects what the pipe is called, wherever it was called so for this stretch. */
    correctPipe: (segment: Segment, pipe: { material: Material; diameterIn: number }) => {
      for (const { runId, entry } of pipeEntriesOf(segment, logs))
        job.append(runId, [revised(entry, { ...pipe, certainty: undefined })]);
    },
    /** A second look makes what was suspected certain. */
    makeCertain: (finding: Finding) => {
      for (const { runId, entry } of entriesOf(finding, logs))
        if (entry.certainty !== undefined && entry.certainty !== 'confirmed')
          job.append(runId, [revised(entry, { certainty: undefined })]);
    },
    setProfile: (profile: Inspection['job']['profile']) =>
      job.change({ what: 'facts', facts: { job: { profile } } }),
  };
}

export type RulingActions = ReturnType<typeof rulingActions>;
