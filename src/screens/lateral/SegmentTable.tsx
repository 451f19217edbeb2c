import type { Material } from '#core/catalogue/materials/index';
import { nameMaterial } from '#core/catalogue/materials/kinds';
import { nameZone } from '#core/catalogue/zones';
import type { PipeAge } from '#core/lateral/age';
import { SERVICE_LIFE_SOURCE } from '#core/lateral/age';
import type { Segment } from '#core/lateral/segments';
import styles from './Lateral.module.css';
import { LifeEdit } from './LifeEdit';
import pipeTableStyles from './PipeTable.module.css';
import { foot } from './say';

const STANDING = {
  past: 'past its usual life',
  'may-be-past': 'may be past it',
  within: 'within it',
};

type Props = {
  readonly segments: readonly Segment[];
  readonly onLife: (material: Material, life: { from: number; to: number } | null) => void;
};

/** The pipe piece by piece: what it is, over what it lies, whose it is, and how old it may be. */
export function SegmentTable({ segments, onLife }: Props) {
  if (segments.length === 0)
    return (
      <p className={styles['hint']}>
        Log what the pipe is made of, and it stands here piece by piece.
      </p>
    );
  const lives = new Map(
    segments.flatMap(({ age, lined, material }) =>
      age ? [[lined ? ('liner' as const) : material, age] as const] : [],
    ),
  );
  return (
    <>
      <table className={pipeTableStyles['table']}>
        <caption className="hidden-visually">The pipe, piece by piece</caption>
        <thead>
          <tr>
            <th scope="col">From, to</th>
            <th scope="col">Pipe</th>
            <th scope="col">Under</th>
            <th scope="col">Whose</th>
            <th scope="col">Likely age, usual life</th>
          </tr>
        </thead>
        <tbody>
          {segments.map((segment) => (
            <tr key={segment.fromFt}>
              <td className={pipeTableStyles['figure']}>
                {foot(segment.fromFt)}, {foot(segment.toFt)}
              </td>
              <td>
                {segment.diameterIn !== null && `${segment.diameterIn} in `}
                {nameMaterial(segment.material)}
                {segment.lined && ', lined'}
                {segment.certainty !== 'confirmed' && segment.material !== 'unknown' && (
                  <span>{segment.certainty}</span>
                )}
              </td>
              <td>{segment.zone ? nameZone(segment.zone).toLowerCase() : 'not said'}</td>
              <td>{segment.responsibleSide}</td>
              <td>{segment.age ? <Age age={segment.age} /> : '–'}</td>
            </tr>
          ))}
        </tbody>
      </table>
      {lives.size > 0 && (
        <details className={pipeTableStyles['lives']}>
          <summary>Usual lives: change them for this job</summary>
          <p className={styles['hint']}>
            {SERVICE_LIFE_SOURCE}. Past its life means: plan for it. It never means failed.
          </p>
          {[...lives].map(([material, age]) => (
            <LifeEdit key={material} material={material} age={age} onLife={onLife} />
          ))}
        </details>
      )}
    </>
  );
}

function Age({ age }: { readonly age: PipeAge }) {
  const years = ({ from, to }: { from: number; to: number }) =>
    from === to ? `${from}` : `${from} to ${to}`;
  return (
    <>
      {years(age.ageYears)}, {years(age.lifeYears)} years
      <span data-warn={age.standing === 'past' || undefined}>{STANDING[age.standing]}</span>
    </>
  );
}
