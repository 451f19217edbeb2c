import { clip, type Interval, lengthFt } from '../base/interval';
import { layOut } from '../base/near';
import { TOLERANCES } from '../base/tolerances';
import { type Zone, zonesWith } from '../catalogue/zones';
import type { RunAxis } from '../measure/placement';
import type { AccessPoint } from '../model/job/access-point';
import type { Settings } from '../model/job/settings';
import type { Feature } from './features';
import { readMarks } from './marks';
import { type Mark, partition } from './partition';

/** A stretch with what lies over it; `null` when nobody said. */
export type ZonePiece = Interval & { readonly value: Zone | null };

/** An indoor zone that nobody said the end of, on the way out of the building. */
export type OpenZone = Interval & { readonly zone: Zone; readonly entryIds: readonly string[] };

/** What lies over the reached line, and which indoor zones have no end. */
export type Zones = { readonly pieces: readonly ZonePiece[]; readonly open: readonly OpenZone[] };

/** Zones inside or under the building. */
export const INDOOR_ZONES: readonly Zone[] = zonesWith('indoor');
/** Zones with a hard surface over the pipe. */
export const PAVED_ZONES: readonly Zone[] = zonesWith('paved');

export const isIndoor = (zone: Zone | null) => zone !== null && INDOOR_ZONES.includes(zone);

/** Where a zone ends whatever it is; only a wall ends a building. */
type Limit = { readonly stationFt: number; readonly isWall: boolean };

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
  const limits = features
    .filter(({ feature, isPlaceUnsaid }) => LIMITS.includes(feature) && !isPlaceUnsaid)
    .map(({ feature, stationFt }): Limit => ({ stationFt, isWall: feature === 'wall' }));
  const logged = reached.flatMap((reach) => boundedPieces(marks, limits, reach, same));
  const closed = logged.map(({ fromFt, toFt, value, isOpen }) => ({
    fromFt,
    toFt,
    value: isOpen ? null : value,
  }));
  const openings = openingsOf(axes, accessPoints);
  const round = openings.flatMap((opening) => roundAccess(opening, closed, limits));
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

/**
 * The logged zones of a reach. A wall ends what is called on one side of it; a property line ends what is
 * called of the ground outside. A building ends at its wall, or where a zone outside is called.
 */
function boundedPieces(
  marks: readonly Mark<Zone>[],
  limits: readonly Limit[],
  reach: Interval,
  same: (a: Zone, b: Zone) => boolean,
): Bounded[] {
  const slackFt = TOLERANCES.samePlaceFt;
  const inner = limits
    .filter(({ stationFt: at }) => at > reach.fromFt + 1e-9 && at < reach.toFt - 1e-9)
    .sort((a, b) => a.stationFt - b.stationFt);
  const walls = inner.filter(({ isWall }) => isWall).map(({ stationFt }) => stationFt);
  const lines = inner.filter(({ isWall }) => !isWall).map(({ stationFt }) => stationFt);
  const edges = [reach.fromFt, ...walls, reach.toFt];
  return edges.slice(1).flatMap((toFt, index) => {
    const fromFt = edges[index]!;
    const own = marks.filter(({ stationFt, side }) =>
      side === 'down'
        ? stationFt >= fromFt - slackFt && stationFt < toFt - slackFt
        : stationFt > fromFt + slackFt && stationFt <= toFt + slackFt,
    );
    const isWall = index < walls.length;
    const ownNear = layOut(own, ({ stationFt }) => ({ fromFt: stationFt, toFt: stationFt }));
    return partition(own, { fromFt, toFt }, same).pieces.flatMap((piece): Bounded[] => {
      const saidAt = (side: 'up' | 'down', at: number) =>
        ownNear({ fromFt: at, toFt: at }, slackFt).some(
          (mark) => mark.side === side && mark.value === piece.value,
        );
      const fromAbove = saidAt('down', piece.fromFt);
      // Said from its far side, the zone's way out is where it was said.
      const fromBelow = saidAt('up', piece.toFt);
      if (!isIndoor(piece.value))
        return cutAtLines(piece, lines, fromAbove, fromBelow).map((one) => ({
          ...one,
          isOpen: false,
        }));
      const endsHere = piece.toFt >= toFt - 1e-9;
      return [{ ...piece, isOpen: endsHere && !isWall && !fromBelow }];
    });
  });
}

/** Ground outside, as far as the property line: beyond it nobody said what it is, except who said it from there. */
function cutAtLines<P extends ZonePiece>(
  piece: P,
  lines: readonly number[],
  fromAbove: boolean,
  fromBelow: boolean,
): P[] {
  const cuts = lines.filter((at) => at > piece.fromFt + 1e-9 && at < piece.toFt - 1e-9);
  if (piece.value === null || cuts.length === 0 || (fromAbove && fromBelow)) return [piece];
  const [first, last] = [cuts[0]!, cuts.at(-1)!];
  return fromBelow
    ? [
        { ...piece, toFt: last, value: null },
        { ...piece, fromFt: last },
      ]
    : [
        { ...piece, toFt: first },
        { ...piece, fromFt: first, value: null },
      ];
}

type Opening = { readonly stationFt: number; readonly zone: Zone };

function openingsOf(axes: readonly RunAxis[], accessPoints: readonly AccessPoint[]): Opening[] {
  const startFt = new Map(axes.map((axis) => [axis.run.accessPointId, axis.originFt] as const));
  return accessPoints.flatMap(({ id, zone }) => {
    const stationFt = startFt.get(id);
    return stationFt === undefined || zone === undefined ? [] : [{ stationFt, zone }];
  });
}

/** The ground at an access: known for the first feet each way; inside a building as far as the wall. */
function roundAccess(
  { stationFt, zone }: Opening,
  pieces: readonly ZonePiece[],
  limits: readonly Limit[],
): (ZonePiece & { readonly isOpen: boolean })[] {
  const at = {
    fromFt: stationFt - TOLERANCES.zoneOfAccessFt,
    toFt: stationFt + TOLERANCES.zoneOfAccessFt,
  };
  const below = limits.filter((limit) => limit.stationFt >= stationFt - 1e-9);
  const nextFt = Math.min(Infinity, ...below.map((limit) => limit.stationFt));
  const walls = below.filter(({ isWall }) => isWall).map((limit) => limit.stationFt);
  const wallFt = walls.length > 0 ? Math.min(...walls) : undefined;
  const above = limits.filter((limit) => limit.stationFt < stationFt - 1e-9);
  const upFt = Math.max(-Infinity, ...above.map((limit) => limit.stationFt));
  return pieces.flatMap((piece) => {
    if (piece.value !== null) return [];
    const isHere = piece.fromFt <= stationFt + 1e-9 && piece.toFt >= stationFt - 1e-9;
    if (!isHere) return [];
    if (!isIndoor(zone)) {
      const near = clip(piece, {
        fromFt: Math.max(at.fromFt, upFt),
        toFt: Math.min(at.toFt, nextFt),
      });
      return near && lengthFt(near) > 1e-9 ? [{ ...near, value: zone, isOpen: false }] : [];
    }
    // Indoors what was said next bounds it as a wall does: a zone outside begins where the building ends.
    const isBounded =
      (wallFt !== undefined && wallFt <= piece.toFt + 1e-9) ||
      pieces.some(({ value, fromFt }) => value !== null && Math.abs(fromFt - piece.toFt) < 1e-9);
    const inside = clip(piece, { fromFt: upFt, toFt: wallFt ?? nextFt });
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
