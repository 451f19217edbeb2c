import type { SignatureBlock } from '#core/report/block';
import { sayLongDay } from '#core/report/calendar';
import styles from './Glance.module.css';

/** Who stands for the report, and since when. */
export function SignatureView({
  block: { name, lines, image, signedOn },
}: {
  readonly block: SignatureBlock;
}) {
  return (
    <section className={styles['signature']} aria-label="Signature">
      {image && signedOn !== null && <img src={image} alt={`Signature of ${name}`} />}
      <p>
        <b>{name}</b>
        {lines.map((line) => (
          <span key={line}>{line}</span>
        ))}
      </p>
      <p>{signedOn === null ? 'A draft: not signed.' : `Signed ${sayLongDay(signedOn)}.`}</p>
    </section>
  );
}
