import { type Interval, subtract, totalFt, unite } from '../base/interval';
import type { MethodId } from '../catalogue/method-ids';
import { cellsWithin } from './bed';
import { methodById } from './methods/index';
import { bedOf, type Site, wayInOf } from './site';
import { whyNotOver } from './ways';
import type { WorkDraft } from './work';

/** Less than this is the rounding of a foot. */
const LACK_FT = 0.1;

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

/** Whether one visit could be made of two: nothing that the method may not touch lies between them. */
function canBeOneVisit(site: Site, draft: WorkDraft): boolean {
  const method = methodById(draft.method);
  const bed = bedOf(site, draft.lineId);
  if (!method.runsFromWayIn) return whyNotOver(site, method, bed, draft) === null;
  return cellsWithin(bed, draft).every(
    (cell) => method.barredIn(cell, site, draft.lineId) === null,
  );
}

const hullOf = (a: Interval, b: Interval): Interval => ({
  fromFt: Math.min(a.fromFt, b.fromFt),
  toFt: Math.max(a.toFt, b.toFt),
});

/** A visit is one work, from its way in to its last target, however many findings it is for. */
function asVisits(site: Site, drafts: readonly WorkDraft[]): WorkDraft[] {
  const visits: WorkDraft[] = [];
  for (const draft of drafts) {
    const method = methodById(draft.method);
    const way = wayInOf(site, draft.lineId).stationFt;
    const whole = method.runsFromWayIn
      ? { ...draft, ...hullOf(draft, { fromFt: way, toFt: way }) }
      : draft;
    const at = visits.findIndex(
      (one) =>
        method.extent === 'visit' &&
        method.role !== 'tell' &&
        one.method === draft.method &&
        one.lineId === draft.lineId &&
        canBeOneVisit(site, { ...one, ...hullOf(one, whole) }),
    );
    const known = visits[at];
    if (!known) visits.push(whole);
    else
      visits[at] = {
        ...known,
        ...hullOf(known, whole),
        order: Math.min(orderOf(known), orderOf(draft)),
        isFirst: (known.isFirst ?? false) && (draft.isFirst ?? false),
      };
  }
  return visits;
}

/** The way in that tools need on each line where one works. */
function openersOf(site: Site, drafts: readonly WorkDraft[]): WorkDraft[] {
  const lineIds = new Set(
    drafts.filter(({ method }) => methodById(method).needsCleanout).map(({ lineId }) => lineId),
  );
  return [...lineIds].flatMap((lineId): WorkDraft[] => {
    const { opener, stationFt } = wayInOf(site, lineId);
    const isThere = drafts.some((one) => one.method === opener && one.lineId === lineId);
    return opener === null || isThere
      ? []
      : [{ method: opener, lineId, fromFt: stationFt, toFt: stationFt, isFirst: true }];
  });
}

/** Works with all that they need first, in the order in which they are done. */
export function withFirst(site: Site, drafts: readonly WorkDraft[]): WorkDraft[] {
  const all = asVisits(
    site,
    drafts.flatMap((draft) => behindItsFirst(site, draft)),
  );
  return [...openersOf(site, all), ...all].toSorted(byOrder);
}

/** What must come first for these works and is not among them. */
export function lackOf(site: Site, drafts: readonly WorkDraft[]): WorkDraft[] {
  const isThere = (first: WorkDraft) => {
    const same = drafts.filter(
      ({ method, lineId }) => method === first.method && lineId === first.lineId,
    );
    return first.fromFt === first.toFt
      ? same.some((one) => one.fromFt <= first.toFt && one.toFt >= first.fromFt)
      : totalFt(subtract([first], same)) <= LACK_FT;
  };
  return [...drafts.flatMap((draft) => firstOf(site, draft)), ...openersOf(site, drafts)].filter(
    (first) => !isThere(first),
  );
}
