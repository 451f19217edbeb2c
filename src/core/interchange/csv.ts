import Papa from 'papaparse';
import type { Fault, Outcome } from '../base/fault';

/** A table as a CSV file has it: the names of its columns, and its rows by those names. */
export type CsvTable = {
  readonly columns: readonly string[];
  readonly rows: readonly Readonly<Record<string, string>>[];
};

/** What a spreadsheet would run as a formula; an apostrophe itself, so that reading undoes writing exactly. */
const FORMULA = /^[=+\-@\t\r']/;
const ESCAPED = /^'(?=[=+\-@\t\r'])/;

/**
 * Writes a table as CSV (RFC 4180, with a header row). Text that a spreadsheet would run as a formula gets
 * an apostrophe in front; numbers do not.
 */
export function writeCsv(
  columns: readonly string[],
  rows: readonly Readonly<Record<string, string | number | null>>[],
): string {
  const data = rows.map((row) => columns.map((column) => row[column] ?? ''));
  return `${Papa.unparse({ fields: [...columns], data }, { escapeFormulae: FORMULA })}\r\n`;
}

/**
 * Reads CSV with a header row: commas, semicolons or tabs. Cells are trimmed, and an apostrophe in front
 * of what would be a formula is taken off.
 */
export function readCsv(text: string): Outcome<CsvTable> {
  const fail = (fault: Fault): Outcome<CsvTable> => ({ ok: false, faults: [fault] });
  const plain = text.replace(/^\uFEFF/, '');
  if (plain.trim() === '')
    return fail({ path: '', expected: 'a CSV file with a header row', got: 'an empty file' });
  const read = Papa.parse<string[]>(plain, { skipEmptyLines: 'greedy' });
  const broken = read.errors.find(({ code }) => code !== 'UndetectableDelimiter');
  if (broken)
    return fail({
      path: `line ${(broken.row ?? 0) + 1}`,
      expected: 'whole cells',
      got: broken.message.toLowerCase(),
    });
  const [header, ...body] = read.data.map((row) =>
    row.map((cell) => cell.trim().replace(ESCAPED, '')),
  );
  const columns = header!.map((name, index) => name || `column ${index + 1}`);
  const twice = columns.find((name, index) => columns.indexOf(name) !== index);
  if (twice !== undefined)
    return fail({
      path: 'line 1',
      expected: 'a name of its own for each column',
      got: `"${twice}" twice`,
    });
  return {
    ok: true,
    value: {
      columns,
      rows: body.map((row) => Object.fromEntries(columns.map((name, at) => [name, row[at] ?? '']))),
    },
  };
}

/** A number as a cell has it: a dollar sign, spaces and commas between thousands are let by; `null` when it is none. */
export function readNumber(cell: string): number | null {
  const plain = cell
    .replace(/[$\s]/g, '')
    .replace(/,(?=\d{3}(\D|$))/g, '')
    .replace('−', '-');
  return /^-?(\d+\.?\d*|\.\d+)$/.test(plain) ? Number(plain) : null;
}
