import { useState } from 'react';
import { nameFinding } from '#core/catalogue/defects/kinds';
import type { Finding } from '#core/judge/finding';
import type { LineNames } from '#core/lateral/line-names';
import styles from './Detail.module.css';
import { sayPlace } from './say';

type Props = {
  readonly finding: Finding;
  /** Findings of the same kind on the same line. */
  readonly alike: readonly Finding[];
  readonly names: LineNames;
  /** How many sightings stand behind the finding. */
  readonly sightings: number;
  readonly onJoin: (other: Finding) => void;
  readonly onSplit: () => void;
};

/** One thing or two: the inspector joins what Chert kept apart, and parts what it put together. */
export function Same({ finding, alike, names, sightings, onJoin, onSplit }: Props) {
  const [otherId, setOtherId] = useState('');
  const other = alike.find(({ id }) => id === otherId) ?? alike[0];
  if (alike.length === 0 && sightings < 2) return null;
  return (
    <details className={styles['same']}>
      <summary>One thing or two?</summary>
      {other && (
        <div className={styles['buttons']}>
          <label htmlFor="same-as">The same thing as</label>
          <select
            id="same-as"
            value={other.id}
            onChange={(event) => setOtherId(event.target.value)}
          >
            {alike.map((one) => (
              <option key={one.id} value={one.id}>
                {one.number}: {nameFinding(one.kind)} {sayPlace(one, names)}
              </option>
            ))}
          </select>
          <button type="button" onClick={() => onJoin(other)}>
            Join them
          </button>
        </div>
      )}
      {sightings > 1 && (
        <div className={styles['buttons']}>
          <p>
            Finding {finding.number} was made of {sightings} sightings.
          </p>
          <button type="button" onClick={onSplit}>
            They are not one thing: part them
          </button>
        </div>
      )}
    </details>
  );
}
