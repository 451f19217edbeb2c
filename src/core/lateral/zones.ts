import { clip, type Interval, lengthFt } from '../base/interval';
import { TOLERANCES } from '../base/tolerances';
import type { AccessPoint } from '../job/access-point';
import type { Settings } from '../job/settings';
import type { Zone } from '../log/vocabulary';
import type { RunAxis } from '../measure/placement';
import type { Feature } from './features';
import { type Mark, partition } from './partition';
import { readMarks } from './marks';

/** A stretch with what lies over it; `null` when nobody said. */
export type ZonePiece = Interval & { readonly value: Zone | null };

/** An indoor zone that nobody said the end of, on the way out of the building. */
export type OpenZone = Interval & { readonly zone: Zone; readonly entryIds: readonly string[] };

/** What lies over the reached line, and which indoor zones have no end. */
export type Zones = { readonly pieces: readonly ZonePiece[]; readonly open: readonly OpenZone[] };

/** Zones inside or under the building. */
export const INDOOR_ZONES: readonly Zone[] = ['under-house', 'crawlspace', 'basement'];
/** Zones with a hard surface over the pipe. */
export const PAVED_ZONES: readonly Zone[] = ['patio', 'driveway', 'walk', 'street'];

export const isIndoor = (zone: Zone | null) => zone !== null && INDOOR_ZONES.includes(zone);

/** Features that end a zone, whatever it is. */
const LIMITS: readonly Feature['feature'][] = ['wall', 'property-line'];

/**
 * Reads what lies over each reached stretch. A zone is known between its two limits and nowhere else: where
 * it was logged, as far as the next zone, wall or property line, or as the run went; round an access for
 * the first three feet. An indoor zone holds only where something says where the building ends: without
 * that its ground is not known, and it puts nothing out of scope.
 */
export function readZones(
  axes: readonly RunAxis[],
  accessPoints: readonly AccessPoint[],
  reached: readonly Interval[],
  features: readonly Feature[],
  settings: Settings,
): Zones {
  const same = (a: Zone, b: Zone) => a === b;
  const marks = readMarks(axes, 'zone', (entry) => entry.zone, same, settings);
  const limitsFt = features
    .filter(({ feature }) => LIMITS.includes(feature))
    .map(({ stationFt }) => stationFt);
  const logged = reached.flatMap((reach) => boundedPieces(marks, limitsFt, reach, same));
  const closed = logged.map(({ fromFt, toFt, value, isOpen }) => ({
    fromFt,
    toFt,
    value: isOpen ? null : value,
  }));
  const openings = openingsOf(axes, accessPoints);
  const round = openings.flatMap((opening) => roundAccess(opening, closed, limitsFt));
  const open = [
    ...logged.flatMap(({ fromFt, toFt, value, isOpen, entryIds }) =>
      isOpen && value !== null ? [{ fromFt, toFt, zone: value, entryIds }] : [],
    ),
    ...round.flatMap(({ isOpen, fromFt, toFt, value }) =>
      isOpen && value !== null ? [{ fromFt, toFt, zone: value, entryIds: [] }] : [],
    ),
  ];
  const known = round.filter(({ isOpen, value }) => !isOpen && value !== null);
  return { pieces: joinAlike(closed.flatMap((piece) => layOver(piece, known))), open };
}

type Bounded = ZonePiece & { readonly isOpen: boolean; readonly entryIds: readonly string[] };

/** The logged zones of a reach, cut at its limits: a wall or a property line ends what is called on one side of it. */
function boundedPieces(
  marks: readonly Mark<Zone>[],
  limitsFt: readonly number[],
  reach: Interval,
  same: (a: Zone, b: Zone) => boolean,
): Bounded[] {
  const edges = [reach.fromFt, ...limitsFt.filter((at) => at > reach.fromFt + 1e-9 && at < reach.toFt - 1e-9).sort((a, b) => a - b), reach.toFt]; // prettier-ignore
  return edges.slice(1).flatMap((toFt, index) => {
    const fromFt = edges[index]!;
    const own = marks.filter(({ stationFt, side }) =>
      side === 'down'
        ? stationFt >= fromFt - TOLERANCES.samePlaceFt && stationFt < toFt - TOLERANCES.samePlaceFt
        : stationFt > fromFt + TOLERANCES.samePlaceFt && stationFt <= toFt + TOLERANCES.samePlaceFt,
    );
    const isLast = toFt >= reach.toFt - 1e-9;
    return partition(own, { fromFt, toFt }, same).pieces.map((piece): Bounded => {
      const endsHere = piece.toFt >= toFt - 1e-9 && isLast;
      // Said from its far side, the zone's way out is where it was said.
      const isClosed = own.some(({ side, stationFt, value }) => side === 'up' && value === piece.value && Math.abs(stationFt - piece.toFt) <= TOLERANCES.samePlaceFt); // prettier-ignore
      const isOpen = isIndoor(piece.value) && endsHere && !isClosed;
      return { ...piece, isOpen };
    });
  });
}

type Opening = { readonly stationFt: number; readonly zone: Zone };

function openingsOf(axes: readonly RunAxis[], accessPoints: readonly AccessPoint[]): Opening[] {
  const startFt = new Map(axes.map((axis) => [axis.run.accessPointId, axis.originFt] as const));
  return accessPoints.flatMap(({ id, zone }) => {
    const stationFt = startFt.get(id);
    return stationFt === undefined ? [] : [{ stationFt, zone }];
  });
}

/** The ground at an access: known for the first feet each way; inside a building as far as the wall. */
function roundAccess(
  { stationFt, zone }: Opening,
  pieces: readonly ZonePiece[],
  limitsFt: readonly number[],
): (ZonePiece & { readonly isOpen: boolean })[] {
  const at = { fromFt: stationFt - TOLERANCES.zoneOfAccessFt, toFt: stationFt + TOLERANCES.zoneOfAccessFt }; // prettier-ignore
  const wallFt = limitsFt.filter((limit) => limit >= stationFt - 1e-9).sort((a, b) => a - b)[0];
  const upFt = limitsFt.filter((limit) => limit < stationFt - 1e-9).sort((a, b) => b - a)[0];
  return pieces.flatMap((piece) => {
    if (piece.value !== null) return [];
    const isHere = piece.fromFt <= stationFt + 1e-9 && piece.toFt >= stationFt - 1e-9;
    if (!isHere) return [];
    if (!isIndoor(zone)) {
      const near = clip(piece, { fromFt: Math.max(at.fromFt, upFt ?? -Infinity), toFt: Math.min(at.toFt, wallFt ?? Infinity) }); // prettier-ignore
      return near && lengthFt(near) > 1e-9 ? [{ ...near, value: zone, isOpen: false }] : [];
    }
    // Indoors what was said next bounds it as a wall does: a zone outside begins where the building ends.
    const isBounded =
      (wallFt !== undefined && wallFt <= piece.toFt + 1e-9) ||
      pieces.some(({ value, fromFt }) => value !== null && Math.abs(fromFt - piece.toFt) < 1e-9);
    const inside = clip(piece, { fromFt: upFt ?? -Infinity, toFt: wallFt ?? Infinity });
    const isWayOut = piece.toFt > stationFt + TOLERANCES.samePlaceFt;
    if (!inside || lengthFt(inside) <= 1e-9 || (!isBounded && !isWayOut)) return [];
    return [{ ...inside, value: zone, isOpen: !isBounded }];
  });
}

/** A piece that nobody called, with what is known of it laid over it. */
function layOver(piece: ZonePiece, known: readonly ZonePiece[]): ZonePiece[] {
  if (piece.value !== null) return [piece];
  const parts = known
    .flatMap((one) => {
      const part = clip(one, piece);
      return part && lengthFt(part) > 1e-9 ? [{ ...part, value: one.value }] : [];
    })
    .sort((a, b) => a.fromFt - b.fromFt);
  const laid: ZonePiece[] = [];
  let atFt = piece.fromFt;
  for (const part of parts) {
    const fromFt = Math.max(part.fromFt, atFt);
    if (part.toFt <= fromFt + 1e-9) continue;
    if (fromFt > atFt + 1e-9) laid.push({ fromFt: atFt, toFt: fromFt, value: null });
    laid.push({ ...part, fromFt });
    atFt = part.toFt;
  }
  if (piece.toFt > atFt + 1e-9) laid.push({ fromFt: atFt, toFt: piece.toFt, value: null });
  return laid;
}

/** Neighbours that say the same are one: two runs from one access both name the ground over it. */
function joinAlike(pieces: readonly ZonePiece[]): ZonePiece[] {
  const joined: ZonePiece[] = [];
  for (const piece of pieces) {
    const last = joined.at(-1);
    if (last && last.value === piece.value && Math.abs(last.toFt - piece.fromFt) < 1e-9) {
      joined[joined.length - 1] = { ...last, toFt: piece.toFt };
    } else joined.push(piece);
  }
  return joined;
}

/** What the pipe hangs in or lies under: three different jobs. Pavement is open ground at another price. */
export type Ground = 'hung' | 'slab' | 'open';

/** The ground of a zone; open where nobody said. */
export function groundOf(zone: Zone | null): Ground {
  if (zone === 'crawlspace' || zone === 'basement') return 'hung';
  return zone === 'under-house' ? 'slab' : 'open';
}
