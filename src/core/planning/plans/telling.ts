import { gapBetweenFt, type Interval } from '../../base/interval';
import type { MethodId } from '../../catalogue/method-ids';
import type { Finding } from '../../judge/finding';
import { cut } from '../methods/cut';
import { descale } from '../methods/descale';
import { methodById } from '../methods/index';
import { jet } from '../methods/jet';
import type { Method } from '../methods/method';
import { rampLip } from '../methods/ramp-lip';
import { trimTap } from '../methods/trim-tap';
import { bedOf, type Site } from '../site';
import { canBeMet, isForbiddenAt, whyNoPassage, whyNotOver } from '../ways';
import type { WorkDraft } from '../work';

/** What clears the way for a look comes right before it. */
const BEFORE_LOOKING = 24;

const over = (method: MethodId, { lineId, span }: Finding): WorkDraft => ({
  method,
  lineId,
  fromFt: span.fromFt,
  toFt: span.toFt,
});

/** Those who must be told, whatever else is done: the authority of its side, a utility of its line. */
export function tellings({ owned, authoritys }: Site): WorkDraft[] {
  return [
    ...owned
      .filter(({ kind, placed }) => kind === 'utility-crossing' && placed)
      .map((finding) => over('notify-utility-owner', finding)),
    ...authoritys.map((finding) => over('notify-authority', finding)),
  ];
}

/** What clears each cause that may hold a pool; anything else is jetted. */
const CLEARERS: Readonly<Record<string, Method>> = {
  roots: cut,
  scale: descale,
  lip: rampLip,
  offset: rampLip,
  'intruding-tap': trimTap,
};

/** What clears the way for a look: the causes that may be cleared, else what lies in the line. */
function clearersOf({ causes }: Finding): Method[] {
  // A jet takes out debris, and loose roots with it.
  if (causes.some(({ cause }) => cause === 'debris')) return [jet];
  const named = causes.flatMap(({ cause }) => CLEARERS[cause] ?? []);
  return named.length > 0 ? [...new Set(named)] : [jet];
}

/** What holds a pool lies this near its lower end, feet. */
const HOLDS_WITHIN_FT = 3;
/** Two works at a spot are one within this, feet. */
const SAME_SPOT_FT = 0.1;

/** Where a cause is cleared: at the thing itself where one was found by the lower end of the pool, else at that end. */
function placeOf(site: Site, method: Method, finding: Finding): Interval {
  if (method.extent !== 'spot') return finding.span;
  const end = method.reach(finding, site);
  const [nearest] = site.owned
    .filter(({ id, lineId, placed }) => id !== finding.id && lineId === finding.lineId && placed)
    .filter(({ kind }) => CLEARERS[kind] === method)
    .map(({ span }) => ({ span, gapFt: gapBetweenFt(span, { fromFt: end.toFt, toFt: end.toFt }) }))
    .filter(({ gapFt }) => gapFt <= HOLDS_WITHIN_FT)
    .toSorted((one, other) => one.gapFt - other.gapFt);
  return nearest?.span ?? end;
}

/** What clears the way for the look at a finding, each where it is done. */
function clearingOf(site: Site, finding: Finding): WorkDraft[] {
  const bed = bedOf(site, finding.lineId);
  return clearersOf(finding)
    .map((method) => ({ method, place: placeOf(site, method, finding) }))
    .filter(
      ({ method, place }) =>
        !isForbiddenAt(site, method, finding) &&
        whyNotOver(site, method, bed, place) === null &&
        whyNoPassage(site, method, bed, place, finding.id) === null,
    )
    .map(({ method, place: { fromFt, toFt } }) => ({
      ...over(method.id, finding),
      fromFt,
      toFt,
      isFirst: true,
      order: BEFORE_LOOKING,
    }));
}

const isSameSpot = (work: WorkDraft, first: WorkDraft): boolean =>
  work.method === first.method &&
  work.lineId === first.lineId &&
  methodById(work.method).extent === 'spot' &&
  gapBetweenFt(work, first) <= SAME_SPOT_FT;

/** Whether a work at a spot clears the way for the look at a finding, whatever else it is for. */
export const clearsForLook = (site: Site, finding: Finding, work: WorkDraft): boolean =>
  clearingOf(site, finding).some((first) => isSameSpot(work, first));

/**
 * Works with the looks that nobody can do without yet: what clears the way for one is done right before it, and
 * once, where the works have it already.
 */
export function withLooks(
  site: Site,
  works: readonly WorkDraft[],
  isOpen: (finding: Finding) => boolean = () => true,
): WorkDraft[] {
  const open = site.owned
    .filter(({ action, placed }) => action === 'look-again' && placed)
    .filter(isOpen);
  const looks = open.flatMap((finding) => [
    ...clearingOf(site, finding).filter((first) => !works.some((work) => isSameSpot(work, first))),
    over('look-again', finding),
  ]);
  const inOrder = works.map((work) =>
    open.some((finding) => clearsForLook(site, finding, work))
      ? { ...work, order: BEFORE_LOOKING }
      : work,
  );
  return [...inOrder, ...looks];
}

/** A contractor's opinion on what must be ended and what no method here ends. */
export function opinions(site: Site): WorkDraft[] {
  return site.owned
    .filter(
      ({ action, placed, kind }) =>
        (action === 'repair' || action === 'urgent') && placed && kind !== 'utility-crossing',
    )
    .filter(({ lineId }) => !site.utilityLines.has(lineId))
    .filter((finding) => !canBeMet(site, { what: 'cure', finding }))
    .map((finding) => over('second-opinion', finding));
}
