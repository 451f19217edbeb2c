import { clamp } from '../base/numbers';
import type { MethodId } from '../catalogue/method-ids';
import type { Assessment } from '../judge/assessment';
import { listCleanouts } from '../lateral/cleanouts';
import type { Lateral } from '../lateral/lateral';

/** The least cleanout that a cutter or a hose is worked through, inches. */
const LEAST_IN = 3;
/** A new cleanout stands this far outside the wall, feet. */
const OUTSIDE_FT = 2;

/** Where tools get into a line, and what must be fitted or raised there first. */
export type WayIn = {
  /** Feet from the line's own zero. */
  readonly stationFt: number;
  /** For a sentence: "access B", "the new cleanout". */
  readonly name: string;
  /** What makes it usable; `null` where it is. */
  readonly opener: Extract<MethodId, 'cleanout' | 'raise-riser'> | null;
};

const startOf = ({ segments, reached }: Lateral) => segments[0]?.fromFt ?? reached[0]?.fromFt ?? 0;
const endOf = ({ segments, reached }: Lateral) =>
  segments.at(-1)?.toFt ?? reached.at(-1)?.toFt ?? 0;

/** Where a new cleanout would stand: outside the wall where there is one, else where the line begins. */
function newCleanoutFt(lateral: Lateral): number {
  const wall = lateral.features.find(
    ({ feature, isPlaceUnsaid }) => feature === 'wall' && !isPlaceUnsaid,
  );
  const atFt = wall ? wall.stationFt + OUTSIDE_FT : startOf(lateral);
  return clamp(atFt, startOf(lateral), Math.max(startOf(lateral), endOf(lateral)));
}

/** Whether a buried cleanout or riser was found from above. */
const isBuriedSeen = ({ logs }: Assessment) =>
  [...logs.values()].some(({ standing }) =>
    standing.some((entry) => entry.kind === 'surface' && entry.what === 'buried-cleanout'),
  );

/** How a cutter or a hose gets into a line: the one owner of that fact. */
export function wayInto(assessment: Assessment, lateral: Lateral): WayIn {
  const { inspection, branches, lateral: house } = assessment;
  const found = listCleanouts(inspection, [house, ...branches]).filter(
    ({ lineId }) => lineId === lateral.lineId || (lineId === null && lateral === house),
  );
  const isWide = ({ diameterIn }: { diameterIn: number | null }) =>
    diameterIn === null || diameterIn >= LEAST_IN;
  const by = (state: 'usable' | 'buried') =>
    found
      .filter((one) => one.state === state && isWide(one))
      .map(({ name, stationFt }) => ({ name, stationFt: stationFt ?? startOf(lateral) }))
      .toSorted((a, b) => a.stationFt - b.stationFt)[0];
  const usable = by('usable');
  if (usable) return { ...usable, opener: null };
  const buried = by('buried');
  if (buried) return { ...buried, opener: 'raise-riser' };
  const isRaised = lateral === house && isBuriedSeen(assessment);
  return {
    stationFt: newCleanoutFt(lateral),
    name: isRaised ? 'the raised cleanout' : 'the new cleanout',
    opener: isRaised ? 'raise-riser' : 'cleanout',
  };
}
