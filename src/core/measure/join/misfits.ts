import { TOLERANCES } from '../../base/tolerances';
import type { Remedy, RunAlternative } from './causes/cause';
import { RUN_CAUSES, SIGHTING_CAUSES } from './causes/index';
import { type Fit, fitNetwork, fitWithout, type Surprise, surpriseOf } from './fit';
import { type Link, type Network, reachAccesses, type TieLink } from './network';

/** One thing that would make a misfit fit. */
export type Explanation = {
  readonly cause: string;
  readonly text: string;
  readonly remedy: Remedy;
  /** How far from fitting it would still be, in σ. */
  readonly ratio: number;
};

/** Links that do not fit the rest. */
export type Misfit = {
  /** The culprit; several when the rest cannot tell which of them it is. */
  readonly links: readonly Link[];
  /** How far the worst of them lies from where the others put it, feet, and σ of that. */
  readonly offFt: number;
  readonly sigmaFt: number;
  readonly explanations: readonly Explanation[];
};

/** What testing every link found. */
export type Tested = {
  readonly misfits: readonly Misfit[];
  /** Links that alone hold a run: nothing else can say whether they are right. */
  readonly unchecked: ReadonlySet<Link>;
};

/** Links whose surprises differ by less than this share cannot be told apart. */
const ALIKE_RATIO = 0.97;
/** An explanation must bring the link this near to the others, in σ. */
const EXPLAINED_SIGMAS = 2;
const MOST_EXPLANATIONS = 4;

/**
 * Tests each link against a fit of all the others; the worst is named and set aside, and the rest are
 * tested again, so that one bad tie does not make good ones look bad.
 */
export function testLinks(fit: Fit): Tested {
  const unchecked = listUnchecked(fit.network, fit.links);
  const misfits: Misfit[] = [];
  let rest = fit;
  for (let round = 0; round < fit.links.length; round += 1) {
    const worst = worstOf(rest);
    if (worst.length === 0) break;
    const [first] = worst;
    misfits.push({
      links: worst.map(({ link }) => link),
      offFt: first!.surprise.offFt,
      sigmaFt: first!.surprise.sigmaFt,
      explanations: worst.flatMap(({ link }) =>
        link.kind === 'tie' ? explainSightings(rest, link) : [],
      ),
    });
    const aside = new Set(worst.map(({ link }) => link));
    rest = fitNetwork({ ...fit.network, links: rest.links.filter((link) => !aside.has(link)) });
  }
  if (misfits.length === 0) return { misfits, unchecked };
  return { misfits: explainRuns(fit, misfits), unchecked };
}

type Tried = { readonly link: Link; readonly surprise: Surprise };

/** The links that fit worst, all those that cannot be told apart; empty when every link fits. */
function worstOf(fit: Fit): Tried[] {
  const unchecked = listUnchecked(fit.network, fit.links);
  const tried = fit.links
    .filter((link) => !unchecked.has(link))
    .map((link): Tried => ({ link, surprise: surpriseOf(fitWithout(fit, link), link) }))
    .sort((a, b) => b.surprise.ratio - a.surprise.ratio);
  const worst = tried[0]?.surprise.ratio ?? 0;
  if (worst <= TOLERANCES.misfitSigmas) return [];
  return tried.filter(({ surprise }) => surprise.ratio >= ALIKE_RATIO * worst);
}

/** The links without which some run would have no place on the line. */
function listUnchecked(network: Network, links: readonly Link[]): Set<Link> {
  const held = { ...network, links };
  const whole = reachAccesses(held).size;
  const joins = (link: Link) =>
    link.kind === 'span'
      ? [link.fromAccessId, link.toAccessId]
      : link.sightings.map(({ runId }) => network.runs.get(runId)!.run.accessPointId);
  const keyOf = (link: Link) => [...new Set(joins(link))].sort().join('\u0000');
  const alike = new Map<string, number>();
  for (const link of links) alike.set(keyOf(link), (alike.get(keyOf(link)) ?? 0) + 1);
  return new Set(
    links.filter(
      // Where another link joins the very same accesses, this one is not alone.
      (link) => alike.get(keyOf(link)) === 1 && reachAccesses(held, link).size < whole,
    ),
  );
}

/** What one sighting of a tie could have been, so that the tie would fit all the others. */
function explainSightings(fit: Fit, tie: TieLink): Explanation[] {
  const without = fitWithout(fit, tie);
  const seen = tie.sightings.map(({ runId, entryId }) => {
    const axis = fit.network.runs.get(runId)!;
    return { axis, entry: axis.log.byId.get(entryId)! };
  });
  return tie.sightings.flatMap((sighting, index) => {
    const { axis, entry } = seen[index]!;
    const partners = seen.filter((_, at) => at !== index);
    return SIGHTING_CAUSES.flatMap(({ cause, alternatives }) =>
      alternatives(axis, entry, partners)
        .map(({ text, remedy, alongFt, sigmaFt }): Explanation => {
          const sightings = tie.sightings.with(index, { ...sighting, alongFt, sigmaFt });
          const { ratio } = surpriseOf(without, { ...tie, sightings });
          return { cause, text, remedy, ratio };
        })
        .filter(({ ratio }) => ratio <= EXPLAINED_SIGMAS)
        .sort((a, b) => a.ratio - b.ratio)
        .slice(0, 1),
    );
  });
}

/** Adds what a whole run could have been, where that alone would make every link fit. */
function explainRuns({ network, links }: Fit, misfits: readonly Misfit[]): Misfit[] {
  return misfits.map((misfit) => {
    const runIds = new Set(
      misfit.links.flatMap((link) =>
        link.kind === 'tie' ? link.sightings.map(({ runId }) => runId) : [],
      ),
    );
    const whole = [...network.runs.values()]
      .filter(({ run }) => runIds.has(run.id) && run.id !== network.reference.runId)
      .flatMap((axis) =>
        RUN_CAUSES.flatMap(({ cause, alternative }): Explanation[] => {
          const told = tryRun(alternative(network, axis), links.length);
          return told ? [{ cause, ratio: 0, ...told }] : [];
        }),
      );
    return {
      ...misfit,
      explanations: [...whole, ...misfit.explanations].slice(0, MOST_EXPLANATIONS),
    };
  });
}

/** Fits a run as it could have been; it must hold as many links as before, and all of them must fit. */
function tryRun(alternative: RunAlternative | null, linkCount: number) {
  if (!alternative) return null;
  const fit = fitNetwork(alternative.network);
  if (fit.links.length < linkCount || worstOf(fit).length > 0) return null;
  return alternative.tell((accessId) => {
    const at = fit.unknowns.originAt.get(accessId);
    if (at !== undefined) return fit.values[at]!;
    return accessId === alternative.network.reference.accessId ? 0 : null;
  });
}
