import { lazy } from 'react';
import { type Played, USUAL_HISTORIES } from '#core/planning/futures/play';
import { sayMoney } from '#core/planning/money';
import { PLAN_NAMES, sayYears } from '#core/planning/pick';
import type { PlanId } from '#core/planning/plans/plan';
import type { Repair } from '#core/planning/repair';
import { Later } from '../shared/Later';
import { Panel } from '../shared/Panel';
import styles from './Repairs.module.css';
import type { FuturesModel } from './useFutures';

const FuturesChart = lazy(async () => ({
  default: (await import('./FuturesChart')).FuturesChart,
}));

type Props = { readonly repair: Repair; readonly model: FuturesModel };

/** What is to be expected, in closed form: drawn until the histories have been played. */
const expectedOf = ({ expectations }: Repair): Played<PlanId>[] =>
  [...expectations].map(([planId, { spent, backup }]) => ({
    planId,
    low: spent,
    middle: spent,
    high: spent,
    mean: spent,
    backup,
  }));

/** How many assumptions are named as those that move the answer. */
const NAMED = 6;

/** Each plan played forward: money by year, and which assumption moves the answer most. */
export function Futures({ repair, model: { played, playing, sways, stop, again } }: Props) {
  const { horizonYears } = repair.weighing;
  // What was played of plans that are there; a plan changed since is played anew in a moment.
  const shown = played?.filter(({ planId }) => repair.plans.some(({ id }) => id === planId)) ?? [];
  return (
    <Panel id="futures" title="Spent by each year">
      <div className={styles['playing']}>
        <p className={styles['hint']} role="status">
          {playing.state === 'playing' &&
            `Playing ${USUAL_HISTORIES.toLocaleString('en-US')} histories of each plan: ${Math.round(playing.share * 100)}%`}
          {playing.state === 'done' &&
            `The middle and 8 in 10 of ${USUAL_HISTORIES.toLocaleString('en-US')} histories of each plan, played in ${(playing.tookMs / 1000).toFixed(1)} s. Not discounted.`}
          {playing.state === 'stopped' &&
            'Stopped before it was done: the lines are what is to be expected.'}
        </p>
        {playing.state === 'playing' ? (
          <>
            <progress max={1} value={playing.share} aria-label="Histories played" />
            <button type="button" onClick={stop}>
              Stop
            </button>
          </>
        ) : (
          playing.state === 'stopped' && (
            <button type="button" onClick={again}>
              Play them
            </button>
          )
        )}
      </div>
      {/* Drawn in the browser alone: the chart styles itself in place, which a page from the server may not. */}
      <Later meanwhile={<div className={styles['no-chart']} />}>
        <FuturesChart
          played={shown.length > 0 ? shown : expectedOf(repair)}
          horizonYears={horizonYears}
        />
      </Later>
      {sways !== null && sways.length > 0 && (
        <>
          <h3>What the answer hangs on</h3>
          <p className={styles['hint']}>
            How far the pick’s lead over {sayYears(horizonYears)} moves when one assumption goes
            from its low to its high value, all else as it is.
          </p>
          <ol className={styles['sways']}>
            {sways.slice(0, NAMED).map(({ key, says, low, high, moves, pickAtLow, pickAtHigh }) => (
              <li key={key}>
                <span>
                  {says}{' '}
                  <em>
                    ({low} to {high})
                  </em>
                  {pickAtLow !== pickAtHigh && (
                    <strong>
                      {' '}
                      {PLAN_NAMES[pickAtLow]} at {low}, {PLAN_NAMES[pickAtHigh].toLowerCase()} at{' '}
                      {high}
                    </strong>
                  )}
                </span>
                <b>{sayMoney(moves)}</b>
                <svg viewBox="0 0 100 4" preserveAspectRatio="none" aria-hidden="true">
                  <rect width={(moves / sways[0]!.moves) * 100} height={4} />
                </svg>
              </li>
            ))}
          </ol>
        </>
      )}
    </Panel>
  );
}
