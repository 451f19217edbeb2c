import { isSafeId } from '../base/safe-id';
import type { Inspection } from '../model/job/inspection';

/** Safe ids and what the file called them; empty where it had no odd one. */
export type FileIds = Readonly<Record<string, string>>;

/** FNV-1a with 64 bits (Fowler, Noll, Vo 1991), as 16 hex digits: tells apart ids that look alike once made safe. */
function hashOf(text: string): string {
  const PRIME = 0x100000001b3n;
  let hash = 0xcbf29ce484222325n;
  for (const byte of new TextEncoder().encode(text))
    hash = BigInt.asUintN(64, (hash ^ BigInt(byte)) * PRIME);
  return hash.toString(16).padStart(16, '0');
}

/** A safe id for an odd one: the same each time, and another for another. */
export function safeIdOf(id: string): string {
  if (isSafeId(id)) return id;
  const plain = id.replace(/[^A-Za-z0-9._-]+/g, '-').replace(/^[^A-Za-z0-9]+|-+$/g, '');
  return `${plain.slice(0, 40) || 'id'}-${hashOf(id)}`;
}

/** Every id of a file that may come to stand in an address: its job, access points, runs, stills and sounds. */
function idsOf({ job, accessPoints, runs }: Inspection): string[] {
  return [
    job.id,
    ...accessPoints.map(({ id }) => id),
    ...runs.flatMap(({ id, entries }) => [
      id,
      ...entries.flatMap(({ photoIds = [], audioId }) =>
        audioId === undefined ? photoIds : [...photoIds, audioId],
      ),
    ]),
  ];
}

/** Puts every id that an inspection names in the place of another, wherever it is named. */
function renameIds(inspection: Inspection, names: ReadonlyMap<string, string>): Inspection {
  const rename = (id: string) => names.get(id) ?? id;
  // What a decision was given over is told by findings, whose ids begin with their run's.
  const prefixes = [...names].map(([from, to]) => [`F-${from}-`, `F-${to}-`] as const);
  const deep = (value: unknown): unknown => {
    if (typeof value === 'string') {
      const prefix = prefixes.find(([from]) => value.startsWith(from));
      return prefix ? prefix[1] + value.slice(prefix[0].length) : rename(value);
    }
    if (Array.isArray(value)) return value.map(deep);
    if (value === null || typeof value !== 'object') return value;
    return Object.fromEntries(
      Object.entries(value).map(([key, one]) => [key, key === 'reason' ? one : deep(one)]),
    );
  };
  const { job, accessPoints, runs, ties, spans, decisions } = inspection;
  return {
    ...inspection,
    job: {
      ...job,
      id: rename(job.id),
      ...(job.referenceRunId === undefined ? {} : { referenceRunId: rename(job.referenceRunId) }),
    },
    accessPoints: accessPoints.map((access) => ({ ...access, id: rename(access.id) })),
    runs: runs.map((run) => ({
      ...run,
      id: rename(run.id),
      accessPointId: rename(run.accessPointId),
      entries: run.entries.map((entry) => ({
        ...entry,
        ...(entry.photoIds ? { photoIds: entry.photoIds.map(rename) } : {}),
        ...(entry.kind === 'defect' && entry.measures
          ? {
              measures: entry.measures.map((one) => ({ ...one, photoId: rename(one.photoId) })),
            }
          : {}),
        ...(entry.audioId === undefined ? {} : { audioId: rename(entry.audioId) }),
      })),
    })),
    ties: ties.map((tie) => ({
      ...tie,
      sightings: tie.sightings.map((one) => ({ ...one, runId: rename(one.runId) })),
    })),
    ...(spans
      ? {
          spans: spans.map((span) => ({
            ...span,
            fromAccessPointId: rename(span.fromAccessPointId),
            toAccessPointId: rename(span.toAccessPointId),
          })),
        }
      : {}),
    decisions: decisions.map((decision) => deep(decision) as typeof decision),
  };
}

/** An inspection whose ids can all stand in an address, and what the file called those that could not. */
export function withSafeIds(inspection: Inspection): {
  readonly inspection: Inspection;
  readonly fileIds: FileIds;
} {
  const odd = [...new Set(idsOf(inspection))].filter((id) => !isSafeId(id));
  if (odd.length === 0) return { inspection, fileIds: {} };
  const names = new Map(odd.map((id) => [id, safeIdOf(id)]));
  const fileIds = Object.fromEntries(odd.map((id) => [safeIdOf(id), id]));
  return { inspection: renameIds(inspection, names), fileIds };
}

/** The inspection under the ids that its file had. */
export function withFileIds(inspection: Inspection, fileIds: FileIds): Inspection {
  const names = new Map(Object.entries(fileIds));
  return names.size === 0 ? inspection : renameIds(inspection, names);
}
