import { nameMaterial } from '#core/catalogue/materials/kinds';
import { methodById } from '#core/planning/methods/index';
import { sayRange } from '#core/planning/money';
import type { Repair } from '#core/planning/repair';
import { weighWholeRuns } from '#core/planning/whole-runs';
import { Panel } from '../shared/Panel';
import { sayStations } from './say';

/** Lining, bursting and digging weighed over each whole run of worn pipe: what each costs, or why it is refused. */
export function WholeRuns({ repair: { site } }: { readonly repair: Repair }) {
  const runs = weighWholeRuns(site);
  if (runs.length === 0) return null;
  const { names } = site.assessment;
  return (
    <Panel id="whole-runs" title="The whole run as one">
      {runs.map((run) => (
        <div key={`${run.lineId} ${run.fromFt}`}>
          <h3>
            {nameMaterial(run.material)}, {sayStations(run)} ft{names.on(run.lineId)}
          </h3>
          <ul>
            {run.ways.map(({ method, cost, because }) => (
              <li key={method}>
                {methodById(method).name}:{' '}
                {because === null
                  ? `${sayRange(cost)}, with all that comes first.`
                  : `refused, ${because}.`}
              </li>
            ))}
          </ul>
        </div>
      ))}
    </Panel>
  );
}
