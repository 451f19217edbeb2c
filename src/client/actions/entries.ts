import type { Pass } from '#core/catalogue/vocabulary';
import type { Entry, EntryDraft } from '#core/model/log/entry';

/** An entry said again with something changed, in the place of the old one; `undefined` takes a field out. */
export function revised(entry: Entry, more: Readonly<Record<string, unknown>>): EntryDraft {
  const { id, at: _at, replaces: _replaces, ...facts } = entry;
  const laid = Object.entries({ ...facts, ...more }).filter(([, value]) => value !== undefined);
  return { ...Object.fromEntries(laid), replaces: id } as unknown as EntryDraft;
}

/** The retraction of an entry. */
export const takingBack = (entry: Entry): EntryDraft => ({
  kind: 'retract',
  pass: entry.pass,
  readingFt: entry.readingFt,
  retracts: entry.id,
});

/** A still in the log: with what it shows, or by itself at the counter where it shows nothing logged yet. */
export const stillDraft = (
  mediaId: string,
  shows: Entry | null,
  at: { readonly pass: Pass; readonly readingFt: number },
): EntryDraft =>
  shows
    ? revised(shows, { photoIds: [...(shows.photoIds ?? []), mediaId] })
    : { kind: 'photo', ...at, photoIds: [mediaId] };
