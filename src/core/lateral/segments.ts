import { type Interval, overlaps } from '../base/interval';
import { lastAtOrBelow, memoOf } from '../base/memo';
import { layOut } from '../base/near';
import type { Material } from '../catalogue/materials/index';
import type { Certainty } from '../catalogue/vocabulary';
import type { Zone } from '../catalogue/zones';
import type { RunAxis } from '../measure/placement';
import type { Inspection } from '../model/job/inspection';
import type { Job } from '../model/job/job';
import type { Settings } from '../model/job/settings';
import type { EntryOf } from '../model/log/entry';
import { possibleBoreIn } from '../model/log/possible';
import { likelyAge, type PipeAge } from './age';
import type { Feature } from './features';
import { readMarks } from './marks';
import { type Partition, partition } from './partition';

/** What a `material` entry asserts of the pipe. */
export type Pipe = {
  readonly material: Material;
  /** `null` where nobody ever said one. */
  readonly diameterIn: number | null;
  /** Whether the diameter is only taken to be that of the pipe before. */
  readonly isBoreAssumed: boolean;
  readonly lined: boolean;
  readonly certainty: Certainty;
  /** What else it may be. */
  readonly candidates: readonly Material[];
};

export type ResponsibleSide = 'owner' | 'public';

/** A stretch with one pipe, one zone and one side of the responsibility line. */
export type Segment = Interval & {
  readonly material: Material;
  readonly diameterIn: number | null;
  /** Whether the diameter is only taken to be that of the pipe before. */
  readonly isBoreAssumed: boolean;
  readonly lined: boolean;
  readonly certainty: Certainty;
  /** What else it may be. */
  readonly candidates: readonly Material[];
  readonly zone: Zone | null;
  readonly responsibleSide: ResponsibleSide;
  /** How old it probably is; `null` for an unknown material. */
  readonly age: PipeAge | null;
  readonly entryIds: readonly string[];
};

const samePipe = (a: Pipe, b: Pipe) =>
  a.material === b.material &&
  (a.diameterIn === b.diameterIn || a.isBoreAssumed || b.isBoreAssumed) &&
  a.lined === b.lined;

/** Diameters said in a run, by entry: where a call named none, the one said before it in time. */
const readBores = memoOf((axis: RunAxis): ReadonlyMap<string, number | null> => {
  const bores = new Map<string, number | null>();
  let last: number | null = null;
  for (const entry of axis.log.of('material')) {
    last = possibleBoreIn(entry) ?? last;
    bores.set(entry.id, last);
  }
  return bores;
});

function pipeOf(entry: EntryOf<'material'>, axis: RunAxis): Pipe {
  return {
    material: entry.material,
    diameterIn: readBores(axis).get(entry.id) ?? null,
    isBoreAssumed: possibleBoreIn(entry) === undefined,
    lined: entry.lined ?? false,
    certainty: entry.certainty ?? 'confirmed',
    candidates: entry.candidates ?? [],
  };
}

/** The pipes of each reached stretch, one partition for each. */
export function readPipes(
  axes: readonly RunAxis[],
  reached: readonly Interval[],
  settings: Settings,
): Partition<Pipe>[] {
  const marks = readMarks(axes, 'material', pipeOf, samePipe, settings);
  return reached.map((reach) => partition(marks, reach, samePipe));
}

/**
 * Station of the responsibility line, or `null` when the owner's duty runs to the main or nobody
 * logged where the line is. A property-line cleanout stands in for the line itself.
 */
export function responsibilityLineFt(job: Job, features: readonly Feature[]): number | null {
  if (job.responsibility === 'to-main') return null;
  const at = (kind: Feature['feature']) =>
    features.find(({ feature, isPlaceUnsaid }) => feature === kind && !isPlaceUnsaid);
  return (at('property-line') ?? at('property-line-cleanout'))?.stationFt ?? null;
}

/** Which side of the responsibility line a station is on; under the street is public by itself. */
export function sideAt(
  job: Job,
  lineFt: number | null,
  stationFt: number,
  zone: Zone | null,
): ResponsibleSide {
  if (job.responsibility === 'to-main') return 'owner';
  if (lineFt !== null) return stationFt > lineFt ? 'public' : 'owner';
  return zone === 'street' ? 'public' : 'owner';
}

/** Cuts the pipes at zone boundaries and at the responsibility line. The result covers the reach. */
export function cutSegments(
  pipes: readonly Partition<Pipe>[],
  zones: readonly (Interval & { readonly value: Zone | null })[],
  { job, property }: Pick<Inspection, 'job' | 'property'>,
  lineFt: number | null,
  settings: Settings,
): Segment[] {
  const year = Number(job.scheduledFor.slice(0, 4));
  const cutsFt = zones.flatMap((zone) => [zone.fromFt, zone.toFt]);
  if (lineFt !== null) cutsFt.push(lineFt);
  cutsFt.sort((a, b) => a - b);
  const zoneAt = (stationFt: number) => {
    const zone = zones[lastAtOrBelow(zones, stationFt, ({ fromFt }) => fromFt)];
    return zone && stationFt <= zone.toFt ? zone.value : null;
  };
  return pipes.flatMap(({ pieces }) =>
    pieces.flatMap((piece) => {
      const first = lastAtOrBelow(cutsFt, piece.fromFt + 1e-9, (cutFt) => cutFt) + 1;
      const last = lastAtOrBelow(cutsFt, piece.toFt - 1e-9, (cutFt) => cutFt);
      const edges = [piece.fromFt, ...new Set(cutsFt.slice(first, last + 1)), piece.toFt];
      const material = piece.value?.material ?? 'unknown';
      const lined = piece.value?.lined ?? false;
      const age = likelyAge(material, lined, property, year, settings.usualLives);
      const parts = edges.slice(1).map((toFt, index): Segment => {
        const fromFt = edges[index]!;
        const middleFt = (fromFt + toFt) / 2;
        const zone = zoneAt(middleFt);
        return {
          fromFt,
          toFt,
          material,
          diameterIn: piece.value?.diameterIn ?? null,
          isBoreAssumed: piece.value?.isBoreAssumed ?? false,
          lined,
          age,
          certainty: piece.value?.certainty ?? 'cannot-tell',
          candidates: piece.value?.candidates ?? [],
          zone,
          responsibleSide: sideAt(job, lineFt, middleFt, zone),
          entryIds: piece.entryIds,
        };
      });
      return joinAlike(parts);
    }),
  );
}

function joinAlike(parts: readonly Segment[]): Segment[] {
  const joined: Segment[] = [];
  for (const part of parts) {
    const last = joined.at(-1);
    if (last && last.zone === part.zone && last.responsibleSide === part.responsibleSide) {
      joined[joined.length - 1] = { ...last, toFt: part.toFt };
    } else joined.push(part);
  }
  return joined;
}

const segmentsNear = memoOf((segments: readonly Segment[]) => layOut(segments, (one) => one));

/** The segments that a stretch lies in; of a point the one it is in. */
export function segmentsOver(segments: readonly Segment[], span: Interval): Segment[] {
  return segmentsNear(segments)(span).filter((segment) => overlaps(segment, span));
}

/** The segment at a station; on an edge the downstream one, outside the reach the nearest. */
export function segmentAt(segments: readonly Segment[], stationFt: number): Segment | null {
  const at = lastAtOrBelow(segments, stationFt + 1e-9, ({ fromFt }) => fromFt);
  const before = segments[at] ?? null;
  const after = segments[at + 1] ?? null;
  if (before === null || after === null || stationFt <= before.toFt + 1e-9) return before ?? after;
  return stationFt - before.toFt <= after.fromFt - stationFt ? before : after;
}
