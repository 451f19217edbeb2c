import { sayTimeOf } from '#core/base/clock';
import type { Finding } from '#core/judge/finding';
import type { Inspection } from '#core/model/job/inspection';
import { labelIn } from '#core/model/job/labels';
import { listFindingDecisions } from '#core/model/job/rulings';
import type { Entry } from '#core/model/log/entry';
import type { FoldedLog } from '#core/model/log/fold';
import { sayEntry } from '#core/model/log/say-entry';
import styles from './Detail.module.css';

type Props = {
  readonly finding: Finding;
  readonly inspection: Inspection;
  readonly logs: ReadonlyMap<string, FoldedLog>;
};

/** The entries of a finding's chains, standing or fallen, in the order in which they were logged. */
function chainsOf({ runIds, entryIds }: Finding, logs: Props['logs']) {
  return runIds
    .flatMap((runId) => {
      const log = logs.get(runId);
      if (!log) return [];
      const roots = new Set(entryIds.filter((id) => log.byId.has(id)).map((id) => log.rootOf(id)));
      return [...log.byId.values()]
        .filter(({ id, kind }) => kind !== 'retract' && roots.has(log.rootOf(id)))
        .map((entry) => ({ runId, entry, fallen: log.fallen.get(entry.id) ?? null }));
    })
    .sort((a, b) => Date.parse(a.entry.at) - Date.parse(b.entry.at));
}

const sayWhole = (entry: Entry) => {
  const { title, facts } = sayEntry(entry);
  return [title, ...facts].join(', ');
};

/** How a finding came to be what it is: what was logged, corrected and decided. */
export function History({ finding, inspection, logs }: Props) {
  const decisions = listFindingDecisions(inspection.decisions).filter(
    ({ findingId }) => findingId === finding.id,
  );
  return (
    <ul className={styles['history']}>
      {chainsOf(finding, logs).map(({ runId, entry, fallen }) => (
        <li key={`${runId} ${entry.id}`} data-fallen={fallen !== null}>
          <span className={styles['when']}>
            {sayTimeOf(entry.at)} {labelIn(inspection.runs, runId)} {entry.pass}
          </span>
          <span>
            {entry.readingFt === null ? 'no reading' : `${entry.readingFt.toFixed(1)} ft`}:{' '}
            {sayWhole(entry)}
            {fallen ? ` (${fallen})` : ''}
          </span>
        </li>
      ))}
      {decisions.map((decision) => (
        <li key={decision.id}>
          <span className={styles['when']}>your word</span>
          <span>
            {decision.kind === 'review-finding'
              ? decision.verdict
              : [decision.severity, decision.action, decision.wording].filter(Boolean).join(', ')}
            {decision.reason === '' ? '' : `: ${decision.reason}`}
          </span>
        </li>
      ))}
    </ul>
  );
}
