import type { GlanceBlock } from '#core/report/block';
import type { FirstUse } from '#core/report/terms';
import { MarkedStill } from '#ui/MarkedStill';
import styles from './Glance.module.css';
import { Marked } from './Marked';

type Props = {
  readonly block: GlanceBlock;
  readonly uses: readonly FirstUse[];
  readonly stillUrl: ((photoId: string) => string) | undefined;
};

/** What a reader with one minute wants besides the verdict. */
export function GlanceView({ block: { rows, picture }, uses, stillUrl }: Props) {
  return (
    <section className={styles['glance']} aria-label="In one minute">
      <dl>
        {rows.map(({ title, text }) => (
          <div key={title}>
            <dt>{title}</dt>
            <dd>
              <Marked text={text} uses={uses} />
            </dd>
          </div>
        ))}
      </dl>
      {picture && stillUrl && (
        <figure>
          <MarkedStill measures={picture.measures}>
            <img src={stillUrl(picture.photoId)} alt={picture.caption} />
          </MarkedStill>
          <figcaption>{picture.caption}</figcaption>
        </figure>
      )}
    </section>
  );
}
