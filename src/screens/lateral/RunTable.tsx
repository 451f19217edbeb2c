import type { Inspection } from '#core/model/job/inspection';
import { labelIn, labelOf } from '#core/model/job/labels';
import type { Run } from '#core/model/job/run';
import type { RunRow } from '#core/section/lateral-view';
import styles from './PipeTable.module.css';
import { RunSetupEdit } from './RunSetupEdit';
import { foot, footOf, signed } from './say';

type Props = {
  readonly runs: readonly RunRow[];
  readonly inspection: Inspection;
  readonly onSetup: (setup: Omit<Run, 'entries'>) => void;
  /** Names the run whose access has station 0; `null` leaves the choice to Chert. */
  readonly onReference: (runId: string | null) => void;
};

/** Every run: where its access lies, how its counter agrees, how it came home. */
export function RunTable({ runs, inspection, onSetup, onReference }: Props) {
  const { accessPoints, lines = [], job } = inspection;
  const setups = inspection.runs;
  return (
    <>
      <table className={styles['table']}>
        <caption className="hidden-visually">
          Runs, with where they begin and how they came home
        </caption>
        <thead>
          <tr>
            <th scope="col">Run</th>
            <th scope="col">Its access at</th>
            <th scope="col">Counts</th>
            <th scope="col">Zero, far end</th>
            <th scope="col">Came home</th>
          </tr>
        </thead>
        <tbody>
          {runs.map((run) => (
            <tr key={run.id}>
              <th scope="row">
                {run.name}{' '}
                <span>
                  from {run.from}, {run.facing}
                </span>
              </th>
              <td className={styles['near']}>{sayOrigin(run)}</td>
              <td>{run.placed ? sayScale(run.scale) : '–'}</td>
              <td className={styles['near']}>
                {foot(run.zeroFt)}, {foot(run.farthestFt)}
              </td>
              <td data-warn={run.excessive || run.isImplausible || undefined}>
                {run.homeFt === null ? 'not read' : `${signed(run.misclosureFt)} ft`}
                {run.excessive && <span>more than a counter slips</span>}
                {run.isImplausible && <span>not believed: no footage moved for it</span>}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {setups.length > 1 && (
        <label className={styles['reference']}>
          Feet are counted from the access of
          <select
            value={job.referenceRunId ?? ''}
            onChange={(event) => onReference(event.target.value || null)}
          >
            <option value="">the run that saw the line’s end</option>
            {setups.map((run) => (
              <option key={run.id} value={run.id}>
                {labelOf(run)}, from {labelIn(accessPoints, run.accessPointId)}
              </option>
            ))}
          </select>
        </label>
      )}
      {setups
        .filter(({ id }) => runs.some((run) => run.id === id))
        .map((run) => (
          <RunSetupEdit
            key={run.id}
            run={run}
            accessPoints={accessPoints}
            lines={lines}
            onSetup={onSetup}
          />
        ))}
    </>
  );
}

function sayOrigin({ placed, abandoned, originFt, originSigmaFt }: RunRow): string {
  if (!placed) return abandoned ? 'given up' : 'not joined';
  return originSigmaFt < 0.05 ? foot(originFt) : footOf(originFt, originSigmaFt);
}

/** How a run's counter stands to the reference's: "0.4% long" reads more feet than there are. */
function sayScale(scale: number): string {
  const percent = Math.abs(1 - scale) * 100;
  return percent < 0.05 ? 'true' : `${percent.toFixed(1)}% ${scale < 1 ? 'long' : 'short'}`;
}
