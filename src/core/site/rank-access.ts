import { sayIn } from '../base/numbers';
import { accessOf } from '../catalogue/access/kinds';
import { type AccessPoint, type AlongLine } from '../model/job/access-point';
import type { Equipment, Head } from './equipment';
import { estimateReach, type Leg, type Reach } from './reach';

/** One access point in the order Chert would try them. */
export type RankedAccess = {
  readonly access: AccessPoint;
  /** `used` once a run was made from it, `refused` when it is not usable. */
  readonly state: 'used' | 'open' | 'refused';
  /** Why it stands where it stands, most telling first. */
  readonly reasons: readonly string[];
  /** What a run from here would leave unseen. */
  readonly leaves: string;
  readonly reach: Reach;
  /** The largest head that goes in with room to pull back; `null` when none does. */
  readonly head: Head | null;
};

/** Room that a head needs to pass a fitting and come back, inches. */
const HEAD_ROOM_IN = 0.75;
/** What a bend costs in the order, per 90 degrees; a thing in the way costs the same. */
const BEND_COST = 0.8;
const OBSTACLE_COST = 1.5;
const NO_HEAD_COST = 20;

const LEAVES: Readonly<Record<AlongLine | 'unknown', string>> = {
  'house-end': 'sees the whole line downstream of it; the drain above it stays unseen',
  along: 'needs a run each way; a one-way fitting leaves the other side unseen',
  'near-street': 'leaves the line toward the house unseen unless a run faces upstream',
  unknown: 'what it leaves unseen is known once its place on the line is',
};

/** The way in from an access: its drop, then its bends. */
export function wayIn(access: AccessPoint): Leg[] {
  const { material, dropFt = 0, bendsDeg = [] } = access;
  const drop: Leg[] = dropFt > 0 ? [{ kind: 'straight', lengthFt: dropFt, material }] : [];
  return [...drop, ...bendsDeg.map((angleDeg): Leg => ({ kind: 'bend', angleDeg, material }))];
}

/** The largest head that fits an access with room to pull back; `null` when none does. */
export function headFor(access: AccessPoint, heads: readonly Head[]): Head | null {
  const fits = heads.filter(({ diameterIn }) => diameterIn + HEAD_ROOM_IN <= access.diameterIn);
  return fits.sort((a, b) => b.diameterIn - a.diameterIn)[0] ?? null;
}

function rankOne(
  access: AccessPoint,
  equipment: Equipment,
  isUsed: boolean,
): RankedAccess & { cost: number } {
  const { kind, diameterIn, bendsDeg = [], obstacle, usable } = access;
  const head = headFor(access, equipment.heads);
  const turnDeg = bendsDeg.reduce((sum, angle) => sum + angle, 0);
  const reach = estimateReach(wayIn(access), equipment, false);
  const state = isUsed ? 'used' : usable ? 'open' : 'refused';
  const largest = equipment.heads.reduce((most, one) => Math.max(most, one.diameterIn), 0);
  const reasons = [
    ...(state === 'refused' ? [`refused: ${obstacle ?? 'no reason given'}`] : []),
    ...(head === null ? [`no head fits ${sayIn(diameterIn)} in with room to pull back`] : []),
    accessOf(kind).why,
    ...(head && head.diameterIn < largest
      ? [`takes only the ${head.name} (${sayIn(diameterIn)} in opening)`]
      : []),
    ...(bendsDeg.length > 0
      ? [
          `${bendsDeg.length} ${bendsDeg.length === 1 ? 'bend' : 'bends'} on the way in, ${turnDeg}° in all`,
        ]
      : []),
    ...(state !== 'refused' && obstacle ? [`in the way: ${obstacle}`] : []),
  ];
  const cost =
    accessOf(kind).order +
    (turnDeg / 90) * BEND_COST +
    (obstacle ? OBSTACLE_COST : 0) +
    (head === null ? NO_HEAD_COST : 0) +
    (state === 'refused' ? 100 : 0);
  return {
    access,
    state,
    reasons,
    leaves: LEAVES[access.alongLine ?? 'unknown'],
    reach,
    head,
    cost,
  };
}

/**
 * Access points in the order Chert would try them: kind, head against bore, bends, what is in the way;
 * refused ones last. Equal ones keep the order they were entered in.
 *
 * @param usedIds access points that a run was made from.
 */
export function rankAccess(
  accessPoints: readonly AccessPoint[],
  equipment: Equipment,
  usedIds: ReadonlySet<string>,
): RankedAccess[] {
  return accessPoints
    .map((access) => rankOne(access, equipment, usedIds.has(access.id)))
    .sort((a, b) => a.cost - b.cost)
    .map(({ cost: _cost, ...ranked }) => ranked);
}
