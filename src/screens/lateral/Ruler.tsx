import { nameMaterial } from '#core/catalogue/materials/kinds';
import { nameZone } from '#core/catalogue/zones';
import type { WhatIsAt } from '#core/judge/what-is-at';
import { useNameOf } from '../shared/names';
import styles from './Lateral.module.css';
import { foot, footOf, inches } from './say';

type Props = {
  readonly asked: string;
  readonly at: WhatIsAt | null;
  readonly onAsk: (text: string) => void;
};

/** The station ruler: "what is at …?", with all that was seen there, run by run. */
export function Ruler({ asked, at, onAsk }: Props) {
  const isWrong = asked.trim() !== '' && at === null;
  return (
    <>
      <p className={styles['ask']}>
        <label htmlFor="what-at">What is at</label>
        <input
          id="what-at"
          inputMode="decimal"
          value={asked}
          autoComplete="off"
          placeholder="41.5"
          aria-invalid={isWrong}
          onChange={(event) => onAsk(event.target.value)}
        />
        <span>ft from the reference access?</span>
      </p>
      {isWrong && (
        <p className={styles['hint']}>Type a footage; upstream of the access with a minus.</p>
      )}
      {at && <Answer at={at} />}
    </>
  );
}

function Answer({ at }: { readonly at: WhatIsAt }) {
  const nameOf = useNameOf();
  const { segment, locate, findingNumbers } = at;
  return (
    <div className={styles['answer']} aria-live="polite">
      <p>
        {segment
          ? `${segment.diameterIn === null ? '' : `${segment.diameterIn} in `}${nameMaterial(segment.material)}${segment.zone ? `, ${nameZone(segment.zone).toLowerCase()}` : ''}, ${segment.responsibleSide} side.`
          : 'Nobody has been there.'}
        {findingNumbers.length > 0 && ` Finding ${findingNumbers.join(', ')}.`}
        {locate &&
          ` Nearest locate ${foot(Math.abs(locate.offFt))} ft ${locate.offFt < 0 ? 'upstream' : 'downstream'}: ${inches(locate.depthIn)} deep.`}
      </p>
      <ul>
        {at.runs.map((run) => (
          <li key={run.runId}>
            <strong>{nameOf(run.runId)}</strong>{' '}
            {run.readingFt === null
              ? 'did not come here.'
              : `${foot(run.readingFt)} on its counter coming home (± ${foot(run.sigmaFt)})${run.saw ? '' : ', could not see'}.`}
            {run.sightings.map((one) => (
              <span key={one.entryId}>
                {one.text}: read {foot(one.readingFt)} on the way {one.pass}, at{' '}
                {footOf(one.stationFt, one.sigmaFt)}
              </span>
            ))}
          </li>
        ))}
      </ul>
    </div>
  );
}
