import type { Database, Statement } from 'better-sqlite3';

const books = new WeakMap<Database, Map<string, Statement>>();

/** The statement of a text, prepared once for a database: preparing takes longer than most reads. */
export function prepared<P extends unknown[] | object = unknown[], R = unknown>(
  db: Database,
  sql: string,
): Statement<P extends unknown[] ? P : [P], R> {
  const book = books.get(db) ?? new Map<string, Statement>();
  books.set(db, book);
  const known = book.get(sql) ?? db.prepare(sql);
  book.set(sql, known);
  return known as unknown as Statement<P extends unknown[] ? P : [P], R>;
}
