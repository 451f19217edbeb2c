import { sayFt } from '../../base/numbers';
import { TOLERANCES } from '../../base/tolerances';
import type { Settings } from '../../model/job/settings';
import { sayEntry } from '../../model/log/say-entry';
import { mergeSightings } from '../merge';
import { mostTrusted } from '../place-group';
import type { RunAxis } from '../placement';
import { pointSighting, type Sighting } from '../sighting';
import { isSameKindOfThing, thingOf } from './things';

/** A tie that Chert offers, with why. */
export type TieSuggestion = {
  /** Names the two things, so that a suggestion that was dropped stays dropped. */
  readonly key: string;
  readonly label: string;
  readonly sightings: readonly { readonly runId: string; readonly entryId: string }[];
  /** A tie that one of the two has part in already, to which the other would be added. */
  readonly tieId: string | null;
  /** How many things of the two runs line up, this one among them. */
  readonly matches: number;
  /** How far apart the two lie when all that line up are laid on one another, feet. */
  readonly offFt: number;
  readonly evidence: string;
};

type Thing = Sighting & { readonly alongFt: number };
type Pair = { readonly a: Thing; readonly b: Thing; readonly offFt: number };
type Hypothesis = {
  readonly originFt: number;
  readonly pairs: readonly Pair[];
  readonly score: number;
};

/** A thing that one run saw and the other, which passed there, did not, speaks this much against. */
const UNSEEN_COST = 0.35;
/** So near the ends of its way a run may or may not have passed a thing. */
const NEAR_END_FT = 2;
/** The best way to lay two runs together must beat any other by this much. */
const CLEAR_LEAD = 0.6;
/** There is only one of these on a line: a single one is enough to go by. */
const ONLY_ONE = /^feature (property-line|property-line-cleanout|wall|main-tap|tank|trap)$/;

/**
 * Finds things that two runs of a line both saw and that are not tied yet.
 *
 * Every pair of like things says where the second run's access would lie; the place that brings most
 * things together wins if no other comes near it (a vote over all pairs, so that things seen by one
 * run only do no harm). Runs that are joined already are matched where they lie.
 */
export function suggestTies(
  axes: readonly RunAxis[],
  settings: Settings,
  dropped: ReadonlySet<string>,
): TieSuggestion[] {
  const things = new Map(axes.map((axis) => [axis, thingsOf(axis, settings)]));
  return axes.flatMap((first, index) =>
    axes.slice(index + 1).flatMap((second) => {
      const best = bestOf(things.get(first)!, things.get(second)!, first, second);
      if (!best) return [];
      return best.pairs
        .filter(({ a, b }) => !isTied(a, b))
        .map((pair) => suggest(pair, best))
        .filter(({ key }) => !dropped.has(key));
    }),
  );
}

/** What a run saw that another may know again, each thing once. */
function thingsOf(axis: RunAxis, settings: Settings): Thing[] {
  const seen = axis.log.standing.flatMap((entry): Thing[] => {
    const isThing = entry.kind === 'feature' || entry.kind === 'material';
    if (!isThing || entry.readingFt === null) return [];
    const sighting = pointSighting(axis, entry);
    return sighting.alongFt < 0 ? [] : [sighting];
  });
  const groups = mergeSightings(seen, settings.mergeFt, (a, b) =>
    isSameKindOfThing(axis, entryOf(a), axis, entryOf(b)),
  );
  return groups
    .map((group) => mostTrusted(group, settings.trustPass))
    .sort((a, b) => a.alongFt - b.alongFt);
}

const entryOf = ({ axis, entryId }: Sighting) => axis.log.byId.get(entryId)!;

/** Feet along the pipe of a thing on its run's own axis, positive downstream of its access. */
const ownFt = ({ axis, alongFt }: Thing) => axis.direction * alongFt;

/** σ of the distance between two things of two runs laid together, feet; readings only. */
const sigmaOf = (a: Thing, b: Thing) => Math.hypot(a.readingSigmaFt, b.readingSigmaFt);

function bestOf(
  ofFirst: readonly Thing[],
  ofSecond: readonly Thing[],
  first: RunAxis,
  second: RunAxis,
): Hypothesis | null {
  const isOneAccess = first.run.accessPointId === second.run.accessPointId;
  if (isOneAccess || (first.placed && second.placed)) {
    const apartFt = isOneAccess ? 0 : second.originFt - first.originFt;
    const here = matchAt(ofFirst, ofSecond, first, second, apartFt);
    return here.pairs.length > 0 ? here : null;
  }
  const tried: Hypothesis[] = [];
  for (const a of ofFirst) {
    for (const b of ofSecond) {
      if (!isAlike(a, b)) continue;
      tried.push(matchAt(ofFirst, ofSecond, first, second, ownFt(a) - ownFt(b)));
    }
  }
  tried.sort((x, y) => y.score - x.score);
  const best = tried[0];
  if (!best) return null;
  const isElsewhere = ({ originFt }: Hypothesis) =>
    Math.abs(originFt - best.originFt) > TOLERANCES.misfitSigmas;
  const rival = tried.find(isElsewhere)?.score ?? 0;
  const isEnough =
    best.pairs.length >= 2 || best.pairs.some(({ a }) => ONLY_ONE.test(thingOf(entryOf(a)) ?? ''));
  return isEnough && best.score - Math.max(0, rival) >= CLEAR_LEAD ? best : null;
}

const isAlike = (a: Thing, b: Thing) => isSameKindOfThing(a.axis, entryOf(a), b.axis, entryOf(b));

/** Lays the second run with its access `originFt` from the first's and sees what comes together. */
function matchAt(
  ofFirst: readonly Thing[],
  ofSecond: readonly Thing[],
  first: RunAxis,
  second: RunAxis,
  originFt: number,
): Hypothesis {
  const candidates = ofFirst.flatMap((a) =>
    ofSecond.flatMap((b): (Pair & { sigmas: number })[] => {
      const offFt = ownFt(a) - ownFt(b) - originFt;
      const sigmas = Math.abs(offFt) / sigmaOf(a, b);
      return sigmas <= TOLERANCES.misfitSigmas && isAlike(a, b) ? [{ a, b, offFt, sigmas }] : [];
    }),
  );
  candidates.sort((x, y) => x.sigmas - y.sigmas);
  const taken = new Set<Thing>();
  const pairs = candidates.filter(({ a, b }) => {
    if (taken.has(a) || taken.has(b)) return false;
    taken.add(a).add(b);
    return true;
  });
  const lonely = (things: readonly Thing[], other: RunAxis, shiftFt: number) =>
    things.filter((thing) => {
      const alongFt = other.direction * (ownFt(thing) + shiftFt);
      const isPassed = alongFt > NEAR_END_FT && alongFt < other.reachFt - NEAR_END_FT;
      return isPassed && !taken.has(thing);
    }).length;
  const missed = lonely(ofFirst, second, -originFt) + lonely(ofSecond, first, originFt);
  const votes = pairs.reduce(
    (sum, { sigmas }) => sum + 1 - (sigmas / TOLERANCES.misfitSigmas) ** 2,
    0,
  );
  const middleFt = pairs.reduce((sum, { offFt }) => sum + offFt, 0) / Math.max(1, pairs.length);
  return {
    originFt: originFt + middleFt,
    pairs: pairs.map(({ a, b, offFt }) => ({ a, b, offFt: offFt - middleFt })),
    score: votes - UNSEEN_COST * missed,
  };
}

function isTied(a: Thing, b: Thing): boolean {
  const [tieA, tieB] = [a.axis.words.tieOf(a.entryId), b.axis.words.tieOf(b.entryId)];
  return tieA !== null && tieB !== null;
}

function suggest({ a, b, offFt }: Pair, { pairs }: Hypothesis): TieSuggestion {
  const rootOf = ({ axis, entryId }: Thing) => `${axis.run.id} ${axis.log.rootOf(entryId)}`;
  const tie = a.axis.words.tieOf(a.entryId) ?? b.axis.words.tieOf(b.entryId);
  const label = sayEntry(entryOf(a)).title;
  const worstFt = Math.max(...pairs.map((pair) => Math.abs(pair.offFt)));
  const others = pairs.length - 1;
  return {
    key: [rootOf(a), rootOf(b)].sort().join(' = '),
    label,
    sightings: [a, b].map(({ axis, entryId }) => ({ runId: axis.run.id, entryId })),
    tieId: tie?.id ?? null,
    matches: pairs.length,
    offFt,
    evidence:
      others === 0
        ? 'The only one of its kind in both runs; nothing else lines up with it.'
        : `${others} other ${others === 1 ? 'thing of both runs lines' : 'things of both runs line'} up with it, all within ${sayFt(Math.max(0.1, worstFt))} ft.`,
  };
}
