import { sayPercent } from '#core/base/numbers';
import { sayMoney } from '#core/planning/money';
import { PLAN_NAMES, sayYears } from '#core/planning/pick';
import type { Repair } from '#core/planning/repair';
import { Panel } from '../shared/Panel';
import styles from './Repairs.module.css';

const dollars = new Intl.NumberFormat('en-US', {
  style: 'currency',
  currency: 'USD',
  maximumFractionDigits: 0,
});

/** Why the pick: the sum that is made least, plan by plan, and what it comes to in words. */
export function WhyPick({ repair }: { readonly repair: Repair }) {
  const { pick, weighing, paysBackYear } = repair;
  const [first, ...rest] = pick.because;
  return (
    <Panel id="why" title={`Why ${PLAN_NAMES[pick.planId].toLowerCase()}`}>
      <p>
        <b>{first}</b> {rest.slice(0, -1).join(' ')}
      </p>
      <table className={styles['objective']}>
        <caption>
          Expected cost over {sayYears(weighing.horizonYears)} + {dollars.format(weighing.weight)} ×
          chance of a backup. The least is picked of the plans that leave nothing that must be
          repaired.
        </caption>
        <thead>
          <tr>
            <th scope="col">Plan</th>
            <th scope="col">Cost</th>
            <th scope="col">Backup</th>
            <th scope="col">Total</th>
          </tr>
        </thead>
        <tbody>
          {pick.weighed.map(({ planId, expected, backup, risk, ruledOut }) => (
            <tr key={planId} data-pick={planId === pick.planId || undefined}>
              <th scope="row">{PLAN_NAMES[planId]}</th>
              <td>{dollars.format(expected)}</td>
              <td>{sayPercent(backup)}</td>
              <td>
                {ruledOut === null
                  ? dollars.format(Math.round(expected) + Math.round(risk))
                  : 'out'}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className={styles['hint']}>
        {paysBackYear === null
          ? 'Fixing what fails does not pay for itself within 30 years.'
          : paysBackYear === 0
            ? 'Fixing what fails costs no more than keeping it running, from the first day.'
            : `Fixing what fails has paid for itself by the end of year ${paysBackYear}.`}{' '}
        Planning figures in today’s money, discounted by{' '}
        {sayPercent(repair.site.assumptions.discountRate)} a year; one backup is taken as{' '}
        {sayMoney(repair.site.assumptions.backupCost)}.
      </p>
    </Panel>
  );
}
