import type { ReactNode } from 'react';
import type { Block } from '#core/report/block';
import { sayDay } from '#core/report/calendar';
import type { Drawings } from '#core/report/frozen';
import { findFirstUses, type FirstUse } from '#core/report/terms';
import type { SectionRow } from '#core/section/table';
import { MarkedStill } from '#ui/MarkedStill';
import { SectionFigure } from '../../ui/section/SectionFigure';
import { FindingView } from './FindingView';
import { GlanceView } from './GlanceView';
import { idOfWord, Marked } from './Marked';
import styles from './ReportPage.module.css';
import { SignatureView } from './SignatureView';
import { TableView } from './TableView';

type Props = {
  readonly blocks: readonly Block[];
  readonly drawn: Pick<Drawings, 'wide' | 'narrow'>;
  readonly rows: readonly SectionRow[];
  /** Where a still is to be had; absent where there are none. */
  readonly stillUrl?: (photoId: string) => string;
  /** A text that may be put in other words, with what that takes; absent where nothing may. */
  readonly edit?: (key: string, text: ReactNode) => ReactNode;
};

/** Prints a document's blocks as a page. It needs no script. */
export function ReportPage({ blocks, ...more }: Props) {
  const uses = findFirstUses(blocks);
  return (
    <article className={styles['paper']}>
      {blocks.map((block, index) => (
        <BlockView key={index} block={block} uses={uses} {...more} />
      ))}
    </article>
  );
}

type ViewProps = Omit<Props, 'blocks'> & {
  readonly block: Block;
  readonly uses: readonly FirstUse[];
};
const asIs = (_key: string, text: ReactNode) => text;

function BlockView({ block, uses, drawn, rows, stillUrl, edit = asIs }: ViewProps) {
  switch (block.kind) {
    case 'masthead':
      return (
        <div className={styles['masthead']}>
          {block.firm && (
            <div className={styles['firm']}>
              {block.firm.logo && <img src={block.firm.logo} alt="" />}
              <p>
                <b>{block.firm.name}</b>
                {block.firm.lines.map((line) => (
                  <span key={line}>{line}</span>
                ))}
              </p>
            </div>
          )}
          <p>{block.left}</p>
          <p>{block.right}</p>
        </div>
      );
    case 'headline':
      return (
        <header className={styles['head']}>
          <p className={styles['verdict']}>{block.verdict}</p>
          <h1>{block.text}</h1>
          {edit(
            'lead',
            <p className={styles['lead']}>
              <Marked text={block.lead} uses={uses} />
            </p>,
          )}
          {block.pass && <p className={styles['pass']}>{block.pass}</p>}
        </header>
      );
    case 'section':
      return (
        <figure className={styles['section']}>
          <div className={styles['wide']}>
            <SectionFigure
              section={drawn.wide}
              rows={rows}
              id="wide"
              label="The pipe from the side"
            />
          </div>
          <div className={styles['narrow']}>
            <SectionFigure
              section={drawn.narrow}
              rows={rows}
              id="narrow"
              label="The pipe from the side"
            />
          </div>
          <figcaption>
            <Marked text={block.caption} uses={uses} />
          </figcaption>
        </figure>
      );
    case 'steps':
      return (
        <section className={styles['part']}>
          <h2>{block.title}</h2>
          <ol className={styles['ordered']}>
            {block.steps.map(({ text, byOn }) => (
              <li key={text}>
                <span>
                  <Marked text={text} uses={uses} /> {byOn && <b>By {sayDay(byOn)}.</b>}
                </span>
              </li>
            ))}
          </ol>
        </section>
      );
    case 'glance':
      return <GlanceView block={block} uses={uses} stillUrl={stillUrl} />;
    case 'finding':
      return <FindingView block={block} uses={uses} stillUrl={stillUrl} edit={edit} />;
    case 'signature':
      return <SignatureView block={block} />;
    case 'columns':
      return (
        <div className={styles['columns']}>
          {block.columns.map(({ title, items }) => (
            <section key={title}>
              <h2>{title}</h2>
              <Items items={items} uses={uses} />
            </section>
          ))}
        </div>
      );
    case 'table':
      return <TableView block={block} />;
    case 'list':
      return (
        <section className={styles['part']}>
          <h2>{block.title}</h2>
          <Items items={block.items} uses={uses} />
        </section>
      );
    case 'terms':
      return (
        <section className={styles['part']}>
          <h2>{block.title}</h2>
          <dl className={styles['terms']}>
            {block.terms.map(({ word, meaning }) => (
              <div key={word} id={idOfWord(word)}>
                <dt>{word}</dt>
                <dd>{meaning}</dd>
              </div>
            ))}
          </dl>
        </section>
      );
    case 'pictures':
      return (
        <section className={styles['part']}>
          <h2>{block.title}</h2>
          <div className={styles['pictures']}>
            {block.pictures.map(({ photoId, caption, measures }) => (
              <figure key={photoId}>
                {stillUrl && (
                  <MarkedStill measures={measures}>
                    <img src={stillUrl(photoId)} alt={caption} loading="lazy" />
                  </MarkedStill>
                )}
                <figcaption>{caption}</figcaption>
              </figure>
            ))}
          </div>
        </section>
      );
  }
}

function Items({
  items,
  uses,
}: {
  readonly items: readonly string[];
  readonly uses: readonly FirstUse[];
}) {
  return (
    <ul className={styles['items']}>
      {items.map((item) => (
        <li key={item}>
          <Marked text={item} uses={uses} />
        </li>
      ))}
    </ul>
  );
}
