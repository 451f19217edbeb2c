import {
  CartesianGrid,
  ComposedChart,
  ErrorBar,
  Line,
  ReferenceArea,
  ResponsiveContainer,
  XAxis,
  YAxis,
} from 'recharts';
import type { Grade } from '#core/lateral/grade/grade';
import type { HeldWater } from '#core/lateral/grade/held-water';
import styles from './GradeChart.module.css';
import { foot } from './say';

type Props = { readonly grade: Grade; readonly held: HeldWater };

const HEIGHT = 220;

/** Round numbers of an axis, both ends included. */
const ticksBetween = (low: number, high: number, step: number) =>
  Array.from({ length: Math.floor((high - low) / step) + 1 }, (_, index) => low + index * step);

/** Ground, invert with its σ, and the fall that is needed from the first located point, over the stations. */
export function GradeChart({ grade, held }: Props) {
  const { points, whole } = grade;
  const first = points[0]!;
  const slope = whole ? whole.requiredIn / (whole.toFt - whole.fromFt) : 0;
  const rows = points.map(({ stationFt, groundIn, invertIn, sigmaIn }) => ({
    stationFt,
    ground: groundIn,
    invert: invertIn,
    sigma: sigmaIn,
    needed: first.invertIn - slope * (stationFt - first.stationFt),
  }));
  const fromFt = Math.floor(first.stationFt / 10) * 10;
  const toFt = Math.ceil(points.at(-1)!.stationFt / 10) * 10;
  const levels = rows.flatMap(({ ground, invert, sigma, needed }) => [
    ground,
    invert - sigma,
    needed,
  ]);
  const low = Math.floor(Math.min(...levels) / 12) * 12;
  const high = Math.ceil(Math.max(...levels) / 12) * 12;
  return (
    <figure className={styles['chart']}>
      <div aria-hidden="true">
        <ResponsiveContainer width="100%" height={HEIGHT}>
          <ComposedChart
            accessibilityLayer={false}
            data={rows}
            margin={{ top: 8, right: 12, bottom: 4, left: 0 }}
          >
            <CartesianGrid vertical={false} />
            <XAxis
              dataKey="stationFt"
              type="number"
              domain={[fromFt, toFt]}
              ticks={ticksBetween(fromFt, toFt, toFt - fromFt > 60 ? 20 : 10)}
              unit=" ft"
            />
            <YAxis
              domain={[low, high]}
              ticks={ticksBetween(low, high, high - low > 96 ? 24 : 12)}
              width={56}
              unit=" in"
            />
            {held.pools.map((pool) => (
              <ReferenceArea
                key={pool.number}
                x1={Math.max(fromFt, pool.fromFt)}
                x2={Math.min(toFt, Math.max(pool.toFt, pool.fromFt + 0.5))}
                className={styles['pool'] ?? ''}
              />
            ))}
            <Line
              dataKey="ground"
              type="linear"
              className={styles['ground'] ?? ''}
              dot={false}
              isAnimationActive={false}
            />
            <Line
              dataKey="needed"
              type="linear"
              className={styles['needed'] ?? ''}
              dot={false}
              isAnimationActive={false}
            />
            <Line
              dataKey="invert"
              type="linear"
              className={styles['invert'] ?? ''}
              isAnimationActive={false}
            >
              <ErrorBar dataKey="sigma" direction="y" width={5} strokeWidth={1.5} />
            </Line>
          </ComposedChart>
        </ResponsiveContainer>
      </div>
      <figcaption>
        <span className={styles['key']} data-key="ground">
          ground
        </span>
        <span className={styles['key']} data-key="invert">
          bottom of the pipe ± σ
        </span>
        <span className={styles['key']} data-key="needed">
          fall needed
        </span>
        {held.pools.length > 0 && (
          <span className={styles['key']} data-key="pool">
            standing water
          </span>
        )}
      </figcaption>
      <table className="hidden-visually">
        <caption>Levels above the datum, inches</caption>
        <thead>
          <tr>
            <th scope="col">Station, ft</th>
            <th scope="col">Ground</th>
            <th scope="col">Bottom of the pipe</th>
            <th scope="col">σ</th>
            <th scope="col">Needed</th>
          </tr>
        </thead>
        <tbody>
          {rows.map((row) => (
            <tr key={row.stationFt}>
              <td>{foot(row.stationFt)}</td>
              <td>{foot(row.ground)}</td>
              <td>{foot(row.invert)}</td>
              <td>{foot(row.sigma)}</td>
              <td>{foot(row.needed)}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </figure>
  );
}
