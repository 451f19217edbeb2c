import type { Interval } from '#core/base/interval';
import type { Coverage, RunCoverage } from '#core/lateral/coverage';
import { useNameOf } from '../shared/names';
import styles from './Lateral.module.css';
import { foot } from './say';

type Props = {
  readonly coverage: Coverage;
  readonly runs: readonly RunCoverage[];
  readonly reached: readonly Interval[];
};

const CAUSES = {
  submerged: 'under water',
  murky: 'murky water',
  'dirty-lens': 'the lens was dirty',
  'too-fast': 'passed too fast',
  other: 'another reason',
} as const;

const WIDTH = 600;

/** What was seen, hidden and not reached: the whole line, and what each run saw of it. */
export function CoverageBars({ coverage, runs, reached }: Props) {
  const nameOf = useNameOf();
  const ends = [...reached, ...runs.map(({ reach }) => reach)];
  if (ends.length === 0) return <p className={styles['hint']}>Nothing has been reached yet.</p>;
  const fromFt = Math.min(...ends.map((one) => one.fromFt));
  const toFt = Math.max(...ends.map((one) => one.toFt), fromFt + 1);
  const bar = (clear: readonly Interval[], hidden: readonly Interval[]) => (
    <Bar from={fromFt} to={toFt} clear={clear} hidden={hidden} />
  );
  const left =
    coverage.unreachedFt === null ? 'not known how much' : `${foot(coverage.unreachedFt)} ft`;
  return (
    <>
      <dl className={styles['seen']}>
        <div>
          <dt>seen</dt>
          <dd>{foot(coverage.clearFt)} ft</dd>
        </div>
        <div>
          <dt>hidden</dt>
          <dd>{foot(coverage.obscuredFt)} ft</dd>
        </div>
        <div>
          <dt>not reached</dt>
          <dd>{left}</dd>
        </div>
      </dl>
      <div className={styles['bars']}>
        <span>whole</span>
        {bar(coverage.clear, coverage.obscured)}
        {runs.map(({ runId, reach, obscured }) => (
          <div key={runId} className={styles['contents']}>
            <span>{nameOf(runId)}</span>
            {bar([reach], obscured)}
          </div>
        ))}
      </div>
      <ul className={styles['reasons']}>
        {coverage.unseen.map(({ fromFt: a, toFt: b, cause, runId }) => (
          <li key={`${runId} ${a} ${b}`}>
            {nameOf(runId)} could not see {foot(a)} to {foot(b)} ft: {CAUSES[cause]}
            {coverage.obscured.some((one) => one.fromFt < b && one.toFt > a)
              ? ''
              : '; another run saw it'}
          </li>
        ))}
        {coverage.gaps.map(({ fromFt: a, toFt: b }) => (
          <li key={`gap ${a}`}>
            No run went from {foot(a)} to {foot(b)} ft.
          </li>
        ))}
      </ul>
    </>
  );
}

type BarProps = {
  readonly from: number;
  readonly to: number;
  readonly clear: readonly Interval[];
  readonly hidden: readonly Interval[];
};

function Bar({ from, to, clear, hidden }: BarProps) {
  const x = (at: number) => ((at - from) / (to - from)) * WIDTH;
  const rects = (list: readonly Interval[], kind: string) =>
    list.map((one) => (
      <rect
        key={`${kind} ${one.fromFt}`}
        data-kind={kind}
        x={x(one.fromFt)}
        width={Math.max(1, x(one.toFt) - x(one.fromFt))}
        height={16}
      />
    ));
  return (
    <svg viewBox={`0 0 ${WIDTH} 16`} preserveAspectRatio="none" aria-hidden="true">
      <rect data-kind="never" width={WIDTH} height={16} />
      {rects(clear, 'clear')}
      {rects(hidden, 'hidden')}
    </svg>
  );
}
