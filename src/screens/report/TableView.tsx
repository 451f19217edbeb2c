import type { TableBlock } from '#core/report/block';
import styles from './ReportPage.module.css';
import tableViewStyles from './TableView.module.css';

/** A table of a document, its readings in mono and to the right. */
export function TableView({ block }: { readonly block: TableBlock }) {
  const classOf = (column: number) =>
    block.numeric.includes(column) ? tableViewStyles['number'] : '';
  return (
    <section className={styles['part']}>
      <h2>{block.title}</h2>
      {block.rows.length === 0 ? (
        <p>Nothing was logged.</p>
      ) : (
        <div
          className={tableViewStyles['scroll']}
          // eslint-disable-next-line jsx-a11y/no-noninteractive-tabindex -- a wide table scrolls by itself, by keys too
          tabIndex={0}
          role="group"
          aria-label={block.title}
        >
          <table className={tableViewStyles['table']}>
            <thead>
              <tr>
                {block.head.map((title, column) => (
                  <th key={title} scope="col" className={classOf(column)}>
                    {title}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {block.rows.map((row, index) => (
                <tr key={index}>
                  {row.map((cell, column) => (
                    <td key={column} className={classOf(column)}>
                      {cell}
                    </td>
                  ))}
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      )}
      {block.notes?.map((note) => (
        <p key={note} className={styles['remark']}>
          {note}
        </p>
      ))}
    </section>
  );
}
