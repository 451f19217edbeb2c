import type { Finding } from '#core/judge/finding';
import type { LineNames } from '#core/lateral/line-names';
import { methodById } from '#core/planning/methods/index';
import { sayMoney, sayRange } from '#core/planning/money';
import { PLAN_NAMES, sayChance, sayYears, type Weighed } from '#core/planning/pick';
import type { Plan } from '#core/planning/plans/plan';
import styles from './Plans.module.css';
import { numbersOf, sayFindings, sayStations } from './say';

type Props = {
  readonly plan: Plan;
  readonly weighed: Weighed;
  readonly horizonYears: number;
  readonly findings: readonly Finding[];
  readonly names: LineNames;
  /** The dearest high end among the plans: the bars share one scale. */
  readonly mostUsd: number;
  readonly isPick: boolean;
  /** Whether these figures cannot tell it from the pick. */
  readonly isClose: boolean;
  readonly isChosen: boolean;
  readonly isShown: boolean;
  /** The finding that is selected: the works that deal with it stand out. */
  readonly selectedId: string | null;
  readonly brokenCount?: number;
  readonly onShow: () => void;
};

/** One plan: what it costs now, what it is expected to come to, its works and what it leaves. */
export function PlanCard(props: Props) {
  const {
    plan,
    weighed,
    horizonYears,
    findings,
    isPick,
    isChosen,
    isShown,
    brokenCount = 0,
  } = props;
  const left = numbersOf(findings, plan.leaves);
  const held = numbersOf(findings, plan.holds);
  const name = PLAN_NAMES[plan.id];
  return (
    <article className={styles['card']} data-shown={isShown} aria-labelledby={`plan-${plan.id}`}>
      <header>
        <h2 id={`plan-${plan.id}`}>{name}</h2>
        {isPick && <span className={styles['badge']}>Chert’s pick</span>}
        {isChosen && (
          <span className={styles['badge']} data-yours="true">
            Your choice
          </span>
        )}
      </header>
      <p className={styles['price']}>{plan.works.length === 0 ? '$0' : sayRange(plan.cost)}</p>
      <p className={styles['hint']}>
        now. Over {sayYears(horizonYears)} about <b>{sayMoney(weighed.expected)}</b>,{' '}
        {weighed.backup < 0.005
          ? 'hardly any backup to expect'
          : `chance of a backup ${sayChance(weighed.backup).replace(/ /g, '\u00a0')}`}
      </p>
      <RangeBar plan={plan} mostUsd={props.mostUsd} />
      {plan.works.length === 0 ? (
        <p>Nothing to do.</p>
      ) : (
        <table className={styles['works']}>
          <thead className="hidden-visually">
            <tr>
              <th scope="col">Feet</th>
              <th scope="col">Work</th>
              <th scope="col">Price</th>
            </tr>
          </thead>
          <tbody>
            {plan.works.map((work) => (
              <tr
                key={work.id}
                data-first={work.isFirst || undefined}
                data-selected={
                  (props.selectedId !== null &&
                    [...work.cures, ...work.holds].includes(props.selectedId)) ||
                  undefined
                }
              >
                <td>{`${sayStations(work)}${props.names.on(work.lineId)}`}</td>
                <td>
                  {methodById(work.method).verb}
                  {work.isFirst ? ', first' : ''}
                  {work.visit ? `, one visit from ${work.visit.from}` : ''}
                  {work.cures.length + work.holds.length > 0 && (
                    <em>
                      {work.cures.length > 0 &&
                        ` ends ${sayFindings(numbersOf(findings, work.cures))}`}
                      {work.cures.length > 0 && work.holds.length > 0 && ','}
                      {work.holds.length > 0 &&
                        ` holds ${sayFindings(numbersOf(findings, work.holds))}`}
                    </em>
                  )}
                </td>
                <td>{work.cost.high === 0 ? 'no fee included' : sayRange(work.cost)}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      <p className={styles['leaves']}>
        {held.length > 0 && `Only holds ${sayFindings(held)}. `}
        {left.length === 0 ? 'Leaves nothing moderate or worse.' : `Leaves ${sayFindings(left)}.`}
        {props.isClose && ' By these figures too close to the pick to call.'}
        {plan.isUnproved &&
          ' There were too many combinations to try them all: a cheaper one may exist.'}
        {weighed.ruledOut && ` Not to be picked: ${weighed.ruledOut}.`}
        {brokenCount > 0 && (
          <strong> Breaks {brokenCount === 1 ? 'a rule' : `${brokenCount} rules`}.</strong>
        )}
      </p>
      <div className={styles['show']}>
        <button type="button" aria-pressed={isShown} onClick={props.onShow}>
          {isShown ? 'Shown above' : `Show ${name.toLowerCase()}`}
        </button>
      </div>
    </article>
  );
}

/** Where the price lies among the plans: its range, and a tick at the likely price. */
function RangeBar({ plan: { cost }, mostUsd }: { readonly plan: Plan; readonly mostUsd: number }) {
  const at = (value: number) => (mostUsd > 0 ? (value / mostUsd) * 100 : 0);
  return (
    <svg
      className={styles['bar']}
      viewBox="0 0 100 6"
      preserveAspectRatio="none"
      aria-hidden="true"
    >
      <rect data-part="ground" x={0} y={0} width={100} height={6} />
      <rect
        data-part="range"
        x={at(cost.low)}
        y={0}
        width={Math.max(0.4, at(cost.high) - at(cost.low))}
        height={6}
      />
      <rect
        data-part="likely"
        x={Math.max(0, at(cost.likely) - 0.3)}
        y={0}
        width={0.6}
        height={6}
      />
    </svg>
  );
}
