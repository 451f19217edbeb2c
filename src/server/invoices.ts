import type { Database } from 'better-sqlite3';
import Papa from 'papaparse';
import { prepared } from './prepared';

type Row = {
  readonly Day: string;
  readonly Property: string;
  readonly Client: string;
  readonly Inspector: string;
  readonly Fee: string;
  readonly Invoice: string;
  readonly Issued: string;
};

/** What a spreadsheet would take for a formula is written as text. */
const asText = (text: string) => (/^[=+\-@\t\r]/.test(text) ? `'${text}` : text);

/**
 * Every job with its fee and invoice number as CSV (RFC 4180), for whatever the books are kept in.
 *
 * @param from first day, `YYYY-MM-DD`; `until` the last.
 */
export function writeInvoices(db: Database, from: string, until: string): string {
  const rows = prepared<[string, string], Row>(
    db,
    `SELECT substr(scheduled_for, 1, 10) AS Day, title AS Property, client AS Client,
       coalesce(json_extract(job, '$.inspector'), '') AS Inspector,
       coalesce(json_extract(job, '$.fee'), '') AS Fee,
       coalesce(json_extract(job, '$.invoice'), '') AS Invoice,
       coalesce((SELECT substr(max(issued_at), 1, 10) FROM issued WHERE issued.job_id = jobs.id), '') AS Issued
     FROM jobs WHERE removed_at IS NULL AND substr(scheduled_for, 1, 10) BETWEEN ? AND ?
     ORDER BY scheduled_for, id`,
  ).all(from, until);
  const plain = rows.map((row) =>
    Object.fromEntries(Object.entries(row).map(([key, value]) => [key, asText(value)])),
  );
  return Papa.unparse(plain, {
    columns: ['Day', 'Property', 'Client', 'Inspector', 'Fee', 'Invoice', 'Issued'],
    newline: '\r\n',
  });
}
