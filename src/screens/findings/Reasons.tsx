import type { Reason } from '#core/catalogue/severity/grade';
import styles from './Detail.module.css';
import { becauseOfRule } from './say';

/** A chain of reasons, each with the rule behind it one press away. */
export function Reasons({ reasons }: { readonly reasons: readonly Reason[] }) {
  return (
    <ol className={styles['chain']}>
      {reasons.map(({ rule, text }) => {
        const said = becauseOfRule(rule);
        return (
          <li key={`${rule} ${text}`}>
            {said ? (
              <details>
                <summary>{text}</summary>
                <p>
                  If {said.when}: because {said.because}.
                </p>
              </details>
            ) : (
              <span>{text}</span>
            )}
          </li>
        );
      })}
    </ol>
  );
}
