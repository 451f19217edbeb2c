import { clip, totalFt, unite } from '../base/interval';
import { type DefectKind, DEFECTS } from '../catalogue/defects/index';
import { thresholdsInForce } from '../catalogue/severity/thresholds';
import { depthInOf, fillRatioOf } from '../catalogue/severity/water-depth';
import { type WaterState } from '../catalogue/vocabulary';
import { type Zone, ZONES } from '../catalogue/zones';
import type { Assessment } from '../judge/assessment';
import { seenDry } from '../lateral/seen-dry';
import { placeStretches } from '../measure/stretch';
import type { Repair } from '../planning/repair';
import { MIN_TENTH } from './known';

/** What a document may say, by what was logged and computed from it. */
export type Sources = {
  /** Numbers of feet, inches and per cent that something in the log stands behind. */
  readonly feet: ReadonlySet<number>;
  readonly inches: ReadonlySet<number>;
  readonly percents: ReadonlySet<number>;
  readonly numbers: ReadonlySet<number>;
  readonly zones: ReadonlySet<Zone>;
  /** States of water that somebody said, what ran at the start among them. */
  readonly water: ReadonlySet<WaterState>;
  /** Kinds of defect that stand in the log, by whatever certainty. */
  readonly logged: ReadonlySet<DefectKind>;
  readonly isWhole: boolean;
  /** Share of the reached length that was hidden. */
  readonly hiddenRatio: number;
};

/** Adds a number as people round it: to the whole, and to the tenth. */
function add(to: Set<number>, value: number | null | undefined): void {
  if (typeof value !== 'number' || !Number.isFinite(value)) return;
  const size = Math.abs(value);
  for (const near of [size, Math.floor(size), Math.round(size), Math.ceil(size)]) to.add(near);
  for (const step of MIN_TENTH)
    for (const round of [Math.round, Math.floor, Math.ceil]) to.add(round(size / step) * step);
}

/** Stations of the ends of every entry, and of the accesses and ends of every run. */
function stationsOf(assessment: Assessment): number[] {
  return [assessment.lateral, ...assessment.branches].flatMap(({ axes, unplaced }) =>
    [...axes, ...unplaced].flatMap((axis) => [
      axis.originFt,
      axis.placeAlong(axis.reachFt),
      ...axis.log.standing.flatMap((entry) => {
        const { from, to } = axis.placeOfEntry(entry);
        const other =
          'toReadingFt' in entry ? [axis.placeOf(entry.pass, entry.toReadingFt).stationFt] : [];
        return [from.stationFt, to.stationFt, ...other];
      }),
      ...placeStretches(axis, 'defect').flatMap(({ span }) => [span.fromFt, span.toFt]),
    ]),
  );
}

/** Gathers what stands behind the documents of a job. */
export function gatherSources(assessment: Assessment, repair: Repair): Sources {
  const { inspection, findings, lateral, branches } = assessment;
  const lines = [lateral, ...branches];
  const feet = new Set<number>();
  const inches = new Set<number>();
  const percents = new Set<number>();
  const numbers = new Set<number>();
  for (const at of stationsOf(assessment)) add(feet, at);
  for (const { coverage, segments, reached, zones, join, axes, unplaced } of lines) {
    const { clearFt, obscuredFt, unreachedFt } = coverage;
    const dry = seenDry(assessment.lateral);
    for (const value of [
      clearFt,
      obscuredFt,
      unreachedFt,
      clearFt + obscuredFt,
      obscuredFt + (unreachedFt ?? 0),
      clearFt + obscuredFt + (unreachedFt ?? 0),
      totalFt(reached),
      totalFt(dry),
    ])
      add(feet, value);
    for (const part of [...segments, ...zones, ...coverage.obscured, ...coverage.gaps, ...reached])
      for (const value of [part.fromFt, part.toFt, part.toFt - part.fromFt]) add(feet, value);
    const hidden = unite([...coverage.obscured, ...coverage.gaps]);
    for (const zone of zones) add(feet, totalFt(hidden.flatMap((part) => clip(part, zone) ?? [])));
    for (const { offFt, sigmaFt } of join.misfits)
      for (const value of [offFt, sigmaFt]) add(feet, value);
    const byMaterial = new Map<string, number>();
    for (const { material, lined, fromFt, toFt } of segments)
      for (const key of [material, `${material} ${lined}`])
        byMaterial.set(key, (byMaterial.get(key) ?? 0) + toFt - fromFt);
    for (const value of byMaterial.values()) add(feet, value);
    add(feet, totalFt(segments.filter(({ age }) => age?.standing === 'past')));
    add(percents, (100 * obscuredFt) / Math.max(1e-9, obscuredFt + clearFt));
    for (const axis of [...axes, ...unplaced]) {
      for (const value of [
        axis.home.farthestFt,
        axis.home.homeFt,
        axis.home.misclosureFt,
        axis.home.zeroFt,
        axis.reachFt,
        axis.run.zero.dropFt,
        2 * axis.placeOf('out', axis.home.zeroFt).sigmaFt,
      ])
        add(feet, value);
      for (const entry of axis.log.standing)
        for (const value of Object.values(entry)) if (typeof value === 'number') add(feet, value);
      for (const entry of axis.log.standing)
        if (entry.kind === 'locate') {
          for (const { distanceFt } of entry.swings ?? []) add(feet, distanceFt);
          for (const depth of [entry.depthIn, entry.depthToIn])
            if (depth !== undefined) {
              add(feet, Math.floor(depth / 12));
              add(inches, depth % 12);
              add(inches, depth);
            }
        }
    }
  }
  for (const { points, located, whole } of lines.map(({ grade }) => grade)) {
    for (const { depthIn } of [...points, ...located]) add(inches, depthIn);
    if (whole)
      for (const value of [whole.availableIn, whole.requiredIn, 2 * whole.sigmaIn])
        add(inches, value);
  }
  const pools: Record<string, number> = {};
  for (const finding of findings) {
    const { span, facts, number, kind, lineId } = finding;
    add(numbers, number);
    for (const value of [span.fromFt, span.toFt, span.toFt - span.fromFt, facts.lengthFt])
      add(feet, value);
    for (const value of [
      facts.depthIn,
      depthInOf(facts),
      facts.offsetIn,
      facts.gapIn,
      facts.lipIn,
      facts.boreIn,
    ])
      add(inches, value);
    for (const share of [
      facts.extentRatio,
      fillRatioOf(facts),
      ...[facts.offsetIn, facts.lipIn].map((size) =>
        size === null || facts.boreIn === null ? null : size / facts.boreIn,
      ),
    ])
      if (share !== null) add(percents, 100 * share);
    if (kind === 'standing-water') pools[lineId] = (pools[lineId] ?? 0) + span.toFt - span.fromFt;
    // What a rule makes of the whole says its own numbers, from the findings it names.
    if (finding.says !== null)
      for (const [, value] of finding.says.matchAll(/(\d+(?:\.\d+)?)/g))
        for (const set of [feet, inches, percents]) add(set, Number(value));
  }
  for (const value of Object.values(pools)) add(feet, value);
  const united = lines.map(({ lineId }) =>
    totalFt(
      findings
        .filter((one) => one.lineId === lineId && one.kind === 'standing-water')
        .map(({ span }) => span),
    ),
  );
  for (const value of united) add(feet, value);
  const mended = findings.filter(
    ({ action, courtesy }) => !courtesy && (action === 'repair' || action === 'urgent'),
  );
  add(feet, totalFt(mended.map(({ span }) => span)));
  for (const line of lines)
    add(
      feet,
      totalFt(mended.filter(({ lineId }) => lineId === line.lineId).map(({ span }) => span)),
    );
  for (const { works } of repair.plans)
    for (const work of works) {
      for (const value of [
        work.fromFt,
        work.toFt,
        work.toFt - work.fromFt,
        work.publicFt,
        work.depth?.leastFt,
        work.depth?.mostFt,
      ])
        add(feet, value);
      for (const { stationFt } of work.tees) add(feet, stationFt);
    }
  for (const group of groupsOf(findings)) add(feet, group);
  for (const value of Object.values(thresholdsInForce(assessment.settings.thresholds))) {
    add(percents, 100 * value);
    add(feet, value);
  }
  for (const { diameterIn } of inspection.accessPoints) add(inches, diameterIn);
  for (const { segments } of lines) for (const { diameterIn } of segments) add(inches, diameterIn);
  const entries = [...assessment.logs.values()].flatMap(({ standing }) => standing);
  const isIndoorLogged = entries.some(
    (entry) => entry.kind === 'feature' && entry.feature === 'wall',
  );
  return {
    feet,
    inches,
    percents,
    numbers,
    zones: new Set(
      ZONES.filter(
        (zone) =>
          entries.some((entry) => entry.kind === 'zone' && entry.zone === zone) ||
          inspection.accessPoints.some((access) => access.zone === zone) ||
          (isIndoorLogged && zone === 'under-house'),
      ),
    ),
    water: new Set([
      ...entries.flatMap((entry) =>
        entry.kind === 'water'
          ? [entry.state]
          : entry.kind === 'flow-test'
            ? ['running' as const]
            : [],
      ),
      ...inspection.runs.flatMap(({ waterAtStart }) =>
        waterAtStart === 'none' || waterAtStart === 'running' ? [waterAtStart] : [],
      ),
    ]),
    logged: new Set(
      DEFECTS.filter((kind) =>
        entries.some(
          (entry) =>
            (entry.kind === 'defect' && entry.defect === kind) ||
            (kind === 'lip' &&
              entry.kind === 'material' &&
              (entry.joint === 'lip' || (entry.lipIn ?? 0) > 0)),
        ),
      ),
    ),
    isWhole:
      entries.some(
        (entry) =>
          entry.kind === 'end' &&
          (entry.reason === 'main' || entry.reason === 'tank') &&
          entry.confirmedBy !== 'none',
      ) &&
      lateral.coverage.obscuredFt < 0.05 &&
      lateral.coverage.gaps.length === 0,
    hiddenRatio: lateral.coverage.obscuredFt / Math.max(1e-9, totalFt(lateral.reached)),
  };
}

/** Ends of findings that are told together. */
function groupsOf(findings: Assessment['findings']): number[] {
  return findings.flatMap(({ span }) => [span.fromFt, span.toFt]);
}
