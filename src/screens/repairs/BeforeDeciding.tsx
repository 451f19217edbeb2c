import { cautionsOfPlan } from '#core/planning/cautions';
import { methodById } from '#core/planning/methods/index';
import type { Plan } from '#core/planning/plans/plan';
import type { Repair } from '#core/planning/repair';
import { Panel } from '../shared/Panel';
import styles from './Repairs.module.css';

type Props = { readonly repair: Repair; readonly plan: Plan };

/** What is worth knowing before the choice: looks that are open, and whether gravity can serve. */
export function BeforeDeciding({ repair: { looks, gravity } }: Pick<Props, 'repair'>) {
  if (looks.length + gravity.length === 0) return null;
  return (
    <Panel id="before" title="Before you decide">
      {looks.length > 0 && <h3>What the next look is worth</h3>}
      {looks.map(({ findingId, says }) => (
        <p key={findingId}>{says}</p>
      ))}
      {gravity.length > 0 && <h3>Gravity or pump</h3>}
      {gravity.map(({ lineId, says }) => (
        <p key={lineId}>{says}</p>
      ))}
    </Panel>
  );
}

/** What must be said before anyone digs, and who does what. */
export function BeforeDigging({ repair, plan }: Props) {
  const cautions = cautionsOfPlan(repair.site, plan);
  const by = new Map<string, string[]>();
  for (const { method } of plan.works) {
    const { by: who, name } = methodById(method);
    const names = by.get(who) ?? [];
    if (!names.includes(name)) by.set(who, [...names, name]);
  }
  return (
    <Panel id="digging" title="Before anyone digs">
      <ul className={styles['cautions']}>
        {cautions.map(({ about, text }) => (
          <li key={about}>
            <b>{about}.</b> {text}
          </li>
        ))}
      </ul>
      {cautions.length === 0 && <p className={styles['hint']}>This plan has no works.</p>}
      {by.size > 0 && (
        <>
          <h3>Who does what</h3>
          <ul className={styles['cautions']}>
            {[...by].map(([who, names]) => (
              <li key={who}>
                {names.join(', ')}: {who}.
              </li>
            ))}
          </ul>
        </>
      )}
    </Panel>
  );
}
