import { Check } from 'lucide-react';
import { useEffect, useRef } from 'react';
import { nameFinding } from '#core/catalogue/defects/kinds';
import { awaitsInspector, type Finding } from '#core/judge/finding';
import type { LineNames } from '#core/lateral/line-names';
import { ACTION_WORDS } from '#core/report/words';
import { Flake } from '#ui/Flake';
import styles from './Findings.module.css';
import { sayPlace } from './say';

type Props = {
  readonly findings: readonly Finding[];
  readonly names: LineNames;
  readonly selectedId: string | null;
  readonly onSelect: (id: string) => void;
};

/** Every finding in station order, each with its grade, its action and what is still open about it. */
export function FindingsList({ findings, names, selectedId, onSelect }: Props) {
  const chosen = useRef<HTMLLIElement>(null);
  useEffect(() => {
    // Newer browsers answer with a promise, which is no clean-up.
    chosen.current?.scrollIntoView({ block: 'nearest' });
  }, [selectedId]);
  if (findings.length === 0) {
    return (
      <p className={styles['hint']}>
        Findings stand here in station order as they are logged on Scope.
      </p>
    );
  }
  return (
    <ul className={styles['list']}>
      {findings.map((finding) => {
        const { id, number, kind, severity, action } = finding;
        const marks = listMarks(finding);
        return (
          <li key={id} ref={id === selectedId ? chosen : null}>
            <button
              type="button"
              className={styles['row']}
              aria-pressed={id === selectedId}
              data-dismissed={finding.review?.verdict === 'dismissed'}
              onClick={() => onSelect(id)}
            >
              <Flake severity={severity} number={number} />
              <span className={styles['name']}>
                <strong>{nameFinding(kind)}</strong> <span>{sayPlace(finding, names)}</span>
              </span>
              <span className={styles['grade']}>
                {severity} · {ACTION_WORDS[action]}
              </span>
              {marks.length > 0 && <span className={styles['marks']}>{marks.join(' · ')}</span>}
              {!awaitsInspector(finding) && (
                <span className={styles['looked']}>
                  <Check size={18} aria-hidden="true" />
                  <span className="hidden-visually">{finding.review?.verdict}</span>
                </span>
              )}
            </button>
          </li>
        );
      })}
    </ul>
  );
}

function listMarks({ provisional, stale, ruling, courtesy, review, causes }: Finding): string[] {
  return [
    review?.verdict === 'dismissed' && 'dismissed',
    stale.length > 0 && 'your word is stale',
    ruling !== null && 'your word',
    provisional && 'provisional',
    causes.length > 1 && 'causes compete',
    courtesy && 'for information only',
  ].filter((mark) => mark !== false);
}
