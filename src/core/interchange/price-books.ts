import { type Fault, faultsFromJoi, type Outcome, sayGot } from '../base/fault';
import { VALIDATION } from '../base/joi';
import type { Range } from '../base/range';
import { type PriceBook, pricesOf, whyImplausible } from '../model/prices/price-book';
import { priceBookSchema } from '../model/prices/price-book.schema';
import { isPriceKey, PRICE_KEYS, PRICE_TABLE, type PriceKey } from '../model/prices/price-table';
import { readCsv, readNumber, writeCsv } from './csv';

const FORMAT = 'chert-price-books';
const VERSION = 1;
const COLUMNS = [
  'book',
  'source',
  'edited',
  'price',
  'what',
  'unit',
  'low',
  'likely',
  'high',
] as const;

type Books = Outcome<readonly PriceBook[]>;

/** Price books as JSON: to keep, or to hand to a colleague. */
export function writePriceBooksJson(books: readonly PriceBook[]): string {
  return `${JSON.stringify({ format: FORMAT, version: VERSION, books }, null, 2)}\n`;
}

/** Reads price books from JSON, or says every fault. */
function readJson(text: string): Books {
  const fail = (...faults: Fault[]): Books => ({ ok: false, faults });
  let value: unknown;
  try {
    value = JSON.parse(text);
  } catch {
    return fail({
      path: '',
      expected: 'price books in JSON',
      got: 'text that is not JSON',
      next: 'export the books again and import that file',
    });
  }
  const { format, version, books } = (value ?? {}) as Record<string, unknown>;
  if (format !== FORMAT)
    return fail({ path: 'format', expected: `"${FORMAT}"`, got: sayGot(format) });
  if (version !== VERSION)
    return fail({ path: 'version', expected: String(VERSION), got: sayGot(version) });
  if (!Array.isArray(books))
    return fail({ path: 'books', expected: 'a list of books', got: sayGot(books) });
  const faults = books.flatMap((book: unknown, index) => {
    const { error } = priceBookSchema.required().validate(book, VALIDATION);
    return error ? faultsFromJoi(error, ['books', index]) : [];
  });
  return faults.length > 0 ? fail(...faults) : { ok: true, value: books as PriceBook[] };
}

/** Price books as CSV: a row for every price of every book, Chert's own where a book has none. */
export function writePriceBooksCsv(books: readonly PriceBook[]): string {
  const rows = books.flatMap((book) => {
    const prices = pricesOf(book);
    return PRICE_KEYS.map((key) => {
      const { low, likely, high } = prices[key];
      const { unit, says } = PRICE_TABLE[key];
      return {
        book: book.name,
        source: book.source,
        edited: book.editedOn,
        price: key,
        what: says,
        unit,
        low,
        likely,
        high,
      };
    });
  });
  return writeCsv(COLUMNS, rows);
}

const isChert = (key: PriceKey, { low, likely, high }: Range) =>
  low === PRICE_TABLE[key].low &&
  likely === PRICE_TABLE[key].likely &&
  high === PRICE_TABLE[key].high;

type Row = Readonly<Record<string, string>>;

/** The range of a row, or what is wrong with it. */
function rangeOf(row: Row, key: PriceKey, path: string): Outcome<Range> {
  const faults: Fault[] = [];
  const cell = (name: 'low' | 'likely' | 'high') => {
    const said = readNumber(row[name] ?? '');
    if (said === null)
      faults.push({
        path: `${path}, ${name}`,
        expected: 'an amount in dollars',
        got: sayGot(row[name] ?? ''),
      });
    return said ?? 0;
  };
  const range = { low: cell('low'), likely: cell('likely'), high: cell('high') };
  const why = faults.length === 0 ? whyImplausible(key, range) : null;
  if (why !== null)
    faults.push({
      path,
      expected: 'a price that can be right',
      got: `${range.low}, ${range.likely}, ${range.high}: ${why}`,
      next: 'correct the row and import the file again',
    });
  return faults.length > 0 ? { ok: false, faults } : { ok: true, value: range };
}

/** Reads price books from CSV, a row a price, or says every fault with its line. Columns may stand in any order. */
function readBooksCsv(text: string, newId: () => string): Books {
  const table = readCsv(text);
  if (!table.ok) return table;
  const missing = COLUMNS.filter(
    (name) => !['what', 'unit'].includes(name) && !table.value.columns.includes(name),
  );
  if (missing.length > 0)
    return {
      ok: false,
      faults: [
        {
          path: 'line 1',
          expected: `the columns ${missing.join(', ')}`,
          got: table.value.columns.join(', '),
          next: 'export a book to see what the file looks like',
        },
      ],
    };
  const faults: Fault[] = [];
  const books = new Map<string, PriceBook>();
  for (const [index, row] of table.value.rows.entries()) {
    const path = `line ${index + 2}`;
    const name = row['book'] ?? '';
    const book = books.get(name) ?? {
      id: newId(),
      name,
      source: row['source'] ?? '',
      editedOn: row['edited'] ?? '',
      prices: {},
    };
    books.set(name, book);
    const key = row['price'] ?? '';
    if (!isPriceKey(key)) {
      faults.push({
        path: `${path}, price`,
        expected: 'the name of a price, such as dig.foot',
        got: sayGot(key),
      });
      continue;
    }
    const range = rangeOf(row, key, path);
    if (!range.ok) faults.push(...range.faults);
    else if (!isChert(key, range.value))
      books.set(name, { ...book, prices: { ...book.prices, [key]: range.value } });
  }
  for (const book of books.values()) {
    const { error } = priceBookSchema.validate(book, VALIDATION);
    if (error) faults.push(...faultsFromJoi(error, [book.name || 'a book without a name']));
  }
  return faults.length > 0 ? { ok: false, faults } : { ok: true, value: [...books.values()] };
}

/** Reads price books from either format; what begins with a brace is JSON. */
export function readPriceBooks(text: string, newId: () => string): Books {
  return text.trimStart().startsWith('{') ? readJson(text) : readBooksCsv(text, newId);
}
