import { useState } from 'react';
import { sayFt } from '#core/base/numbers';
import { nameMaterial } from '#core/catalogue/materials/kinds';
import type { AccessPoint } from '#core/model/job/access-point';
import { labelOf } from '#core/model/job/labels';
import type { RankedAccess } from '#core/site/rank-access';
import { sayCode } from '../shared/Fields';
import form from '../shared/form.module.css';
import styles from './AccessCard.module.css';
import { AccessForm } from './AccessForm';

type Props = {
  readonly jobId: string;
  readonly order: number;
  readonly ranked: RankedAccess;
  readonly isChosen: boolean;
  readonly onChoose: () => void;
  readonly onAccess: (access: AccessPoint) => void;
};

const STATES = { used: 'Used', open: 'Not tried', refused: 'Refused' } as const;
const LIMITS = {
  rod: 'there the rod ends',
  friction: 'friction on the straights stops it',
  bends: 'the bends on the way in stop it',
} as const;

/** One way in: why it stands here, what it leaves unseen, how far the rod may get. */
export function AccessCard({ jobId, order, ranked, isChosen, onChoose, onAccess }: Props) {
  const { access, state, reasons, leaves, reach, head } = ranked;
  const [isChanging, setChanging] = useState(false);
  const [isRefusing, setRefusing] = useState(false);
  const [why, setWhy] = useState('');
  const label = labelOf(access);
  const name = `${label}: ${sayCode(access.kind)}`;
  const refuse = () => {
    if (why.trim() === '') return;
    onAccess({ ...access, usable: false, obstacle: why.trim() });
    setRefusing(false);
  };
  return (
    <li className={styles['card']} data-state={state} data-chosen={isChosen}>
      <div className={styles['head']}>
        <span className={styles['order']} aria-label={`Try number ${order}`}>
          {order}
        </span>
        <h2>
          {name}
          <span>
            {access.diameterIn} in {nameMaterial(access.material)}
            {access.place && `, ${access.place}`}
          </span>
        </h2>
        <span className={styles['state']}>{STATES[state]}</span>
      </div>
      <ul className={styles['reasons']}>
        {reasons.map((reason) => (
          <li key={reason}>{reason}</li>
        ))}
        <li>{leaves}</li>
      </ul>
      {state !== 'refused' && (
        <p className={styles['reach']}>
          Reach about <b>{sayFt(Math.round(reach.reachFt))}</b> ft, an estimate:{' '}
          {LIMITS[reach.limitedBy]}
          {head ? `, with the ${head.name}` : ''}.
        </p>
      )}
      {isChanging ? (
        <AccessForm
          access={access}
          onAccess={(changed) => {
            onAccess(changed);
            setChanging(false);
          }}
          onCancel={() => setChanging(false)}
        />
      ) : isRefusing ? (
        <div className={styles['refuse']}>
          <label htmlFor={`why-${access.id}`}>Why not {label}? It becomes advice.</label>
          <input
            id={`why-${access.id}`}
            value={why}
            onChange={(event) => setWhy(event.target.value)}
            onKeyDown={(event) => event.key === 'Enter' && refuse()}
            placeholder="cap stuck, would not come without force"
          />
          <button
            className={form['act']}
            type="button"
            onClick={refuse}
            disabled={why.trim() === ''}
          >
            Record the refusal
          </button>
          <button className={form['plain']} type="button" onClick={() => setRefusing(false)}>
            Leave it open
          </button>
        </div>
      ) : (
        <div className={styles['acts']}>
          {state === 'refused' ? (
            <button
              className={form['plain']}
              type="button"
              onClick={() => onAccess({ ...access, usable: true, obstacle: null })}
            >
              It can be used after all
            </button>
          ) : (
            <>
              <a
                className={form['act']}
                href={`/jobs/${encodeURIComponent(jobId)}/scope?access=${encodeURIComponent(access.id)}`}
              >
                Scope from {label}
              </a>
              <button className={form['plain']} type="button" onClick={() => setRefusing(true)}>
                Refuse {label}
              </button>
            </>
          )}
          <button className={form['plain']} type="button" onClick={() => setChanging(true)}>
            Change {label}
          </button>
          <button
            className={form['plain']}
            type="button"
            aria-pressed={isChosen}
            onClick={onChoose}
          >
            Cautions
          </button>
        </div>
      )}
    </li>
  );
}
