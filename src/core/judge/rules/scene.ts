import { groupBy } from '../../base/group';
import type { Interval } from '../../base/interval';
import { memoOf } from '../../base/memo';
import { layOut } from '../../base/near';
import type { FindingKind } from '../../catalogue/defects/kinds';
import type { Thresholds } from '../../catalogue/severity/thresholds';
import { listCleanouts } from '../../lateral/cleanouts';
import { onlyWalked } from '../../lateral/close-by';
import type { Feature } from '../../lateral/features';
import type { Lateral } from '../../lateral/lateral';
import type { LineNames } from '../../lateral/line-names';
import { sayOnLine } from '../../lateral/say-place';
import { type Segment, segmentAt } from '../../lateral/segments';
import type { RunAxis } from '../../measure/placement';
import type { Inspection } from '../../model/job/inspection';
import type { Settings } from '../../model/job/settings';
import type { Entry, EntryOf } from '../../model/log/entry';
import type { Finding } from '../finding';

/** What a rule may look at. */
export type Scene = {
  readonly inspection: Inspection;
  readonly settings: Settings;
  readonly thresholds: Thresholds;
  readonly laterals: readonly Lateral[];
  readonly names: LineNames;
  /** Logged defects as the severity table graded them. */
  readonly findings: readonly Finding[];
};

export type Spot = { readonly lineId: string; readonly span: Interval };

/** Every run, placed or not. */
export function runsOf({ laterals }: Scene): RunAxis[] {
  return laterals.flatMap(({ axes, unplaced }) => [...axes, ...unplaced]);
}

/** An entry with its run. */
export type Standing<K extends Entry['kind']> = {
  readonly axis: RunAxis;
  readonly entry: EntryOf<K>;
};

/** Every standing entry of a kind, with its run. */
export function standingOf<K extends Entry['kind']>(scene: Scene, kind: K): Standing<K>[] {
  return runsOf(scene).flatMap((axis) => axis.log.of(kind).map((entry) => ({ axis, entry })));
}

/**
 * The entry that was first to say what these say, corrections followed back to where they began: a name
 * that stays as the log grows. `null` when none of them is in the log.
 */
export function oldestOf(scene: Scene, entryIds: readonly string[]): string | null {
  let oldest: { readonly id: string; readonly atMs: number } | null = null;
  for (const { log } of runsOf(scene)) {
    for (const entryId of entryIds) {
      if (!log.byId.has(entryId)) continue;
      const id = log.rootOf(entryId);
      const atMs = Date.parse(log.byId.get(id)!.at);
      if (oldest === null || atMs < oldest.atMs) oldest = { id, atMs };
    }
  }
  return oldest?.id ?? null;
}

/** Findings of the kinds given, in their order. */
export function findingsOf(scene: Scene, ...kinds: readonly FindingKind[]): Finding[] {
  return scene.findings.filter(({ kind, ourDoing }) => kinds.includes(kind) && !ourDoing);
}

/** The line that something is on. */
export function lineOf({ laterals }: Pick<Scene, 'laterals'>, lineId: string): Lateral {
  return laterals.find((lateral) => lateral.lineId === lineId)!;
}

/** The pipe at the middle of a finding; `null` in the riser, or where nothing was reached. */
export function pipeAt(scene: Pick<Scene, 'laterals'>, finding: Finding): Segment | null {
  if (finding.inRiser) return null;
  const lateral = lineOf(scene, finding.lineId);
  const segments = finding.placed
    ? lateral.segments
    : (lateral.ownSegments.get(finding.runIds[0]!) ?? []);
  return segmentAt(segments, (finding.span.fromFt + finding.span.toFt) / 2);
}

/** Placed findings by line and kind, laid out so that neighbours are found at once. */
const readNear = memoOf(({ findings }: Scene) => {
  const placed = findings.filter((one) => one.placed && !one.ourDoing);
  return new Map(
    [...groupBy(placed, ({ lineId }) => lineId)].map(([lineId, onLine]) => [
      lineId,
      new Map(
        [...groupBy(onLine, ({ kind }) => kind)].map(([kind, alike]) => [
          kind,
          layOut(alike, ({ span }) => span),
        ]),
      ),
    ]),
  );
});

/** Placed findings of these kinds within so many feet of a spot, itself left out. */
export function findNear(
  scene: Scene,
  spot: Spot,
  withinFt: number,
  kinds: readonly FindingKind[],
): Finding[] {
  const onLine = readNear(scene).get(spot.lineId);
  return kinds.flatMap((kind) =>
    (onLine?.get(kind)?.(spot.span, withinFt) ?? []).filter((near) => near !== spot),
  );
}

const readFeaturesNear = memoOf(({ features }: Lateral) =>
  layOut(features, ({ stationFt }) => ({ fromFt: stationFt, toFt: stationFt })),
);

/** Features of a finding's line within so many feet of it. */
export function featuresNear(scene: Scene, spot: Spot, withinFt: number): Feature[] {
  return readFeaturesNear(lineOf(scene, spot.lineId))(spot.span, withinFt);
}

/** A way in for a hose or a cutter: an access point, or a cleanout that the camera found from inside. */
export type Cleanout = { readonly name: string; readonly diameterIn: number | null };

/** Cleanouts that can be opened, those found from inside among them. */
export function usableCleanouts({
  inspection,
  laterals,
}: Pick<Scene, 'inspection' | 'laterals'>): Cleanout[] {
  return listCleanouts(inspection, laterals).filter(({ state }) => state === 'usable');
}

/** Something outside the pipe, with its entry where it was logged. */
type SeenOutside = {
  readonly what: string;
  readonly where: string;
  readonly offsetFt: number | null;
  readonly entry: Standing<'surface'> | null;
};

/** Everything outside the pipe: what was logged over the line and what was seen on the walk. */
export const readSurface = memoOf((scene: Scene): readonly SeenOutside[] => {
  const logged = standingOf(scene, 'surface').map((one) => ({
    what: one.entry.what,
    where: one.entry.note ?? '',
    offsetFt: one.entry.offsetFt ?? null,
    entry: one,
  }));
  const walked = onlyWalked(scene.inspection.property, scene.laterals).map(
    ({ what, where, offsetFt = null }) => ({ what, where, offsetFt, entry: null }),
  );
  return [...logged, ...walked];
});

/** The spot of the line under what was logged outside the pipe; `null` without a footage, or with no line there. */
export function spotUnder(scene: Scene, { entry, axis }: Standing<'surface'>): Spot | null {
  if (entry.readingFt === null) return null;
  const under = scene.laterals.find(({ axes }) => axes.includes(axis));
  if (!under) return null;
  const { from, to } = axis.placeOfEntry(entry);
  const atFt = (from.stationFt + to.stationFt) / 2;
  return { lineId: under.lineId, span: { fromFt: atFt, toFt: atFt } };
}

/** A place of a line as documents say it: "from 12 to 20 ft", "at 8 ft from B on the guest house line". */
export function sayIn({ names }: Pick<Scene, 'names'>, { lineId, span }: Spot): string {
  const { fromFt, toFt } = span;
  const isPoint = Math.round(fromFt) === Math.round(toFt);
  return `${isPoint ? 'at' : 'from'} ${sayOnLine({ lineId, fromFt, toFt }, names)}`;
}

/** A finding's number with its place ("finding 3"). */
export const nameOf = ({ number }: Finding) => `finding ${number}`;
