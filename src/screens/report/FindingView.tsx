import type { ReactNode } from 'react';
import type { FindingBlock, FindingPlace } from '#core/report/block';
import type { FirstUse } from '#core/report/terms';
import { Flake } from '#ui/Flake';
import { MarkedStill } from '#ui/MarkedStill';
import styles from './FindingView.module.css';
import { Sentences } from './Marked';

type Props = {
  readonly block: FindingBlock;
  readonly uses: readonly FirstUse[];
  readonly stillUrl: ((photoId: string) => string) | undefined;
  readonly edit: (key: string, text: ReactNode) => ReactNode;
};

/** One finding, or several that are alike: what it is, what it does, what to do; and each place with its still. */
export function FindingView({ block, uses, stillUrl, edit }: Props) {
  const { severity, number, title, key, places, sentences, remarks, verdict, price } = block;
  const isAlone = places.length === 1;
  return (
    <section className={styles['finding']}>
      {isAlone ? <Flake severity={severity} number={number} /> : <span />}
      <div className={styles['told']}>
        <h2>{title}</h2>
        {edit(
          key,
          <p>
            <Sentences texts={sentences} uses={uses} />
          </p>,
        )}
        {isAlone && places[0]!.ground && <p className={styles['remark']}>{places[0]!.ground}</p>}
        {remarks.length > 0 && <p className={styles['remark']}>{remarks.join(' ')}</p>}
      </div>
      <div className={styles['grade']}>
        <p>{verdict}</p>
        {price && <p className={styles['price']}>{price}</p>}
      </div>
      {isAlone && <Still place={places[0]!} stillUrl={stillUrl} />}
      {!isAlone && (
        <ul className={styles['places']}>
          {places.map((place) => (
            <li key={place.id}>
              <Flake severity={place.severity} number={place.number} />
              <Place place={place} uses={uses} />
              <Still place={place} stillUrl={stillUrl} />
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}

/** Where one of several findings lies, and what was seen there. */
function Place({
  place: { where, says, ground },
  uses,
}: {
  readonly place: FindingPlace;
  readonly uses: readonly FirstUse[];
}) {
  const texts = [says, ground].filter((one) => one !== null);
  return (
    <p>
      <b>{where}. </b>
      <Sentences texts={texts} uses={uses} />
    </p>
  );
}

function Still({
  place: { picture },
  stillUrl,
}: {
  readonly place: FindingPlace;
  readonly stillUrl: Props['stillUrl'];
}) {
  if (!picture || !stillUrl) return null;
  return (
    <MarkedStill className={styles['still']} measures={picture.measures}>
      <img src={stillUrl(picture.photoId)} alt={picture.caption} loading="lazy" />
    </MarkedStill>
  );
}
