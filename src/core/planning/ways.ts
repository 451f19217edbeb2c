import { clip, type Interval, lengthFt, overlaps, subtract } from '../base/interval';
import { memoOf, memoOfBoth } from '../base/memo';
import { NEW_PIPE } from '../catalogue/method-ids';
import type { Assessment } from '../judge/assessment';
import type { Finding } from '../judge/finding';
import { stopsOver } from '../judge/stops';
import { type Bed, type Cell, cellsWithin } from './bed';
import { methodById, METHODS } from './methods/index';
import type { Method } from './methods/method';
import { cutByGround, type Piece, piecesOf } from './pieces';
import { bedOf, type Site, wayInOf } from './site';

/** What a plan must do: end a finding, at least hold it, or renew worn-out pipe. */
export type Need =
  | { readonly what: 'cure' | 'hold'; readonly finding: Finding }
  | { readonly what: 'renew'; readonly lineId: string; readonly stretch: Interval };

export const DOING = METHODS.filter(
  ({ role }) => role === 'replace' || role === 'mend' || role === 'clean',
);

/** Methods that give worn-out pipe a new life. */
const RENEWING = DOING.filter(({ id }) => id === 'liner' || NEW_PIPE.includes(id));

/** Why a finding stands in the way of a method, or of what it needs first there; `null` when it does not. */
function barAt(site: Site, method: Method, finding: Finding): string | null {
  const cells = cellsWithin(bedOf(site, finding.lineId), finding.span);
  const firsts = cells
    .flatMap((cell) => method.firstIn(cell, site, finding.lineId))
    .map(methodById);
  for (const one of [method, ...firsts]) {
    const why = one.barredBy(finding, site);
    if (why !== null) return why;
  }
  return null;
}

/** What was found to stand in the way, by method and line: it hangs on what was assessment alone. */
const obstacleBook = memoOf((_derived: Assessment) => new Map<string, readonly Finding[]>());

/** Findings that stand in the way of a method somewhere on a line. */
export function obstaclesOf(site: Site, method: Method, lineId: string): readonly Finding[] {
  const book = obstacleBook(site.assessment);
  const key = `${method.id} ${lineId}`;
  const known = book.get(key);
  if (known) return known;
  const obstacles = site.assessment.findings.filter(
    (finding) =>
      finding.placed &&
      finding.lineId === lineId &&
      !finding.ourDoing &&
      finding.review?.verdict !== 'dismissed' &&
      barAt(site, method, finding) !== null,
  );
  book.set(key, obstacles);
  return obstacles;
}

/** Why a method, with all that it needs first, cannot be used in a cell; `null` when it can. */
export function whyNotIn(site: Site, method: Method, cell: Cell, lineId: string): string | null {
  if (site.utilityLines.has(lineId))
    return 'another utility runs through this line: everything else waits until it is dealt with';
  for (const one of [method, ...method.firstIn(cell, site, lineId).map(methodById)]) {
    const why = one.barredIn(cell, site, lineId);
    if (why !== null) return why;
  }
  return null;
}

/** Why a method cannot work a stretch; `null` when it can. */
export function whyNotOver(site: Site, method: Method, bed: Bed, stretch: Interval): string | null {
  const { lineId } = bed.lateral;
  for (const cell of cellsWithin(bed, stretch)) {
    if (!method.grounds.includes(cell.ground)) return 'it is not for this ground';
    const why = whyNotIn(site, method, cell, lineId);
    if (why !== null) return why;
  }
  const against = site.against.find(
    (one) =>
      one.does === method.id &&
      one.lineId === lineId &&
      (one.span === null || overlaps(one.span, stretch)),
  );
  if (against) return against.because;
  for (const finding of obstaclesOf(site, method, lineId))
    if (finding.span.toFt >= stretch.fromFt && finding.span.fromFt <= stretch.toFt)
      return barAt(site, method, finding);
  return null;
}

/** Where a method works for one piece of a finding; `null` where it cannot. */
function stretchFor(
  site: Site,
  method: Method,
  finding: Finding,
  pieces: readonly Piece[],
  piece: Piece,
): Interval | null {
  if (!method.grounds.includes(piece.run.ground)) return null;
  const reach = method.reach(finding, site);
  if (method.runsFromWayIn) {
    const { stationFt } = wayInOf(site, finding.lineId);
    return {
      fromFt: Math.min(stationFt, reach.fromFt),
      toFt: Math.max(stationFt, reach.toFt),
    };
  }
  if (pieces.length > 1 && method.id === 'patch-liner') return null;
  const index = pieces.indexOf(piece);
  const isAnywhere = method.grounds.length > 1;
  const within = {
    fromFt: index > 0 ? piece.fromFt : isAnywhere ? -Infinity : piece.run.fromFt,
    toFt: index < pieces.length - 1 ? piece.toFt : isAnywhere ? Infinity : piece.run.toFt,
  };
  return clip(reach, within) ?? reach;
}

/** Why a tool does not get from its way in to where it works; `null` when it does. */
export function whyNoPassage(
  site: Site,
  method: Method,
  bed: Bed,
  worked: Interval,
  findingId: string | null,
): string | null {
  const { lineId } = bed.lateral;
  const firsts = cellsWithin(bed, worked).flatMap((cell) => method.firstIn(cell, site, lineId));
  const runs = [method, ...firsts.map(methodById)].some(({ runsFromWayIn }) => runsFromWayIn);
  if (!runs) return null;
  const { stationFt } = wayInOf(site, lineId);
  const passage = {
    fromFt: Math.min(stationFt, worked.fromFt),
    toFt: Math.max(stationFt, worked.toFt),
  };
  const stop = site.assessment.findings.find(
    (one) =>
      one.placed &&
      one.id !== findingId &&
      one.lineId === lineId &&
      one.kind === 'collapse' &&
      one.span.toFt > passage.fromFt &&
      one.span.fromFt < passage.toFt,
  );
  if (stop) return `finding ${stop.number} is in the way: nothing gets past a collapse`;
  const isTorn = subtract([passage], [worked]).some((part) =>
    cellsWithin(bed, part).some(
      (cell) => cell.material === 'bituminous-fiber' && lengthFt(cell) > 0,
    ),
  );
  return isTorn ? 'it would have to pass through tar-paper pipe' : null;
}

/** Whether a stop forbids a method where a finding is. */
export const isForbiddenAt = (site: Site, { id }: Method, finding: Finding) =>
  stopsOver(site.assessment.stops, finding).some(({ forbids }) => forbids.includes(id));

export type Wish = {
  readonly fromFt: number;
  readonly lineId: string;
  readonly name: string;
  readonly ways: readonly (Interval & { readonly method: Method })[];
};

export function wishesOf(site: Site, need: Need, isAllowed: Allowed): Wish[] {
  if (need.what === 'renew') {
    const bed = bedOf(site, need.lineId);
    return cutByGround(bed, need.stretch).map((piece) => ({
      fromFt: piece.fromFt,
      lineId: need.lineId,
      name: `renew ${need.lineId} ${piece.fromFt}`,
      ways: RENEWING.filter(
        (method) =>
          whyNotOver(site, method, bed, piece) === null &&
          whyNoPassage(site, method, bed, piece, null) === null,
      ).map((method) => ({ method, fromFt: piece.fromFt, toFt: piece.toFt })),
    }));
  }
  const { finding, what } = need;
  return waysFor(site, finding).map(({ fromFt, ways }) => ({
    fromFt,
    lineId: finding.lineId,
    name: `${finding.id} ${fromFt}`,
    ways: ways.filter(
      ({ method, does }) => (does === 'cure' || what === 'hold') && isAllowed(method),
    ),
  }));
}

type Way = Interval & { readonly method: Method; readonly does: 'cure' | 'hold' };

/** Every way to end or to hold a finding, for each piece of it: whatever a plan needs or allows. */
const waysFor = memoOfBoth((site: Site, finding: Finding) => {
  const bed = bedOf(site, finding.lineId);
  const pieces = piecesOf(site, bed, finding);
  return pieces.map((piece) => ({
    fromFt: piece.fromFt,
    ways: DOING.flatMap((method): Way[] => {
      // What must not be done at a finding is no way to deal with it, though its pipe would bear it.
      if (isForbiddenAt(site, method, finding)) return [];
      const does = method.verdict(finding, site)?.does;
      if (does !== 'cure' && does !== 'hold') return [];
      const stretch = stretchFor(site, method, finding, pieces, piece);
      const worked = method.runsFromWayIn ? method.reach(finding, site) : stretch;
      return stretch &&
        worked &&
        whyNotOver(site, method, bed, worked) === null &&
        whyNoPassage(site, method, bed, worked, finding.id) === null
        ? [{ method, does, ...stretch }]
        : [];
    }),
  }));
});

/** The methods that a plan may use. */
export type Allowed = (method: Method) => boolean;
export const ALL: Allowed = () => true;

/** Whether anything can do what is needed. */
export function canBeMet(site: Site, need: Need, isAllowed: Allowed = ALL): boolean {
  return wishesOf(site, need, isAllowed).every(({ ways }) => ways.length > 0);
}
