const HOUR_MS = 3_600_000;
const DAY_MS = 24 * HOUR_MS;
/** A backup older than this is a trouble: two nights have passed without one. */
const OLD_MS = 2 * DAY_MS;

function sayAge(ageMs: number): string {
  if (ageMs < HOUR_MS) return 'less than an hour ago';
  if (ageMs < 2 * HOUR_MS) return 'an hour ago';
  if (ageMs < 2 * DAY_MS) return `${Math.floor(ageMs / HOUR_MS)} hours ago`;
  return `${Math.floor(ageMs / DAY_MS)} days ago`;
}

/**
 * Says when everything was backed up last.
 *
 * @param last when the last whole backup was made, and why the last try failed.
 * @param nowMs ms since 1970.
 */
export function sayBackup(
  last: { readonly at: string | null; readonly trouble: string | null },
  nowMs: number,
): { readonly text: string; readonly isTrouble: boolean } {
  const ageMs = last.at === null ? null : Math.max(0, nowMs - Date.parse(last.at));
  const when = ageMs === null ? 'Nothing has been backed up yet.' : `Backed up ${sayAge(ageMs)}.`;
  if (last.trouble !== null)
    return { text: `${when} The last try failed: ${last.trouble}`, isTrouble: true };
  return { text: when, isTrouble: ageMs !== null && ageMs > OLD_MS };
}
