import { lazy } from 'react';
import { roundTo, sayPercent } from '#core/base/numbers';
import { nameFinding } from '#core/catalogue/defects/kinds';
import type { Narrowing } from '#core/judge/held-and-left';
import type { Grade } from '#core/lateral/grade/grade';
import type { HeldWater } from '#core/lateral/grade/held-water';
import { usualFallInPerFt } from '#core/lateral/grade/required-fall';
import { Later } from '../shared/Later';
import styles from './Lateral.module.css';
import { foot, inches } from './say';

// The chart is drawn in the browser only, so its library is loaded when it is wanted.
const GradeChart = lazy(async () => ({ default: (await import('./GradeChart')).GradeChart }));

const VERDICT = {
  can: 'Gravity can: the line falls more than it must.',
  cannot: 'Gravity cannot: the line falls less than it must.',
  'cannot-be-told': 'Whether gravity can is not told by these locates.',
} as const;

type Props = {
  readonly grade: Grade;
  readonly held: HeldWater;
  readonly narrowings: readonly Narrowing[];
};

/** The fall that is there against the fall that is needed, the water that stands, and what narrows the bore. */
export function GradePanel({ grade, held, narrowings }: Props) {
  const { whole, verdict, points } = grade;
  return (
    <>
      {points.length < 2 ? (
        <p className={styles['hint']}>
          {grade.located.length === 0
            ? 'Locate the head at two places or more and say the ground level there (ground 86 in): the grade follows.'
            : `${grade.located.length} located, ${points.length} with a ground level. Two with levels give a slope.`}
        </p>
      ) : (
        <Later meanwhile={<p className={styles['hint']}>Drawing the grade…</p>}>
          <GradeChart grade={grade} held={held} />
        </Later>
      )}
      {whole && (
        <p className={styles['verdict']} data-verdict={verdict}>
          <strong>{VERDICT[verdict]}</strong>
          <span>
            {inches(whole.availableIn)} ± {roundTo(whole.sigmaIn, 1)} in of fall from{' '}
            {foot(whole.fromFt)} to {foot(whole.toFt)} ft; {inches(whole.requiredIn)} needed at the
            usual {sayFall(whole.requiredIn / (whole.toFt - whole.fromFt))} in a foot. Local rules
            stand before it.
          </span>
        </p>
      )}
      {grade.stretches.length > 1 && (
        <ul className={styles['reasons']}>
          {grade.stretches.map((one) => (
            <li key={one.fromFt}>
              {foot(one.fromFt)} to {foot(one.toFt)} ft: {roundTo(one.slopeInPerFt, 2)} ±{' '}
              {roundTo(one.slopeSigmaInPerFt, 2)} in a foot
            </li>
          ))}
        </ul>
      )}
      <h3>Standing water</h3>
      <p>
        {held.pools.length === 0
          ? 'None logged.'
          : `${held.pools.length === 1 ? 'One pool' : `${held.pools.length} pools`}, ${foot(held.wetFt)} ft (${sayPercent(held.wetRatio)} of what was reached), about ${roundTo(held.heldGal, held.heldGal < 10 ? 1 : 0)} gallons.`}
      </p>
      {held.pools.length > 0 && (
        <ul className={styles['reasons']}>
          {held.pools.map((pool) => (
            <li key={pool.number}>
              Finding {pool.number}, {foot(pool.fromFt)} to {foot(pool.toFt)} ft:{' '}
              {pool.heldGal === null
                ? 'depth or diameter not logged'
                : `${roundTo(pool.heldGal, 1)} gallons`}
              {!pool.verified && ', not verified'}
            </li>
          ))}
        </ul>
      )}
      {narrowings.length > 0 && (
        <>
          <h3>What narrows the pipe</h3>
          <ul className={styles['reasons']}>
            {narrowings.map(({ finding, opening }) => (
              <li key={finding.id}>
                Finding {finding.number}, {nameFinding(finding.kind).toLowerCase()} at{' '}
                {foot(finding.span.fromFt)} ft: about {roundTo(opening.clearIn, 1)} in clear
                <span>
                  {' '}
                  (a pipe of that diameter carries {sayPercent(opening.capacityRatio)}, by Manning)
                </span>
              </li>
            ))}
          </ul>
        </>
      )}
    </>
  );
}

/** A fall in inches per foot as people say it: ¼, ⅛, 1⁄16, else a decimal. */
function sayFall(inPerFt: number): string {
  const words = new Map([
    [usualFallInPerFt(3), '¼ in'],
    [usualFallInPerFt(4), '⅛ in'],
    [usualFallInPerFt(8), '1⁄16 in'],
  ]);
  return words.get(roundTo(inPerFt, 4)) ?? `${roundTo(inPerFt, 2)} in`;
}
