import type { TieSuggestion } from '#core/measure/join/suggest';
import form from '../shared/form.module.css';
import { useNameOf } from '../shared/names';
import { foot } from './say';
import styles from './Ties.module.css';

type Props = {
  readonly suggestions: readonly TieSuggestion[];
  readonly readingOf: (runId: string, entryId: string) => number | null;
  readonly onAccept: (suggestions: readonly TieSuggestion[]) => void;
  readonly onRefuse: (suggestion: TieSuggestion) => void;
};

/** Ties that Chert offers: what lines up in two runs, and why. Nothing is tied until it is accepted. */
export function Suggestions({ suggestions, readingOf, onAccept, onRefuse }: Props) {
  const nameOf = useNameOf();
  if (suggestions.length === 0) return null;
  return (
    <section className={styles['offers']} aria-labelledby="offers-title">
      <h3 id="offers-title">
        These line up, and are not tied <b>{suggestions.length}</b>
      </h3>
      <ul>
        {suggestions.map((one) => (
          <li key={one.key}>
            <p>
              <strong>{one.label}</strong>
              {': '}
              {one.sightings
                .map(
                  ({ runId, entryId }) =>
                    `${nameOf(runId)} ${foot(readingOf(runId, entryId) ?? 0)}`,
                )
                .join(' and ')}
              {one.tieId && `, with ${one.tieId}`}
              <span>{one.evidence}</span>
            </p>
            <button type="button" onClick={() => onAccept([one])}>
              Tie
            </button>
            <button type="button" onClick={() => onRefuse(one)}>
              Not the same
            </button>
          </li>
        ))}
      </ul>
      {suggestions.length > 1 && (
        <button className={form['plain']} type="button" onClick={() => onAccept(suggestions)}>
          Tie all {suggestions.length}
        </button>
      )}
    </section>
  );
}
