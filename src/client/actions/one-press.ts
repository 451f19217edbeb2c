import type { ToClear } from '#core/judge/to-clear';
import type { Inspection } from '#core/model/job/inspection';
import type { Run } from '#core/model/job/run';
import type { EntryDraft } from '#core/model/log/entry';
import { revised } from './entries';

/** What one press does to clear a thing: a new set-up of its run, or an entry in its log. */
export type OnePress = { readonly says: string; readonly runId: string } & (
  { readonly setup: Omit<Run, 'entries'> } | { readonly draft: EntryDraft }
);

/** The presses that clear a thing without going anywhere; none where something must be looked at or said. */
export function pressesFor({ runs }: Inspection, item: ToClear): readonly OnePress[] {
  const run = runs.find(({ id }) => id === item.runIds[0]);
  if (!run) return [];
  const { entries, ...setup } = run;
  if (item.code === 'water-unverified' && (run.waterAtStart ?? 'unknown') === 'unknown') {
    const isSaid = entries.some(({ kind }) => kind === 'water' || kind === 'flow-test');
    if (isSaid) return [];
    const press = (waterAtStart: 'none' | 'running', says: string): OnePress => ({
      says,
      runId: run.id,
      setup: { ...setup, waterAtStart },
    });
    return [press('none', 'No water was running then'), press('running', 'Water was running then')];
  }
  if (item.code === 'home-implausible') {
    const home = entries.find(({ id }) => id === item.entryIds[0]);
    if (home?.kind !== 'home') return [];
    return [
      {
        says: 'It is right: accept it',
        runId: run.id,
        draft: revised(home, { accepted: true }),
      },
    ];
  }
  return [];
}
