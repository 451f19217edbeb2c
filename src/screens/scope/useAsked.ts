import { useEffect } from 'react';
import type { StoredJob } from '#core/model/job/history';
import type { Run } from '#core/model/job/run';
import type { View } from './ViewSwitch';

type Shows = {
  readonly showRun: (run: Run) => void;
  readonly setSettingUp: (isSettingUp: boolean) => void;
  readonly setChosenId: (id: string | null) => void;
  readonly setView: (view: View) => void;
};

/** What the address asks for: Site sends here with the access it chose, other screens to the entry that something hangs on. */
export function useAsked(
  { inspection }: StoredJob,
  { showRun, setSettingUp, setChosenId, setView }: Shows,
): void {
  useEffect(() => {
    const query = new URLSearchParams(window.location.search);
    if (query.has('access')) setSettingUp(true);
    const wanted = inspection.runs.find(({ id }) => id === query.get('run'));
    if (wanted) showRun(wanted);
    if (query.has('entry')) setChosenId(query.get('entry'));
    if (query.get('view') === 'leave') setView('leave');
  }, [inspection, showRun, setSettingUp, setChosenId, setView]);
}

/** A page loaded again goes on with the run, not with setting it up. */
export function forgetAccess(): void {
  const url = new URL(window.location.href);
  url.searchParams.delete('access');
  window.history.replaceState(null, '', url);
}
