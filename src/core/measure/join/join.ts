import { TOLERANCES } from '../../base/tolerances';
import type { Span, Tie } from '../../model/job/inspection';
import type { RunAxis, RunOrigin } from '../placement';
import { type Fit, fitNetwork, originOf, placeTie } from './fit';
import { type Misfit, type Tested, testLinks } from './misfits';
import type { Link, Network, Reference, SpanLink, TieLink, TieSighting } from './network';

/** A sighting of a tie with how far it lies from the tie's station, feet. */
export type PlacedSighting = TieSighting & { readonly residualFt: number };

/** How a tie stands among the others. */
export type TieStanding = 'fits' | 'misfit' | 'unchecked';

/** A tie with its station; `null` when none of its runs is joined to the reference. */
export type PlacedTie = {
  readonly id: string;
  readonly label: string;
  readonly stationFt: number | null;
  readonly sigmaFt: number | null;
  readonly standing: TieStanding;
  readonly sightings: readonly PlacedSighting[];
};

/** All runs of one line joined. */
export type LineJoin = {
  readonly ties: readonly PlacedTie[];
  readonly misfits: readonly Misfit[];
  /** Ties and spans that alone hold a run. */
  readonly unchecked: readonly Link[];
  /** Runs whose counter would have to be wrong by more than a counter's slip. */
  readonly strained: readonly {
    readonly runId: string;
    readonly name: string;
    readonly scale: number;
  }[];
  readonly originOf: (runId: string) => RunOrigin | null;
  /** The tie that a standing entry is a sighting of. */
  readonly tieOfEntry: (runId: string, entryId: string) => PlacedTie | null;
};

/**
 * Joins the runs of one line by what they saw in common and by taped distances.
 *
 * @param axes the runs on their own axes, not yet placed.
 * @param reference whose access is station 0 and whose counter is the measure.
 */
export function joinRuns(
  axes: readonly RunAxis[],
  reference: Reference,
  links: readonly Link[],
): LineJoin {
  const runs = new Map(axes.map((axis) => [axis.run.id, axis]));
  const network: Network = { runs, reference, links };
  const fit = fitNetwork(network);
  const tested = testLinks(fit);
  const placed = network.links.flatMap((link) =>
    link.kind === 'tie' ? [placeOne(fit, tested, link)] : [],
  );
  const byEntry = new Map<string, PlacedTie>();
  for (const tie of placed) {
    for (const { runId, entryId } of tie.sightings) {
      if (!byEntry.has(entryKey(runId, entryId))) byEntry.set(entryKey(runId, entryId), tie);
    }
  }
  const origins = new Map(axes.map((axis) => [axis.run.id, originOf(fit, axis)]));
  return {
    ties: placed,
    misfits: tested.misfits,
    unchecked: [...tested.unchecked],
    strained: axes.flatMap(({ run, name }) => {
      const origin = origins.get(run.id);
      const isStrained = origin && Math.abs(origin.scale - 1) > TOLERANCES.scaleMisfit;
      return isStrained ? [{ runId: run.id, name, scale: origin.scale }] : [];
    }),
    originOf: (runId) => origins.get(runId) ?? null,
    tieOfEntry: (runId, entryId) => byEntry.get(entryKey(runId, entryId)) ?? null,
  };
}

const entryKey = (runId: string, entryId: string) => `${runId}\u0000${entryId}`;

/** What links the runs of one line: the ties that two of them stand in, and tapes between their accesses. */
export function linksOf(
  axes: readonly RunAxis[],
  ties: readonly Tie[],
  spans: readonly Span[],
): Link[] {
  const runs = new Map(axes.map((axis) => [axis.run.id, axis]));
  const names = new Map([...runs.values()].map(({ run, from }) => [run.accessPointId, from]));
  return [
    ...ties.flatMap((tie): TieLink[] => {
      const sightings = sightingsOf(runs, tie);
      return sightings.length < 2 ? [] : [{ kind: 'tie', id: tie.id, label: tie.label, sightings }];
    }),
    ...spans.flatMap((span, index): SpanLink[] => {
      const { fromAccessPointId: fromAccessId, toAccessPointId: toAccessId, alongFt } = span;
      // A tape between accesses of which this line has no run says nothing of this line.
      const [fromName, toName] = [names.get(fromAccessId), names.get(toAccessId)];
      if (fromName === undefined || toName === undefined) return [];
      if (fromAccessId === toAccessId) return [];
      const sigmaFt = TOLERANCES.spanSigmaFt + TOLERANCES.spanSigmaRatio * Math.abs(alongFt);
      const id = `span-${index + 1}`;
      return [{ kind: 'span', id, fromAccessId, toAccessId, fromName, toName, alongFt, sigmaFt }];
    }),
  ];
}

/** The sightings of a tie that stand on this line; corrections are followed, what was taken back is left out. */
function sightingsOf(runs: ReadonlyMap<string, RunAxis>, tie: Tie): TieSighting[] {
  const seen = new Set<string>();
  return tie.sightings.flatMap(({ runId, entryId: namedEntryId }): TieSighting[] => {
    const axis = runs.get(runId);
    const heirs = axis?.log.heirsOf(namedEntryId) ?? [];
    const entry = heirs.find(({ readingFt }) => readingFt !== null) ?? heirs[0];
    if (!axis || !entry || seen.has(entryKey(runId, entry.id))) return [];
    seen.add(entryKey(runId, entry.id));
    const { from, to } = axis.placeOfEntry(entry);
    return [
      {
        runId,
        entryId: entry.id,
        namedEntryId,
        alongFt: (from.alongFt + to.alongFt) / 2,
        sigmaFt: from.readingSigmaFt + Math.abs(to.alongFt - from.alongFt) / 2,
      },
    ];
  });
}

function placeOne(fit: Fit, tested: Tested, tie: TieLink): PlacedTie {
  const { id, label, sightings } = tie;
  if (!fit.reached.has(fit.network.runs.get(sightings[0]!.runId)!.run.accessPointId)) {
    return {
      id,
      label,
      stationFt: null,
      sigmaFt: null,
      standing: 'unchecked',
      sightings: sightings.map((one) => ({ ...one, residualFt: 0 })),
    };
  }
  const { stationFt, sigmaFt, residualsFt } = placeTie(fit, tie);
  const isMisfit = tested.misfits.some(({ links }) => links.includes(tie));
  return {
    id,
    label,
    stationFt,
    sigmaFt,
    standing: isMisfit ? 'misfit' : tested.unchecked.has(tie) ? 'unchecked' : 'fits',
    sightings: sightings.map((one, index) => ({ ...one, residualFt: residualsFt[index]! })),
  };
}
