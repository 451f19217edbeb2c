import { Unlink } from 'lucide-react';
import type { Remedy } from '#core/measure/join/causes/cause';
import type { PlacedTie } from '#core/measure/join/join';
import type { MisfitNote } from '#core/section/lateral-view';
import { useNameOf } from '../shared/names';
import styles from './Lateral.module.css';
import { foot, footOf, signed } from './say';
import tiesStyles from './Ties.module.css';

/** Where a tie was before the last change. */
export type Before = ReadonlyMap<string, { readonly stationFt: number; readonly sigmaFt: number }>;

const STANDING = {
  fits: 'fits',
  misfit: 'does not fit',
  unchecked: 'nothing checks it',
} as const;

const REMEDY = {
  'tie-instead': 'Tie that one',
  'correct-reading': 'Correct the reading',
  'turn-run': 'Turn the run round',
  'set-drop': 'Take off that drop',
} as const;

type Props = {
  readonly ties: readonly PlacedTie[];
  readonly misfits: readonly MisfitNote[];
  readonly before: Before;
  readonly chosen: string | null;
  readonly readingOf: (runId: string, entryId: string) => number | null;
  readonly onChoose: (tieId: string) => void;
  readonly onDrop: (tieId: string) => void;
  readonly onRemedy: (remedy: Remedy) => void;
};

/** The ties of the line: where each lies, how sure, and what does not fit. */
export function TieList(props: Props) {
  const nameOf = useNameOf();
  const { ties, misfits, before, chosen, readingOf, onChoose, onDrop, onRemedy } = props;
  return (
    <>
      {misfits.map(({ tieIds, text, explanations }) => (
        <div key={tieIds.join()} className={tiesStyles['misfit']} role="group" aria-label="Misfit">
          <p>{text}</p>
          {explanations.map((one) => (
            <p key={one.text} className={tiesStyles['cause']}>
              <span>{one.text}</span>
              <button type="button" onClick={() => onRemedy(one.remedy)}>
                {REMEDY[one.remedy.do]}
              </button>
            </p>
          ))}
          {explanations.length === 0 && (
            <p className={tiesStyles['cause']}>
              <span>Look at both on the stills; move the tie or drop it.</span>
            </p>
          )}
        </div>
      ))}
      <ul className={tiesStyles['ties']}>
        {ties.map((tie) => {
          const was = before.get(tie.id);
          const moved =
            was !== undefined &&
            tie.stationFt !== null &&
            (Math.abs(was.stationFt - tie.stationFt) >= 0.05 ||
              Math.abs(was.sigmaFt - (tie.sigmaFt ?? 0)) >= 0.05);
          return (
            <li key={tie.id} id={`tie-${tie.id}`} data-chosen={tie.id === chosen || undefined}>
              <button
                type="button"
                className={tiesStyles['tie']}
                aria-pressed={tie.id === chosen}
                onClick={() => onChoose(tie.id)}
              >
                <strong>
                  {tie.id} {tie.label}
                </strong>
                <b className={styles['figure']}>
                  {tie.stationFt === null ? 'not joined' : footOf(tie.stationFt, tie.sigmaFt!)}
                </b>
                <span>
                  {tie.sightings.map(({ runId, entryId, residualFt }, index) => (
                    <span key={`${runId} ${entryId}`}>
                      {index > 0 && ' · '}
                      {nameOf(runId)} {sayReading(readingOf(runId, entryId))}
                      {tie.stationFt !== null && ` (${signed(residualFt)})`}
                    </span>
                  ))}
                </span>
                <em data-standing={tie.standing}>{STANDING[tie.standing]}</em>
                {moved && <i>was {footOf(was.stationFt, was.sigmaFt)}</i>}
              </button>
              <button
                type="button"
                className={tiesStyles['drop']}
                aria-label={`Drop ${tie.id}`}
                title={`Drop ${tie.id}`}
                onClick={() => onDrop(tie.id)}
              >
                <Unlink size={20} aria-hidden="true" />
              </button>
            </li>
          );
        })}
      </ul>
    </>
  );
}

const sayReading = (readingFt: number | null) => (readingFt === null ? '–' : foot(readingFt));
