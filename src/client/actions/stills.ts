import type { Entry, EntryDraft } from '#core/model/log/entry';

/** A still taken this close to the last thing logged belongs to it, feet. */
const BELONGS_WITHIN_FT = 0.5;
/** A still with nothing to show yet belongs to the next thing logged this close to it, feet. */
const WAITS_WITHIN_FT = 1;
const SHOWABLE: readonly Entry['kind'][] = ['defect', 'feature', 'flag', 'material', 'end'];

/** The thing that a still taken now belongs to: what is chosen, else what was logged here a moment ago. */
export function stillTarget(
  standing: readonly Entry[],
  chosen: Entry | null,
  counterFt: number,
): Entry | null {
  if (chosen) return chosen;
  const last = standing.findLast(({ kind }) => SHOWABLE.includes(kind));
  if (typeof last?.readingFt !== 'number') return null;
  return Math.abs(last.readingFt - counterFt) <= BELONGS_WITHIN_FT ? last : null;
}

/** Drafts with the still that waited for the first of them: the still's own entry is settled by it. */
export function settleStill(
  standing: readonly Entry[],
  drafts: readonly EntryDraft[],
): readonly EntryDraft[] {
  const last = standing.at(-1);
  const [first, ...rest] = drafts;
  if (last?.kind !== 'photo' || last.readingFt === null || !first) return drafts;
  const isOpen = SHOWABLE.includes(first.kind) && !('replaces' in first && first.replaces);
  if (!isOpen || first.readingFt === null) return drafts;
  if (Math.abs(last.readingFt - first.readingFt) > WAITS_WITHIN_FT) return drafts;
  const photoIds = [...last.photoIds, ...(first.photoIds ?? [])];
  return [{ ...first, photoIds, replaces: last.id }, ...rest];
}
