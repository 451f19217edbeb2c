import { type Interval, unite } from '../base/interval';
import type { MethodId } from '../catalogue/method-ids';
import { cellsWithin } from './bed';
import { methodById } from './methods/index';
import { bedOf, type Site } from './site';
import type { WorkDraft } from './work';

/** What lets a hose or cutter in where no cleanout does; `null` where one does. */
export function wayInFirst({ wayIn }: Site): MethodId | null {
  if (wayIn === 'cleanout') return null;
  return wayIn === 'buried' ? 'raise-riser' : 'cleanout';
}

/** What a work needs first, where along it. */
export function firstOf(site: Site, draft: WorkDraft): WorkDraft[] {
  const method = methodById(draft.method);
  const needed = new Map<MethodId, Interval[]>();
  for (const cell of cellsWithin(bedOf(site, draft.lineId), draft))
    for (const first of method.firstIn(cell, site, draft.lineId))
      needed.set(first, [...(needed.get(first) ?? []), { fromFt: cell.fromFt, toFt: cell.toFt }]);
  return [...needed].flatMap(([id, stretches]) =>
    unite(stretches).map((stretch) => ({
      ...stretch,
      method: id,
      lineId: draft.lineId,
      isFirst: true,
    })),
  );
}

/** The place of a work in the order of works. */
export const orderOf = ({ order, method }: WorkDraft) => order ?? methodById(method).order;

const byOrder = (a: WorkDraft, b: WorkDraft) => orderOf(a) - orderOf(b) || a.fromFt - b.fromFt;

/** A work behind all that it needs first, and all that those need: a cut in asbestos cement too. */
function behindItsFirst(site: Site, draft: WorkDraft): WorkDraft[] {
  // What comes first is earlier in the order of works, so this comes to an end.
  const first = firstOf(site, draft).filter((one) => orderOf(one) < orderOf(draft));
  return [...first.flatMap((one) => behindItsFirst(site, one)), draft];
}

/** Works with all that they need first, in the order in which they are done. */
export function withFirst(site: Site, drafts: readonly WorkDraft[]): WorkDraft[] {
  const all = drafts.flatMap((draft) => behindItsFirst(site, draft));
  const opener = wayInFirst(site);
  const needsWayIn = all.find(({ method }) => methodById(method).needsCleanout);
  if (opener !== null && needsWayIn && !all.some(({ method }) => method === opener)) {
    const startFt = bedOf(site, needsWayIn.lineId).lateral.reached[0]?.fromFt ?? 0;
    all.push({
      method: opener,
      lineId: needsWayIn.lineId,
      fromFt: startFt,
      toFt: startFt,
      isFirst: true,
    });
  }
  return all.toSorted(byOrder);
}
