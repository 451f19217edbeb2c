import { TOLERANCES } from '../../base/tolerances';
import type { RunAxis } from '../placement';
import { addOuter, zeros } from './cholesky';

/** One sighting of a tied thing: how far along its run it was read. */
export type TieSighting = {
  readonly runId: string;
  /** The entry that stands now for the one the tie names. */
  readonly entryId: string;
  /** The entry that the tie names; the same unless it was corrected. */
  readonly namedEntryId: string;
  readonly alongFt: number;
  /** σ of the reading alone, feet. */
  readonly sigmaFt: number;
};

/** One thing seen at two places of the log or more, on one line. */
export type TieLink = {
  readonly kind: 'tie';
  readonly id: string;
  readonly label: string;
  readonly sightings: readonly TieSighting[];
};

/** A taped distance between two accesses of one line. */
export type SpanLink = {
  readonly kind: 'span';
  readonly id: string;
  readonly fromAccessId: string;
  readonly toAccessId: string;
  /** Both as people call them. */
  readonly fromName: string;
  readonly toName: string;
  readonly alongFt: number;
  readonly sigmaFt: number;
};

export type Link = TieLink | SpanLink;

/** What holds still: the reference access at station 0 and the reference run at scale 1. */
export type Reference = { readonly runId: string; readonly accessId: string };

/** The runs of one line and what links them. */
export type Network = {
  readonly runs: ReadonlyMap<string, RunAxis>;
  readonly reference: Reference;
  readonly links: readonly Link[];
};

/** Where the unknowns stand in the normal matrix: an origin for each access, a scale for each run. */
export type Unknowns = {
  readonly size: number;
  /** Index of an access's origin; absent for the reference access and for what nothing links. */
  readonly originAt: ReadonlyMap<string, number>;
  /** Index of a run's scale (as `s − 1`); absent for the reference run. */
  readonly scaleAt: ReadonlyMap<string, number>;
};

/** The access points that links tie to the reference's, itself among them. */
export function reachAccesses(network: Network, without?: Link): ReadonlySet<string> {
  const parent = new Map<string, string>();
  const find = (id: string): string => {
    let at = id;
    while (parent.has(at)) at = parent.get(at)!;
    return at;
  };
  const unite = (a: string, b: string) => {
    const [rootA, rootB] = [find(a), find(b)];
    if (rootA !== rootB) parent.set(rootA, rootB);
  };
  const accessOf = (runId: string) => network.runs.get(runId)!.run.accessPointId;
  for (const link of network.links) {
    if (link === without) continue;
    if (link.kind === 'span') unite(link.fromAccessId, link.toAccessId);
    else
      for (const { runId } of link.sightings)
        unite(accessOf(link.sightings[0]!.runId), accessOf(runId));
  }
  const home = find(network.reference.accessId);
  const all = [
    network.reference.accessId,
    ...[...network.runs.values()].map(({ run }) => run.accessPointId),
    ...network.links.flatMap((link) =>
      link.kind === 'span' ? [link.fromAccessId, link.toAccessId] : [],
    ),
  ];
  return new Set(all.filter((id) => find(id) === home));
}

/** Numbers the unknowns of everything that is linked to the reference. */
export function numberUnknowns(network: Network, reached: ReadonlySet<string>): Unknowns {
  const { reference, runs } = network;
  const originAt = new Map<string, number>();
  const scaleAt = new Map<string, number>();
  let size = 0;
  for (const id of [...reached].sort()) if (id !== reference.accessId) originAt.set(id, size++);
  for (const { run } of [...runs.values()].sort((a, b) => (a.run.id < b.run.id ? -1 : 1))) {
    if (run.id !== reference.runId && reached.has(run.accessPointId)) scaleAt.set(run.id, size++);
  }
  return { size, originAt, scaleAt };
}

/** How a station of a run hangs on the unknowns: `station = δ·d + row · unknowns`. */
export function rowOf(unknowns: Unknowns, axis: RunAxis, alongFt: number): number[] {
  const row = new Array<number>(unknowns.size).fill(0);
  const origin = unknowns.originAt.get(axis.run.accessPointId);
  const scale = unknowns.scaleAt.get(axis.run.id);
  if (origin !== undefined) row[origin] = 1;
  if (scale !== undefined) row[scale] = axis.direction * alongFt;
  return row;
}

/** What one link adds to the normal equations `N·u = t`. */
export type Contribution = { readonly normal: number[][]; readonly right: number[] };

/** A sighting as an equation: its row, its fixed part `δ·d`, and its weight `1/σ²`. */
export type Equation = {
  readonly row: readonly number[];
  readonly fixedFt: number;
  readonly weight: number;
};

/** The equations of a tie's sightings, in their order. */
export function equationsOf(network: Network, unknowns: Unknowns, tie: TieLink): Equation[] {
  return tie.sightings.map(({ runId, alongFt, sigmaFt }) => {
    const axis = network.runs.get(runId)!;
    return {
      row: rowOf(unknowns, axis, alongFt),
      fixedFt: axis.direction * alongFt,
      weight: 1 / sigmaFt ** 2,
    };
  });
}

/** The weighted middle of equations: total weight, fixed part, row. */
export function middleOf(equations: readonly Equation[], size: number) {
  const row = new Array<number>(size).fill(0);
  let weight = 0;
  let fixedFt = 0;
  for (const equation of equations) {
    weight += equation.weight;
    fixedFt += equation.weight * equation.fixedFt;
    for (let at = 0; at < size; at += 1) row[at]! += equation.weight * equation.row[at]!;
  }
  return { weight, fixedFt: fixedFt / weight, row: row.map((value) => value / weight) };
}

/**
 * What a link adds. A tie's own station is an unknown that nothing else holds, so it is eliminated
 * (Schur's complement): what is left says how far each sighting lies from the middle of them all.
 */
export function contributionOf(network: Network, unknowns: Unknowns, link: Link): Contribution {
  const { size } = unknowns;
  const normal = zeros(size);
  const right = new Array<number>(size).fill(0);
  const add = (row: readonly number[], fixedFt: number, weight: number) => {
    addOuter(normal, row, row, weight);
    for (let at = 0; at < size; at += 1) right[at]! -= weight * row[at]! * fixedFt;
  };
  if (link.kind === 'span') {
    const { row, fixedFt } = spanEquation(unknowns, link);
    add(row, fixedFt, 1 / link.sigmaFt ** 2);
    return { normal, right };
  }
  const equations = equationsOf(network, unknowns, link);
  const middle = middleOf(equations, size);
  for (const { row, fixedFt, weight } of equations) add(row, fixedFt, weight);
  add(middle.row, middle.fixedFt, -middle.weight);
  return { normal, right };
}

/** A span as an equation that wants to be 0: `o_to − o_from − along`. */
export function spanEquation(unknowns: Unknowns, span: SpanLink) {
  const row = new Array<number>(unknowns.size).fill(0);
  const to = unknowns.originAt.get(span.toAccessId);
  const from = unknowns.originAt.get(span.fromAccessId);
  if (to !== undefined) row[to]! += 1;
  if (from !== undefined) row[from]! -= 1;
  return { row, fixedFt: -span.alongFt };
}

/** What is known of every scale before anything is tied: `s = 1 ± 0.01`. */
export function addPriors(normal: number[][], unknowns: Unknowns): void {
  for (const at of unknowns.scaleAt.values()) {
    normal[at]![at]! += 1 / TOLERANCES.scaleSigma ** 2;
  }
}
