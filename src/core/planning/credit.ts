import { clip, type Interval, subtract, totalFt } from '../base/interval';
import { memoOfBoth } from '../base/memo';
import type { Finding } from '../judge/finding';
import { cellsWithin } from './bed';
import { methodById } from './methods/index';
import type { Method } from './methods/method';
import { cutByGround } from './pieces';
import { bedOf, type Site } from './site';
import type { Work, WorkDraft } from './work';

/** A stretch left undone shorter than this is the rounding of a foot. */
const LEFT_FT = 0.05;

/** Where along a draft its method can really be used: its grounds, and pipe that allows it. */
export const usablePartsOf = memoOfBoth((site: Site, draft: WorkDraft): Interval[] => {
  const method = methodById(draft.method);
  return cellsWithin(bedOf(site, draft.lineId), draft)
    .filter((cell) => method.grounds.includes(cell.ground))
    .filter((cell) => method.barredIn(cell, site, draft.lineId) === null)
    .map(({ fromFt, toFt }) => ({ fromFt, toFt }));
});

/** The stretch that must be worked for a finding; other ground beyond its own ends it, except for a sag. */
export function neededFor(site: Site, finding: Finding, method: Method): Interval {
  const reach = method.reach(finding, site);
  if (finding.kind === 'standing-water') return reach;
  const own = cutByGround(bedOf(site, finding.lineId), finding.span).map(({ run }) => run);
  const within = { fromFt: own[0]?.fromFt ?? -Infinity, toFt: own.at(-1)?.toFt ?? Infinity };
  return clip(reach, within) ?? reach;
}

/** How much of what a finding needs is not worked by these parts, feet; a point counts as a hair. */
function leftOf(needed: Interval, parts: readonly Interval[]): number {
  if (needed.toFt - needed.fromFt < LEFT_FT)
    return parts.some(
      (part) => part.fromFt <= needed.fromFt + LEFT_FT && part.toFt >= needed.toFt - LEFT_FT,
    )
      ? 0
      : LEFT_FT * 2;
  return totalFt(subtract([needed], parts));
}

/** Which works, together, do a thing for a finding; empty when they do not. */
function worksThatDo(
  site: Site,
  finding: Finding,
  drafts: readonly WorkDraft[],
  does: 'cure' | 'hold',
): WorkDraft[] {
  // What is there only for another work is credited last.
  const byPurpose = drafts.toSorted(
    (a, b) => Number(a.isFirst ?? false) - Number(b.isFirst ?? false),
  );
  const able = byPurpose.flatMap((draft) => {
    if (draft.lineId !== finding.lineId) return [];
    const method = methodById(draft.method);
    if (method.verdict(finding, site)?.does !== does) return [];
    // What cannot pass the finding does nothing for it.
    if (method.barredBy(finding, site) !== null) return [];
    return [{ draft, method, parts: usablePartsOf(site, draft) }];
  });
  if (able.length === 0) return [];
  const needed = neededFor(site, finding, able[0]!.method);
  const alone = able.find(
    ({ method, parts }) => leftOf(neededFor(site, finding, method), parts) <= LEFT_FT,
  );
  if (alone) return [alone.draft];
  const isWhole =
    leftOf(
      needed,
      able.flatMap(({ parts }) => parts),
    ) <= LEFT_FT;
  return isWhole ? able.map(({ draft }) => draft) : [];
}

/** Gives each work the findings that it, alone or with others, cures or holds. */
export function creditWorks<T extends Work>(site: Site, works: readonly T[]): T[] {
  const cures = new Map<WorkDraft, string[]>();
  const holds = new Map<WorkDraft, string[]>();
  for (const finding of site.owned) {
    if (!finding.placed) continue;
    const curing = worksThatDo(site, finding, works, 'cure');
    const list = curing.length > 0 ? cures : holds;
    const doing = curing.length > 0 ? curing : worksThatDo(site, finding, works, 'hold');
    for (const work of doing) list.set(work, [...(list.get(work) ?? []), finding.id]);
  }
  return works.map((work) => ({
    ...work,
    cures: cures.get(work) ?? [],
    holds: holds.get(work) ?? [],
  }));
}
