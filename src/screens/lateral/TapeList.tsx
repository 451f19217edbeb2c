import { Trash2 } from 'lucide-react';
import type { Span } from '#core/model/job/inspection';
import { useNameOf } from '../shared/names';
import styles from './Lateral.module.css';
import { foot } from './say';
import tiesStyles from './Ties.module.css';

type Props = { readonly spans: readonly Span[]; readonly onDrop: (span: Span) => void };

/** The taped distances between accesses. */
export function TapeList({ spans, onDrop }: Props) {
  const nameOf = useNameOf();
  if (spans.length === 0) return null;
  return (
    <ul className={tiesStyles['ties']} aria-label="Tapes">
      {spans.map((span) => {
        const { alongFt } = span;
        const [from, to] = [nameOf(span.fromAccessPointId), nameOf(span.toAccessPointId)];
        return (
          <li key={`${from} ${to}`}>
            <p className={tiesStyles['tape']}>
              <strong>
                {from} to {to}
              </strong>
              <b className={styles['figure']}>{foot(Math.abs(alongFt))} ft</b>
              <span>
                {to} lies {alongFt < 0 ? 'upstream' : 'downstream'} of {from}, {span.basis}
              </span>
            </p>
            <button
              type="button"
              className={tiesStyles['drop']}
              aria-label={`Drop the tape from ${from} to ${to}`}
              onClick={() => onDrop(span)}
            >
              <Trash2 size={20} aria-hidden="true" />
            </button>
          </li>
        );
      })}
    </ul>
  );
}
