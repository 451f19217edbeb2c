import { type Place, type Travel, travelMin } from '../office/travel';

/** Something to be done on a day. Minutes count from midnight. */
export type Stop = {
  readonly id: string;
  readonly lengthMin: number;
  /** It begins no earlier and no later; both the same: at that very time. */
  readonly fromMin: number;
  readonly toMin: number;
  readonly place: Place | null;
};

export type WorkDay = {
  readonly startMin: number;
  /** Where the day begins and ends; `null`: at the first stop and the last. */
  readonly home: Place | null;
};

export type DayOrder = {
  readonly stops: readonly { readonly id: string; readonly beginMin: number }[];
  /** When the last is done and the way home is driven. */
  readonly endMin: number;
};

/** Beyond this many every order is too many to be weighed one by one. */
export const MOST_STOPS = 12;

/**
 * The order in which a day is done soonest, each stop begun within its times: exact, by the dynamic program over
 * subsets of Held and Karp (*A dynamic programming approach to sequencing problems*, 1962). It is exact because to
 * arrive earlier never makes a later stop later.
 *
 * @param stops at most `MOST_STOPS`; more throws.
 * @returns `null` where no order keeps all times.
 */
export function orderDay(
  stops: readonly Stop[],
  { startMin, home }: WorkDay,
  travel: Travel,
): DayOrder | null {
  const count = stops.length;
  if (count > MOST_STOPS)
    throw new RangeError(`expected at most ${MOST_STOPS} stops, got ${count}`);
  if (count === 0) return { stops: [], endMin: startMin };
  const fromHome = stops.map(({ place }) => (home ? travelMin(home, place, travel) : 0));
  const ways = stops.map((a) => stops.map((b) => travelMin(a.place, b.place, travel)));
  const sets = 1 << count;
  // When the last of a set is done at the soonest, by set and last stop.
  const done = new Float64Array(sets * count).fill(Infinity);
  const before = new Int8Array(sets * count).fill(-1);
  const finish = (at: number, arriveMin: number) => {
    const { fromMin, toMin, lengthMin } = stops[at]!;
    const beginMin = Math.max(arriveMin, fromMin);
    return beginMin > toMin ? Infinity : beginMin + lengthMin;
  };
  for (let at = 0; at < count; at += 1)
    done[(1 << at) * count + at] = finish(at, startMin + fromHome[at]!);
  for (let set = 1; set < sets; set += 1)
    for (let last = 0; last < count; last += 1) {
      const soonest = done[set * count + last]!;
      if (soonest === Infinity) continue;
      for (let next = 0; next < count; next += 1) {
        if ((set >> next) & 1) continue;
        const at = (set | (1 << next)) * count + next;
        const then = finish(next, soonest + ways[last]![next]!);
        if (then >= done[at]!) continue;
        done[at] = then;
        before[at] = last;
      }
    }
  const all = sets - 1;
  const ends = stops.map((_, last) => done[all * count + last]! + fromHome[last]!);
  const endMin = Math.min(...ends);
  if (endMin === Infinity) return null;
  const order: { id: string; beginMin: number }[] = [];
  let [set, last] = [all, ends.indexOf(endMin)];
  while (last >= 0) {
    const { id, lengthMin } = stops[last]!;
    order.unshift({ id, beginMin: done[set * count + last]! - lengthMin });
    const next = before[set * count + last]!;
    set ^= 1 << last;
    last = next;
  }
  return { stops: order, endMin };
}
