import { ulid } from 'ulid';
import type { Doing, JobOnDevice } from '#client/job-on-device';
import type { Remedy } from '#core/measure/join/causes/cause';
import type { PlacedTie } from '#core/measure/join/join';
import type { TieSuggestion } from '#core/measure/join/suggest';
import {
  holding,
  type Spot,
  standingTies,
  tieSpots,
  type Tying,
} from '#core/measure/join/tie-spots';
import type { FactsChange } from '#core/model/job/facts';
import type { Decision, Tie } from '#core/model/job/inspection';
import { deciding } from './decide';
import { revised } from './entries';

const tiesChange = (ties: FactsChange['ties']): Doing => ({
  what: 'facts',
  facts: { ties: ties! },
});

/** What can be done to the ties of a job, each as one change. */
export function tieActions(job: JobOnDevice, placed: readonly PlacedTie[]) {
  const ties = standingTies(job.inspection.ties, placed);
  const put = (tie: Tie) => job.change(tiesChange({ [tie.id]: tie }));
  return {
    put,
    /** Ties things to the first of them, all or none. */
    tie: ([first, ...rest]: readonly Spot[], label: string): Tying => {
      let laid: readonly Tie[] = ties;
      let last: Tying = { ok: false, why: 'A tie joins two runs: name a place in each.' };
      for (const spot of rest) {
        last = tieSpots(laid, first!, spot, label);
        if (!last.ok) return last;
        const { tie } = last;
        laid = [...laid.filter(({ id }) => id !== tie.id), tie];
      }
      if (last.ok) put(last.tie);
      return last;
    },
    drop: (id: string) => job.change(tiesChange({ [id]: null })),
    accept: (offers: readonly TieSuggestion[]) => {
      const laid = new Map(ties.map((tie) => [tie.id, tie]));
      const changed: Record<string, Tie> = {};
      for (const { sightings, label } of offers) {
        const tying = tieSpots([...laid.values()], sightings[0]!, sightings[1]!, label);
        if (!tying.ok) continue;
        laid.set(tying.tie.id, tying.tie);
        changed[tying.tie.id] = tying.tie;
      }
      job.change(tiesChange(changed));
    },
    refuse: ({ key, label }: TieSuggestion) => {
      const decision: Decision = {
        id: ulid(),
        kind: 'drop-suggestion',
        reason: `Not the same ${label.toLowerCase()}`,
        key,
      };
      deciding(job.change).put(decision);
    },
    remedy: (remedy: Remedy) => applyRemedy(job, ties, remedy),
  };
}

/** Does what would make a misfit fit: every remedy can be taken back. */
function applyRemedy(job: JobOnDevice, ties: readonly Tie[], remedy: Remedy): void {
  const run = job.inspection.runs.find(({ id }) => id === remedy.runId);
  if (!run) return;
  const { entries: _entries, ...setup } = run;
  switch (remedy.do) {
    case 'tie-instead': {
      const spot = { runId: remedy.runId, entryId: remedy.from };
      const tie = holding(ties, spot);
      if (!tie) return;
      const sightings = tie.sightings.map((one) =>
        one.runId === remedy.runId ? { runId: remedy.runId, entryId: remedy.to } : one,
      );
      job.change(tiesChange({ [tie.id]: { ...tie, sightings } }));
      return;
    }
    case 'correct-reading': {
      const entry = run.entries.find(({ id }) => id === remedy.entryId);
      if (!entry) return;
      job.append(run.id, [revised(entry, { readingFt: remedy.readingFt })]);
      return;
    }
    case 'turn-run':
      job.change({ what: 'run', setup: { ...setup, facing: remedy.facing } });
      return;
    case 'set-drop':
      job.change({
        what: 'run',
        setup: { ...setup, zero: { ...run.zero, at: 'rim', dropFt: remedy.dropFt } },
      });
  }
}
