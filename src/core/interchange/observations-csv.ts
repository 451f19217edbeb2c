import { type Fault, type Outcome, sayGot } from '../base/fault';
import { roundTo } from '../base/numbers';
import type { Pass } from '../catalogue/vocabulary';
import type { Assessment } from '../judge/assessment';
import { type Entry, type EntryDraft } from '../model/log/entry';
import { checkEntry } from '../model/log/entry.schema';
import type { FoldedLog } from '../model/log/fold';
import { sayEntry } from '../model/log/say-entry';
import type { OwnWord } from '../speech/draft';
import { parseCallout } from '../speech/parse';
import { writeCallout } from '../speech/write';
import { type CsvTable, readNumber, writeCsv } from './csv';

const COLUMNS = [
  'run',
  'entry',
  'at',
  'pass',
  'reading_ft',
  'station_ft',
  'sigma_ft',
  'to_station_ft',
  'what',
  'finding',
  'grade',
  'action',
  'call_out',
] as const;

const feet = (value: number | undefined) => (value === undefined ? null : roundTo(value, 2));

/**
 * Writes what stands in the log as CSV, a row an entry: the raw reading, the station with its ±, and the
 * call-out that Chert reads back exactly.
 */
export function writeObservations(assessment: Assessment): string {
  const { findings } = assessment;
  const rows = [assessment.lateral, ...assessment.branches].flatMap(({ axes, unplaced }) =>
    [...axes, ...unplaced].flatMap((axis) =>
      axis.log.standing
        .filter(({ kind }) => kind !== 'retract')
        .map((entry) => {
          const { replaces: _replaces, ...whole } = withHeir(entry, axis.log);
          const between = axis.placed && entry.readingFt !== null ? axis.placeOfEntry(entry) : null;
          const isStretch =
            between !== null && Math.abs(between.to.stationFt - between.from.stationFt) > 1e-9;
          const finding = findings.find(
            ({ entryIds, runIds }) => runIds.includes(axis.run.id) && entryIds.includes(entry.id),
          );
          return {
            run: axis.name,
            entry: entry.id,
            at: entry.at,
            pass: entry.pass,
            reading_ft: entry.readingFt,
            station_ft: feet(between?.from.stationFt),
            sigma_ft: feet(between?.from.sigmaFt),
            to_station_ft: isStretch ? feet(between.to.stationFt) : null,
            what: sayEntry(entry).title,
            finding: finding?.number ?? null,
            grade: finding?.severity ?? null,
            action: finding?.action ?? null,
            call_out: writeCallout(whole, 'out'),
          };
        }),
    ),
  );
  return writeCsv(COLUMNS, rows);
}

/** A close names the entry that stands now: the one that it was said of may have been corrected since. */
function withHeir(entry: Entry, log: FoldedLog): Entry {
  if (entry.kind !== 'close') return entry;
  return { ...entry, closes: log.heirsOf(entry.closes)[0]?.id ?? entry.closes };
}

/** Which columns of a table hold what; `null`: none does. */
export type Matching = {
  readonly reading: string | null;
  readonly what: string | null;
  readonly pass: string | null;
  readonly to: string | null;
  readonly id: string | null;
  readonly at: string | null;
};

/** Names that others give these columns, most telling first. */
const LIKELY: Readonly<Record<keyof Matching, RegExp>> = {
  reading: /^(reading_ft|reading|counter|footage|distance|feet|ft|from)\b/i,
  what: /^(call_out|call-?out|observation|description|what|defect|remark|text)\b/i,
  pass: /^(pass|way)\b/i,
  to: /^(to_reading|to_ft|to|end)\b/i,
  id: /^(entry|id)\b/i,
  at: /^(at|time|when)\b/i,
};

/** Guesses which column holds what, from the columns' names. */
export function matchColumns(columns: readonly string[]): Matching {
  const plain = (name: string) => name.trim().replace(/\s+/g, '_');
  const find = (key: keyof Matching) => {
    // What reads back exactly is better than what was written for people.
    const exact =
      key === 'what' ? columns.find((name) => /^call_?-?out$/i.test(plain(name))) : undefined;
    return (
      exact ??
      columns.find((name) => LIKELY[key].test(plain(name)) || LIKELY[key].test(name)) ??
      null
    );
  };
  return {
    reading: find('reading'),
    what: find('what'),
    pass: find('pass'),
    to: find('to'),
    id: find('id'),
    at: find('at'),
  };
}

/** The most rows that are read at once: each is read as a call-out. A day's log has some hundreds. */
const MOST_ROWS = 5_000;

/** A row as Chert reads it. */
export type ReadRow = {
  /** Its line in the file. */
  readonly line: number;
  readonly text: string;
  readonly drafts: readonly EntryDraft[];
  readonly id: string | null;
  readonly at: string | null;
  /** What was understood ("Roots at 57 ft"), or the words that are kept as they are. */
  readonly says: string;
  readonly kept: 'note' | 'flag' | null;
};

const passOf = (cell: string): Pass | null =>
  /^(out|o|down|forward)/i.test(cell) ? 'out' : /^(back|b|home|return)/i.test(cell) ? 'back' : null;

/**
 * Reads observations from a table by the columns matched: each row is read as the call-out line reads it,
 * and nothing is dropped. A reading that is no number is a fault with its line.
 */
export function readObservations(
  table: CsvTable,
  matching: Matching,
  ownWords: readonly OwnWord[] = [],
): Outcome<readonly ReadRow[]> {
  if (matching.what === null)
    return {
      ok: false,
      faults: [
        {
          path: 'line 1',
          expected: 'a column that says what was seen',
          got: table.columns.join(', '),
          next: 'choose the column',
        },
      ],
    };
  if (table.rows.length > MOST_ROWS)
    return {
      ok: false,
      faults: [
        {
          path: `line ${MOST_ROWS + 2}`,
          expected: `at most ${MOST_ROWS} rows`,
          got: String(table.rows.length),
          next: 'import a run at a time',
        },
      ],
    };
  const faults: Fault[] = [];
  const cell = (row: Readonly<Record<string, string>>, name: string | null) =>
    name === null ? '' : (row[name] ?? '').trim();
  const rows = table.rows.flatMap((row, index): ReadRow[] => {
    const line = index + 2;
    const what = cell(row, matching.what);
    const said = cell(row, matching.reading);
    if (what === '') return [];
    const readingFt = said === '' ? null : readNumber(said);
    if (said !== '' && (readingFt === null || readingFt < 0)) {
      faults.push({
        path: `line ${line}, ${matching.reading}`,
        expected: 'a reading in feet',
        got: sayGot(said),
      });
      return [];
    }
    const toText = cell(row, matching.to);
    const toFt = toText === '' ? null : readNumber(toText);
    const pass = passOf(cell(row, matching.pass));
    const isExact = /^call_?-?out$/i.test(matching.what ?? '');
    const to = toFt !== null && toFt !== readingFt && !isExact ? ` to ${toFt} ft` : '';
    const text = isExact || readingFt === null ? what : `${what} at ${readingFt} ft${to}`;
    const read = parseCallout(text, {
      counterFt: readingFt,
      pass: isExact ? 'out' : (pass ?? 'out'),
      boreHereIn: null,
      standing: [],
      openIds: new Set(),
      ownWords,
    });
    const kept = { kind: 'note', pass: pass ?? 'out', readingFt, note: what } as const;
    // What is told of the line and is no entry keeps its words.
    const drafts = read && read.drafts.length > 0 ? read.drafts : [kept];
    return [
      {
        line,
        text,
        drafts,
        id: cell(row, matching.id) || null,
        at: cell(row, matching.at) || null,
        says: drafts.map((draft) => sayEntry(draft).title).join('; '),
        kept: read && read.drafts.length > 0 ? read.kept : 'note',
      },
    ];
  });
  return faults.length > 0 ? { ok: false, faults } : { ok: true, value: rows };
}

/** The entries of rows, with the ids and times that they brought; others get those given. */
export function entriesOfRows(
  rows: readonly ReadRow[],
  newId: () => string,
  now: string,
): Outcome<readonly Entry[]> {
  const faults: Fault[] = [];
  const entries = rows.flatMap(({ drafts, id, at, line }) =>
    drafts.map((draft, index) => {
      const entry = { ...draft, id: index === 0 && id ? id : newId(), at: at ?? now } as Entry;
      const checked = checkEntry(entry);
      if (!checked.ok)
        faults.push(
          ...checked.faults.map((fault) => ({ ...fault, path: `line ${line}, ${fault.path}` })),
        );
      return entry;
    }),
  );
  return faults.length > 0 ? { ok: false, faults } : { ok: true, value: entries };
}
