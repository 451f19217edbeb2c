/** A file of a backup by its content. */
type Content = { readonly sha256: string; readonly bytes: number };

/** What a backup holds, written beside it. */
export type Manifest = {
  readonly format: 'chert-backup';
  readonly version: 1;
  /** When it was made, by the clock of its machine. */
  readonly at: string;
  readonly installation: string;
  readonly databaseVersion: number;
  readonly database: Content;
  /** What grants access, a file of its own; in older backups it lies in the database. */
  readonly security?: Content;
  readonly media: readonly (Content & { readonly jobId: string; readonly id: string })[];
  /** Stills that lie in a bucket and were left there, with its address; none in older manifests. */
  readonly elsewhere?: readonly (Content & {
    readonly jobId: string;
    readonly id: string;
    readonly place: string;
  })[];
  /** Stills whose files were missing already when the backup was made. */
  readonly missing: readonly { readonly jobId: string; readonly id: string }[];
};

/** The file that says what a backup holds. Stills lie beside backups, once for all of a folder. */
export const MANIFEST_FILE = 'manifest.json';

/** Names of backups are their times, so that they sort: `2026-11-03T09-00-00.000Z`. */
export const nameOf = (at: string): string => at.replace(/:/g, '-');
const NAME = /^(\d{4}-\d{2}-\d{2})T(\d{2})-(\d{2})-(\d{2}\.\d{3}Z)$/;

/** When a backup was made, by its name; `null` for what is none. */
export function timeOfName(name: string): number | null {
  const [, day, hour, minute, second] = NAME.exec(name) ?? [];
  return day === undefined ? null : Date.parse(`${day}T${hour}:${minute}:${second}`);
}

const WEEKS = 4;
const MONTHS = 12;
const DAY_MS = 86_400_000;
/** 1 January 1970 was a Thursday: weeks begin on Monday. */
const weekOf = (atMs: number) => Math.floor((atMs / DAY_MS + 3) / 7);

/**
 * Which backups are kept: the latest of each of so many last days, 4 weeks and 12 months that have any, and
 * always the latest of all. Days, weeks and months are those of UTC.
 *
 * @param names names of backups, in any order; others are left alone, and are not in the answer.
 */
export function namesToKeep(names: readonly string[], days: number): Set<string> {
  const dated = names
    .flatMap((name) => {
      const atMs = timeOfName(name);
      return atMs === null ? [] : [{ name, atMs }];
    })
    .sort((a, b) => b.atMs - a.atMs);
  const periods: readonly [most: number, periodOf: (atMs: number) => string | number][] = [
    [days, (atMs) => Math.floor(atMs / DAY_MS)],
    [WEEKS, weekOf],
    [MONTHS, (atMs) => new Date(atMs).toISOString().slice(0, 7)],
  ];
  const kept = new Set(dated.slice(0, 1).map(({ name }) => name));
  for (const [most, periodOf] of periods) {
    const latest = new Map<string | number, string>();
    for (const { name, atMs } of dated) {
      const period = periodOf(atMs);
      if (!latest.has(period) && latest.size < most) latest.set(period, name);
    }
    for (const name of latest.values()) kept.add(name);
  }
  return kept;
}
