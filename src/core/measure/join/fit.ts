import { roundTo } from '../../base/numbers';
import type { RunAxis, RunOrigin } from '../placement';
import { dot, invertSymmetric, type Matrix, quadratic, zeros } from './cholesky';
import {
  addPriors,
  contributionOf,
  equationsOf,
  type Link,
  middleOf,
  type Network,
  numberUnknowns,
  reachAccesses,
  rowOf,
  spanEquation,
  type SpanLink,
  type TieLink,
  type Unknowns,
} from './network';

/** Runs laid together: the best origins and scales, and how sure they are. */
export type Fit = {
  readonly network: Network;
  readonly reached: ReadonlySet<string>;
  readonly unknowns: Unknowns;
  /** The unknowns' best values: origins in feet, scales as `s − 1`. */
  readonly values: readonly number[];
  readonly covariance: Matrix;
  /** The links that hold something: those between runs and accesses that are reached. */
  readonly links: readonly Link[];
  /** The normal equations `N·u = t`, kept so that single links can be taken out of them. */
  readonly normal: Matrix;
  readonly right: readonly number[];
};

/**
 * Lays all runs of a line together at once by weighted least squares.
 *
 * Unknowns: the origin of each access but the reference's, the scale of each run but the reference's,
 * and a station for each tie (eliminated). Observations: each sighting `x = o + δ·s·d`, each span
 * `o_b − o_a`, and a prior for each scale. The normal equations are solved by Cholesky.
 */
export function fitNetwork(network: Network): Fit {
  const reached = reachAccesses(network);
  const unknowns = numberUnknowns(network, reached);
  const links = network.links.filter((link) => isReached(network, reached, link));
  const normal = zeros(unknowns.size);
  const right = new Array<number>(unknowns.size).fill(0);
  for (const link of links) add(normal, right, contributionOf(network, unknowns, link), 1);
  addPriors(normal, unknowns);
  return { network, reached, unknowns, links, normal, right, ...solve(normal, right) };
}

/** What a fit would say without one of its links, which may not be all that holds a run. */
export function fitWithout(fit: Fit, link: Link): Fit {
  const normal = fit.normal.map((row) => [...row]);
  const right = [...fit.right];
  add(normal, right, contributionOf(fit.network, fit.unknowns, link), -1);
  return { ...fit, normal, right, ...solve(normal, right) };
}

function add(
  normal: number[][],
  right: number[],
  more: { readonly normal: Matrix; readonly right: readonly number[] },
  sign: 1 | -1,
): void {
  for (let row = 0; row < right.length; row += 1) {
    right[row]! += sign * more.right[row]!;
    for (let column = 0; column < right.length; column += 1) {
      normal[row]![column]! += sign * more.normal[row]![column]!;
    }
  }
}

function solve(normal: Matrix, right: readonly number[]): Pick<Fit, 'values' | 'covariance'> {
  const covariance = invertSymmetric(normal);
  return { covariance, values: covariance.map((row) => dot(row, right)) };
}

function isReached(network: Network, reached: ReadonlySet<string>, link: Link): boolean {
  return link.kind === 'span'
    ? reached.has(link.fromAccessId)
    : reached.has(network.runs.get(link.sightings[0]!.runId)!.run.accessPointId);
}

/** Origin, scale and their certainty for one run; `null` when nothing links it to the reference. */
export function originOf(fit: Fit, axis: RunAxis): RunOrigin | null {
  if (!fit.reached.has(axis.run.accessPointId)) return null;
  const originAt = fit.unknowns.originAt.get(axis.run.accessPointId);
  const scaleAt = fit.unknowns.scaleAt.get(axis.run.id);
  return {
    // Free of the noise of binary fractions, so that runs that touch do touch.
    originFt: originAt === undefined ? 0 : roundTo(fit.values[originAt]!, 9),
    scale: scaleAt === undefined ? 1 : roundTo(1 + fit.values[scaleAt]!, 12),
    varianceAt: (alongFt) => {
      const row = rowOf(fit.unknowns, axis, alongFt);
      return Math.max(0, quadratic(row, fit.covariance, row));
    },
    varianceBetween: (alongFt, other, otherAlongFt) => {
      const a = rowOf(fit.unknowns, axis, alongFt);
      const b = rowOf(fit.unknowns, other, otherAlongFt);
      const apart = a.map((value, at) => value - b[at]!);
      return Math.max(0, quadratic(apart, fit.covariance, apart));
    },
  };
}

/** The station of a tie and σ of it: the middle of its sightings, and what the runs' places add. */
export function placeTie(
  fit: Fit,
  tie: TieLink,
): { readonly stationFt: number; readonly sigmaFt: number; readonly residualsFt: number[] } {
  const equations = equationsOf(fit.network, fit.unknowns, tie);
  const middle = middleOf(equations, fit.unknowns.size);
  const at = (row: readonly number[], fixedFt: number) => fixedFt + dot(row, fit.values);
  const stationFt = at(middle.row, middle.fixedFt);
  return {
    stationFt,
    // The station's own entry of the inverse of the whole normal matrix, by blocks.
    sigmaFt: Math.sqrt(1 / middle.weight + quadratic(middle.row, fit.covariance, middle.row)),
    residualsFt: equations.map(({ row, fixedFt }) => at(row, fixedFt) - stationFt),
  };
}

/** How far a link lies from what a fit without it predicts, feet, and σ of that prediction. */
export type Surprise = { readonly offFt: number; readonly sigmaFt: number; readonly ratio: number };

/** Tests a link against a fit that does not know it: the sighting that is farthest out of line. */
export function surpriseOf(
  fit: Pick<Fit, 'values' | 'covariance' | 'network' | 'unknowns'>,
  link: Link,
): Surprise {
  if (link.kind === 'span') return spanSurprise(fit, link);
  const equations = equationsOf(fit.network, fit.unknowns, link);
  let worst: Surprise = { offFt: 0, sigmaFt: 1, ratio: 0 };
  equations.forEach((one, index) => {
    const others = middleOf(
      equations.filter((_, at) => at !== index),
      fit.unknowns.size,
    );
    const apart = one.row.map((value, at) => value - others.row[at]!);
    const offFt = one.fixedFt - others.fixedFt + dot(apart, fit.values);
    const variance = 1 / one.weight + 1 / others.weight + quadratic(apart, fit.covariance, apart);
    const sigmaFt = Math.sqrt(variance);
    const ratio = Math.abs(offFt) / sigmaFt;
    if (ratio > worst.ratio) worst = { offFt, sigmaFt, ratio };
  });
  return worst;
}

function spanSurprise(
  fit: Pick<Fit, 'values' | 'covariance' | 'unknowns'>,
  span: SpanLink,
): Surprise {
  const { row, fixedFt } = spanEquation(fit.unknowns, span);
  const offFt = fixedFt + dot(row, fit.values);
  const sigmaFt = Math.sqrt(span.sigmaFt ** 2 + quadratic(row, fit.covariance, row));
  return { offFt, sigmaFt, ratio: Math.abs(offFt) / sigmaFt };
}
