import type { Interval } from '../base/interval';
import type { AccessPoint } from '../job/access-point';
import type { Settings } from '../job/settings';
import type { Zone } from '../log/vocabulary';
import type { RunAxis } from '../measure/placement';
import type { Feature } from './features';
import { readMarks } from './marks';
import { partition } from './partition';

/** A stretch with what lies over it; `null` when nobody said. */
export type ZonePiece = Interval & { readonly value: Zone | null };

/** Zones inside or under the building. */
export const INDOOR_ZONES: readonly Zone[] = ['under-house', 'crawlspace', 'basement'];
/** Zones with a hard surface over the pipe. */
export const PAVED_ZONES: readonly Zone[] = ['patio', 'driveway', 'walk', 'street'];

/**
 * Reads what lies over each reached stretch.
 *
 * Where nothing was logged round an access point, its own zone holds as far as the next zone, wall or
 * property line. An indoor zone needs such a limit: nothing else says where the building ends.
 */
export function readZones(
  axes: readonly RunAxis[],
  accessPoints: readonly AccessPoint[],
  reached: readonly Interval[],
  features: readonly Feature[],
  settings: Settings,
): ZonePiece[] {
  const same = (a: Zone, b: Zone) => a === b;
  const marks = readMarks(axes, 'zone', (entry) => entry.zone, same, settings);
  const logged: ZonePiece[] = reached.flatMap((reach) =>
    partition(marks, reach, same).pieces.map(({ fromFt, toFt, value }) => ({
      fromFt,
      toFt,
      value,
    })),
  );
  const limits = features
    .filter(({ feature }) => feature === 'wall' || feature === 'property-line')
    .map(({ stationFt }) => stationFt);
  const openings = new Map(axes.map((axis) => [axis.run.accessPointId, axis.originFt]));
  const carried = accessPoints
    .filter((access) => openings.has(access.id))
    .reduce(
      (pieces, access) =>
        pieces.flatMap((piece) => {
          const isBounded = pieces.some(
            (next) => next.value !== null && next.fromFt === piece.toFt,
          );
          return carryZone(piece, openings.get(access.id)!, access.zone, limits, isBounded);
        }),
      logged,
    );
  return joinAlike(carried);
}

/** Neighbours that say the same are one: two runs from one access both name the ground over it. */
function joinAlike(pieces: readonly ZonePiece[]): ZonePiece[] {
  const joined: ZonePiece[] = [];
  for (const piece of pieces) {
    const last = joined.at(-1);
    if (last && last.value === piece.value && last.toFt === piece.fromFt) {
      joined[joined.length - 1] = { ...last, toFt: piece.toFt };
    } else joined.push(piece);
  }
  return joined;
}

function carryZone(
  piece: ZonePiece,
  openingFt: number,
  zone: Zone,
  limits: readonly number[],
  isBounded: boolean,
): ZonePiece[] {
  const holds = openingFt >= piece.fromFt - 1e-9 && openingFt <= piece.toFt + 1e-9;
  if (piece.value !== null || !holds) return [piece];
  const upFt = Math.max(piece.fromFt, ...limits.filter((limit) => limit <= openingFt));
  const downFt = Math.min(piece.toFt, ...limits.filter((limit) => limit > openingFt));
  const isLimited = isBounded || limits.some((limit) => limit > openingFt && limit <= piece.toFt);
  if (INDOOR_ZONES.includes(zone) && !isLimited) return [piece];
  const parts: ZonePiece[] = [
    { fromFt: piece.fromFt, toFt: upFt, value: null },
    { fromFt: upFt, toFt: downFt, value: zone },
    { fromFt: downFt, toFt: piece.toFt, value: null },
  ];
  return parts.filter((part) => part.toFt - part.fromFt > 1e-9);
}

/** What the pipe hangs in or lies under: three different jobs. Pavement is open ground at another price. */
export type Ground = 'hung' | 'slab' | 'open';

/** The ground of a zone; open where nobody said. */
export function groundOf(zone: Zone | null): Ground {
  if (zone === 'crawlspace' || zone === 'basement') return 'hung';
  return zone === 'under-house' ? 'slab' : 'open';
}
