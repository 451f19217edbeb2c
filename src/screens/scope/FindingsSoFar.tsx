import { useEffect, useRef } from 'react';
import { sayFt } from '#core/base/numbers';
import { nameFinding } from '#core/catalogue/defects/kinds';
import { nameMaterial } from '#core/catalogue/materials/kinds';
import { nameZone } from '#core/catalogue/zones';
import type { Assessment } from '#core/judge/assessment';
import { ACTION_WORDS, OVERALL_WORDS } from '#core/report/words';
import { Flake } from '#ui/Flake';
import { sayPlace } from '../findings/say';
import styles from './FindingsSoFar.module.css';
import panel from './panel.module.css';

type Props = {
  readonly assessment: Assessment;
  readonly selected: number | null;
  readonly onSelect: (findingNumber: number) => void;
};

/** What the log says so far: the verdict as it stands, and each finding with why. */
export function FindingsSoFar({ assessment, selected, onSelect }: Props) {
  const chosen = useRef<HTMLLIElement>(null);
  useEffect(() => {
    // Newer browsers answer with a promise, which is no clean-up.
    chosen.current?.scrollIntoView({ block: 'nearest' });
  }, [selected]);
  const { coverage } = assessment.lateral;
  const unreached =
    coverage.unreachedFt === null ? 'not known' : `${sayFt(coverage.unreachedFt)} ft`;
  return (
    <section className={panel['panel']} aria-labelledby="so-far">
      <h2 id="so-far" className={panel['title']}>
        So far: {OVERALL_WORDS[assessment.overall].toLowerCase()}
      </h2>
      <dl className={styles['seen']}>
        <div>
          <dt>seen</dt>
          <dd>{sayFt(coverage.clearFt)} ft</dd>
        </div>
        <div>
          <dt>hidden</dt>
          <dd>{sayFt(coverage.obscuredFt)} ft</dd>
        </div>
        <div>
          <dt>not reached</dt>
          <dd>{unreached}</dd>
        </div>
      </dl>
      {assessment.findings.length === 0 ? (
        <p className={styles['empty']}>Findings stand here, graded as you log them.</p>
      ) : (
        // eslint-disable-next-line jsx-a11y/no-noninteractive-tabindex -- the list scrolls, so it takes focus for the keyboard
        <ul className={styles['list']} tabIndex={0}>
          {assessment.findings.map((finding) => (
            <li key={finding.id} ref={finding.number === selected ? chosen : null}>
              <button
                type="button"
                className={styles['finding']}
                aria-pressed={finding.number === selected}
                onClick={() => onSelect(finding.number)}
              >
                <Flake severity={finding.severity} number={finding.number} />
                <span>
                  <strong>{nameFinding(finding.kind)}</strong> {sayPlace(finding, assessment.names)}
                  <br />
                  <span className={styles['verdict']}>
                    {finding.severity} · {ACTION_WORDS[finding.action]}
                    {finding.provisional ? ' · provisional' : ''}
                  </span>
                </span>
              </button>
              {finding.number === selected && (
                <ul className={styles['because']}>
                  {finding.because.map(({ rule, text }) => (
                    <li key={`${rule} ${text}`}>{text}</li>
                  ))}
                  <li>
                    {nameMaterial(finding.material)}
                    {finding.zone ? `, ${nameZone(finding.zone).toLowerCase()}` : ''},{' '}
                    {finding.responsibleSide} side, ±{sayFt(finding.sigmaFt)} ft
                  </li>
                </ul>
              )}
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}
