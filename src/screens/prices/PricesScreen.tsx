import { memo, useState } from 'react';
import { ulid } from 'ulid';
import { sendJson } from '#client/api';
import { troublesOf } from '#client/say-sent';
import { localDay } from '#client/time';
import { sayFault } from '#core/base/fault';
import {
  readPriceBooks,
  writePriceBooksCsv,
  writePriceBooksJson,
} from '#core/interchange/price-books';
import { CHERT_BOOK, type PriceBook } from '#core/model/prices/price-book';
import type { Preferences } from '#core/site/equipment';
import { download } from '../shared/download';
import { Troubles } from '../shared/Fields';
import { Panel } from '../shared/Panel';
import { useReady } from '../shared/useReady';
import { BookEditor } from './BookEditor';
import styles from './Prices.module.css';

type Props = { readonly preferences: Preferences };

/** The inspector's price books: one for each area, to be edited, brought in and handed on. */
export const PricesScreen = memo(function PricesScreen({ preferences }: Props) {
  const ready = useReady();
  const [books, setBooks] = useState<readonly PriceBook[]>(preferences.priceBooks ?? []);
  const [openId, setOpenId] = useState<string | null>(null);
  const [trouble, setTrouble] = useState<readonly string[]>([]);
  const [said, setSaid] = useState('');
  const open = [CHERT_BOOK, ...books].find(({ id }) => id === openId) ?? null;

  const keep = async (next: readonly PriceBook[], word: string): Promise<boolean> => {
    const sent = await sendJson('PATCH', '/api/preferences', { priceBooks: next });
    setSaid('');
    setTrouble(troublesOf(sent));
    if (sent.state !== 'ok') return false;
    setBooks(next);
    setSaid(word);
    return true;
  };
  const put = (book: PriceBook) =>
    keep(
      books.some(({ id }) => id === book.id)
        ? books.map((one) => (one.id === book.id ? book : one))
        : [...books, book],
      `${book.name} is saved.`,
    );
  const start = (from: PriceBook) => {
    const book = {
      ...from,
      id: ulid(),
      name: from.id === CHERT_BOOK.id ? 'My area' : `${from.name}, copy`,
      source: 'my own figures',
      editedOn: localDay(new Date()),
    };
    setBooks((now) => [...now, book]);
    setOpenId(book.id);
    setSaid('A new book: it is kept once you say so.');
  };
  const bringIn = async (file: File | undefined) => {
    if (!file) return;
    const read = readPriceBooks(await file.text(), ulid);
    if (!read.ok) {
      setTrouble(read.faults.map((fault) => sayFault(fault).replace(/^file: /, 'This file: ')));
      return;
    }
    const others = books.filter(({ id }) => !read.value.some((one) => one.id === id));
    await keep(
      [...others, ...read.value],
      `${read.value.length === 1 ? 'One book was' : `${read.value.length} books were`} imported.`,
    );
  };

  return (
    <fieldset className={styles['screen']} disabled={!ready}>
      <Panel id="books" title="Price books" count={books.length}>
        <p className={styles['hint']}>
          A book holds an area’s planning figures: low (one in ten is cheaper), likely, high (one in
          ten is dearer), in US dollars. What a book leaves empty goes by Chert’s own. A job keeps a
          copy of the book it was reckoned with.
        </p>
        <ul className={styles['books']}>
          {[CHERT_BOOK, ...books].map((book) => (
            <li key={book.id} className={styles['buttons']}>
              <button
                type="button"
                aria-pressed={book.id === openId}
                onClick={() => setOpenId(book.id === openId ? null : book.id)}
              >
                <b>{book.name}</b>
                <span>
                  {book.source}, edited {book.editedOn}
                </span>
              </button>
              <button type="button" onClick={() => start(book)}>
                New book from it
              </button>
            </li>
          ))}
        </ul>
        <div className={styles['buttons']}>
          <button
            type="button"
            onClick={() =>
              download(
                'prices.csv',
                writePriceBooksCsv(books.length > 0 ? books : [CHERT_BOOK]),
                'text/csv',
              )
            }
          >
            Export as CSV
          </button>
          <button
            type="button"
            onClick={() =>
              download('prices.chert-prices.json', writePriceBooksJson(books), 'application/json')
            }
          >
            Export as JSON
          </button>
          <label className={styles['file']}>
            Import books, CSV or JSON
            <input
              type="file"
              accept=".csv,.json,text/csv,application/json"
              onChange={(event) => {
                void bringIn(event.target.files?.[0]);
                event.target.value = '';
              }}
            />
          </label>
        </div>
        <p role="status" className={styles['hint']}>
          {said}
        </p>
        <Troubles list={trouble} />
      </Panel>
      {open && (
        <BookEditor
          key={open.id}
          book={open}
          onKeep={put}
          onRemove={async () => {
            if (
              await keep(
                books.filter(({ id }) => id !== open.id),
                `${open.name} is gone.`,
              )
            )
              setOpenId(null);
          }}
        />
      )}
    </fieldset>
  );
});
