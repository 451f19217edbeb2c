import {
  Area,
  CartesianGrid,
  ComposedChart,
  Line,
  ResponsiveContainer,
  XAxis,
  YAxis,
} from 'recharts';
import { roundTo } from '#core/base/numbers';
import type { Played } from '#core/planning/futures/play';
import { sayMoney } from '#core/planning/money';
import { PLAN_NAMES } from '#core/planning/pick';
import type { PlanId } from '#core/planning/plans/plan';
import styles from './FuturesChart.module.css';

type Props = {
  readonly played: readonly Played<PlanId>[];
  readonly horizonYears: number;
};

const HEIGHT = 250;
/** Steps of money that people count in. */
const STEPS = [500, 1000, 2000, 5000, 10_000, 20_000, 50_000, 100_000, 200_000, 500_000];

/** Money spent by each year, plan by plan: the middle of the histories, and the band of eight in ten. */
export function FuturesChart({ played, horizonYears }: Props) {
  const years = Array.from({ length: horizonYears + 1 }, (_, year) => year);
  const rows = years.map((year) => ({
    year,
    ...Object.fromEntries(
      played.flatMap(({ planId, low, middle, high }): [string, number | number[]][] => [
        [planId, Math.round(middle[year]!)],
        [`${planId} band`, [Math.round(low[year]!), Math.round(high[year]!)]],
      ]),
    ),
  }));
  const most = Math.max(100, ...played.map(({ high }) => high[horizonYears]!));
  const step = STEPS.find((one) => most / one <= 5) ?? 1_000_000;
  const top = Math.ceil(most / step) * step;
  const ticks = Array.from({ length: top / step + 1 }, (_, index) => index * step);
  return (
    <figure className={styles['chart']}>
      <div aria-hidden="true">
        <ResponsiveContainer width="100%" height={HEIGHT}>
          <ComposedChart
            accessibilityLayer={false}
            data={rows}
            margin={{ top: 8, right: 40, bottom: 4, left: 0 }}
          >
            <CartesianGrid vertical={false} />
            <XAxis
              dataKey="year"
              type="number"
              domain={[0, horizonYears]}
              ticks={yearTicks(horizonYears)}
              tickFormatter={(year: number) => (year === 0 ? 'now' : `year ${year}`)}
            />
            <YAxis domain={[0, top]} ticks={ticks} width={64} tickFormatter={sayMoney} />
            {played.map(({ planId }) => (
              <Area
                key={`${planId} band`}
                dataKey={`${planId} band`}
                type="linear"
                className={`${styles['band']} ${styles[planId]}`}
                isAnimationActive={false}
                activeDot={false}
              />
            ))}
            {played.map(({ planId }) => (
              <Line
                key={planId}
                dataKey={planId}
                type="linear"
                className={`${styles['line']} ${styles[planId]}`}
                dot={false}
                activeDot={false}
                isAnimationActive={false}
              />
            ))}
          </ComposedChart>
        </ResponsiveContainer>
      </div>
      <figcaption>
        {played.map(({ planId }) => (
          <span key={planId} className={`${styles['key']} ${styles[planId]}`}>
            {PLAN_NAMES[planId]}
          </span>
        ))}
      </figcaption>
      <div className={styles['table']}>
        <table>
          <caption className="hidden-visually">
            Money spent by the end of each year, eight histories in ten
          </caption>
          <thead>
            <tr>
              <th scope="col">By the end of</th>
              {played.map(({ planId }) => (
                <th key={planId} scope="col">
                  {PLAN_NAMES[planId]}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {tableYears(horizonYears).map((year) => (
              <tr key={year}>
                <th scope="row">{year === 0 ? 'now' : `year ${year}`}</th>
                {played.map(({ planId, low, middle, high, backup }) => (
                  <td key={planId}>
                    {sayMoney(middle[year]!)}{' '}
                    <em>
                      ({sayMoney(low[year]!)} to {sayMoney(high[year]!)}; backup{' '}
                      {roundTo(backup[year]! * 100, 0)}%)
                    </em>
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </figure>
  );
}

function yearTicks(horizon: number): number[] {
  const step = horizon <= 5 ? 1 : horizon <= 12 ? 2 : 5;
  const ticks = Array.from({ length: Math.floor(horizon / step) + 1 }, (_, index) => index * step);
  return ticks.at(-1) === horizon ? ticks : [...ticks, horizon];
}

const tableYears = (horizon: number) => [...new Set([0, Math.round(horizon / 2), horizon])];
