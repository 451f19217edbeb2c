import { gapBetweenFt } from '../../base/interval';
import { STUB_FT } from '../methods/families';
import { methodById } from '../methods/index';
import { bedOf, type Site } from '../site';
import { whyNotOver } from '../ways';
import type { WorkDraft } from '../work';

/** Whether two works are one: new pipe or a liner with less than a stub of old pipe between them, which it can pass. */
function areOne(site: Site, a: WorkDraft, b: WorkDraft): boolean {
  const method = methodById(a.method);
  if (a.method !== b.method || a.lineId !== b.lineId || method.extent !== 'stretch') return false;
  if (gapBetweenFt(a, b) >= STUB_FT) return false;
  const between = {
    fromFt: Math.min(a.toFt, b.toFt),
    toFt: Math.max(a.fromFt, b.fromFt),
  };
  return (
    between.toFt <= between.fromFt ||
    whyNotOver(site, method, bedOf(site, a.lineId), between) === null
  );
}

/** One dig over what lies within a pit of each other; no stub of old pipe between two works. */
export function joinNear(site: Site, drafts: readonly WorkDraft[]): WorkDraft[] {
  const joined: WorkDraft[] = [];
  for (const draft of drafts.toSorted((a, b) => a.fromFt - b.fromFt)) {
    const at = joined.findIndex((one) => areOne(site, one, draft));
    const known = joined[at];
    if (!known) joined.push(draft);
    else joined[at] = { ...known, toFt: Math.max(known.toFt, draft.toFt) };
  }
  return joined;
}
