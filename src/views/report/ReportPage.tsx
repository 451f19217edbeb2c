import type { Block } from '#core/report/block';
import type { Section } from '#core/section/build';
import type { SectionRow } from '#core/section/table';
import { Flake } from '#ui/Flake';
import { SectionFigure } from '../../ui/section/SectionFigure';
import styles from './ReportPage.module.css';

type Drawn = { readonly wide: Section; readonly narrow: Section };
type Props = {
  readonly blocks: readonly Block[];
  readonly drawn: Drawn;
  readonly rows: readonly SectionRow[];
};

/** Prints the report's blocks as the page that the buyer reads. It needs no script. */
export function ReportPage({ blocks, drawn, rows }: Props) {
  return (
    <article className={styles['paper']}>
      {blocks.map((block, index) => (
        <BlockView key={index} block={block} drawn={drawn} rows={rows} />
      ))}
    </article>
  );
}

function BlockView({
  block,
  drawn,
  rows,
}: {
  readonly block: Block;
  readonly drawn: Drawn;
  readonly rows: readonly SectionRow[];
}) {
  switch (block.kind) {
    case 'masthead':
      return (
        <div className={styles['masthead']}>
          <p>{block.left}</p>
          <p>{block.right}</p>
        </div>
      );
    case 'headline':
      return (
        <header className={styles['head']}>
          <p className={styles['verdict']}>{block.verdict}</p>
          <h1>{block.text}</h1>
          <p className={styles['lead']}>{block.lead}</p>
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
          <figcaption>{block.caption}</figcaption>
        </figure>
      );
    case 'finding':
      return (
        <section className={styles['finding']}>
          <Flake severity={block.severity} number={block.number} />
          <div>
            <h2>{block.title}</h2>
            <p>{block.sentences.join(' ')}</p>
            {block.remarks.length > 0 && (
              <p className={styles['remark']}>{block.remarks.join(' ')}</p>
            )}
          </div>
          <p className={styles['grade']}>{block.verdict}</p>
        </section>
      );
    case 'columns':
      return (
        <div className={styles['columns']}>
          {block.columns.map(({ title, items, ordered }) => (
            <section key={title}>
              <h2>{title}</h2>
              {ordered ? (
                <ol className={styles['ordered']}>
                  {items.map((item) => (
                    <li key={item}>{item}</li>
                  ))}
                </ol>
              ) : (
                <Items items={items} />
              )}
            </section>
          ))}
        </div>
      );
    case 'table':
      return (
        <section className={styles['part']}>
          <h2>{block.title}</h2>
          {block.rows.length === 0 ? (
            <p>Nothing was logged.</p>
          ) : (
            <table className={styles['table']}>
              <thead>
                <tr>
                  {block.head.map((title, column) => (
                    <th
                      key={title}
                      scope="col"
                      className={block.numeric.includes(column) ? styles['number'] : ''}
                    >
                      {title}
                    </th>
                  ))}
                </tr>
              </thead>
              <tbody>
                {block.rows.map((row, index) => (
                  <tr key={index}>
                    {row.map((cell, column) => (
                      <td
                        key={column}
                        className={block.numeric.includes(column) ? styles['number'] : ''}
                      >
                        {cell}
                      </td>
                    ))}
                  </tr>
                ))}
              </tbody>
            </table>
          )}
        </section>
      );
    case 'list':
      return (
        <section className={styles['part']}>
          <h2>{block.title}</h2>
          <Items items={block.items} />
        </section>
      );
    case 'terms':
      return (
        <section className={styles['part']}>
          <h2>{block.title}</h2>
          <dl className={styles['terms']}>
            {block.terms.map(({ word, meaning }) => (
              <div key={word}>
                <dt>{word}</dt>
                <dd>{meaning}</dd>
              </div>
            ))}
          </dl>
        </section>
      );
  }
}

function Items({ items }: { readonly items: readonly string[] }) {
  return (
    <ul className={styles['items']}>
      {items.map((item) => (
        <li key={item}>{item}</li>
      ))}
    </ul>
  );
}
