import type { Tie } from '../../model/job/inspection';
import type { PlacedTie } from './join';

/** A thing of a run: a standing entry. */
export type Spot = { readonly runId: string; readonly entryId: string };

/** Ties as they stand now: each sighting by the entry that corrections have made of it. */
export function standingTies(
  ties: readonly Tie[],
  placed: readonly Pick<PlacedTie, 'id' | 'sightings'>[],
): Tie[] {
  const now = new Map(placed.map(({ id, sightings }) => [id, sightings]));
  return ties.map((tie) => {
    const sightings = now.get(tie.id)?.map(({ runId, entryId }) => ({ runId, entryId }));
    return sightings ? { ...tie, sightings } : tie;
  });
}

const isSpot = (a: Spot, b: Spot) => a.runId === b.runId && a.entryId === b.entryId;
/** The tie that a thing is a sighting of. */
export const holding = (ties: readonly Tie[], spot: Spot) =>
  ties.find(({ sightings }) => sightings.some((one) => isSpot(one, spot)));

/** A name for a new tie that no other has: T1, T2 … */
function freeTieId(ties: readonly Tie[]): string {
  const taken = new Set(ties.map(({ id }) => id));
  let index = 1;
  while (taken.has(`T${index}`)) index += 1;
  return `T${index}`;
}

/** What tying one thing to another comes to, or why the two cannot be tied. */
export type Tying =
  | { readonly ok: true; readonly tie: Tie; readonly said: string }
  | { readonly ok: false; readonly why: string };

/**
 * Ties one thing to another: a new tie, one more sighting of a tie there is, or, on one run, the tie of
 * the first moved to the second. Entries are named as they stand.
 */
export function tieSpots(ties: readonly Tie[], from: Spot, to: Spot, label: string): Tying {
  const [ofFrom, ofTo] = [holding(ties, from), holding(ties, to)];
  if (from.runId === to.runId) {
    const tie = ofFrom ?? ofTo;
    if (!tie || (ofFrom && ofTo)) {
      return {
        ok: false,
        why: 'Both are on one run. Tie a thing to the same thing on another run.',
      };
    }
    const [old, fresh] = ofFrom ? [from, to] : [to, from];
    const sightings = tie.sightings.map((one) => (isSpot(one, old) ? fresh : one));
    return { ok: true, tie: { ...tie, sightings }, said: `${tie.id} moved.` };
  }
  if (ofFrom && ofTo) {
    return ofFrom === ofTo
      ? { ok: false, why: `${ofFrom.id} ties these two already.` }
      : {
          ok: false,
          why: `They are tied already, by ${ofFrom.id} and ${ofTo.id}. Drop one first.`,
        };
  }
  const tie = ofFrom ?? ofTo;
  if (!tie) {
    const id = freeTieId(ties);
    return { ok: true, tie: { id, label, sightings: [from, to] }, said: `${id} added.` };
  }
  const fresh = ofFrom ? to : from;
  const others = tie.sightings.filter(({ runId }) => runId !== fresh.runId);
  return {
    ok: true,
    tie: { ...tie, sightings: [...others, fresh] },
    said: `${tie.id} holds one sighting more.`,
  };
}
