import { assess } from '../assess';
import type { Assessment } from '../judge/assessment';
import type { Inspection } from '../model/job/inspection';
import type { Run } from '../model/job/run';
import type { Entry, EntryDraft } from '../model/log/entry';

/** An entry as tests write it: what is left out is on the way out, a minute after the one before. */
export type Said = { readonly kind: Entry['kind'] } & Readonly<Record<string, unknown>>;

/** A time of the test day, minutes after nine. */
export function minute(after: number): string {
  const seconds = Math.round(after * 60);
  const two = (value: number) => String(Math.floor(value)).padStart(2, '0');
  return `2026-11-03T${two(9 + seconds / 3600)}:${two((seconds / 60) % 60)}:${two(seconds % 60)}-08:00`;
}

/** Entries e1, e2 … one minute apart, in the order given. */
export function entries(...said: readonly Said[]): Entry[] {
  return said.map(
    (one, index) =>
      ({ id: `e${index + 1}`, at: minute(index), pass: 'out', readingFt: 0, ...one }) as Entry,
  );
}

/** A run from access A, facing downstream, zeroed at the horizontal, with no water running. */
export function runOf(said: readonly Said[], setup: Partial<Run> = {}): Run {
  return {
    id: 'R1',
    accessPointId: 'A',
    facing: 'downstream',
    zero: { at: 'horizontal', readingFt: 0, dropFt: 0 },
    cleanedBefore: 'none',
    waterAtStart: 'none',
    aid: 'none',
    ...setup,
    entries: entries(...said),
  };
}

type Changes = {
  readonly job?: Partial<Inspection['job']>;
  readonly property?: Partial<Inspection['property']>;
  readonly accessPoints?: Inspection['accessPoints'];
  readonly settings?: Inspection['settings'];
};

/** A small inspection over the runs given. */
export function inspectionOf(runs: readonly Run[], changes: Changes = {}): Inspection {
  return {
    format: 'chert-inspection',
    version: 1,
    job: {
      id: 'J',
      title: 'Test job',
      scope: 'lateral',
      scheduledFor: '2026-11-03T09:00:00-08:00',
      inspector: 'I',
      client: 'C',
      responsibility: 'to-main',
      referenceRunId: runs[0]?.id ?? '',
      profile: 'maintain-first',
      ...changes.job,
    },
    property: {
      address: '1 Test Way',
      households: 1,
      occupancy: 'occupied',
      foundation: 'slab',
      ...changes.property,
    },
    accessPoints: changes.accessPoints ?? [
      {
        id: 'A',
        kind: 'cleanout',
        diameterIn: 4,
        material: 'abs',
        place: 'yard',
        zone: 'yard',
        alongLine: 'house-end',
        usable: true,
        obstacle: null,
      },
    ],
    runs,
    ties: [],
    decisions: [],
    settings: changes.settings ?? {},
  };
}

/** What a 60 ft run in 6 in clay to the main, seen, says with these entries in it. */
export function assessmentOf(said: readonly Said[], changes: Changes = {}): Assessment {
  return assess(inspectionOf([runOf([CLAY, ...said, MAIN_AT_60])], changes));
}

export const CLAY: Said = {
  kind: 'material',
  side: 'far',
  material: 'vitrified-clay',
  diameterIn: 6,
  readingFt: 0,
};
export const MAIN_AT_60: Said = {
  kind: 'end',
  reason: 'main',
  confirmedBy: 'sight',
  readingFt: 60,
};

/** A draft as an entry, for parsers' output. */
export function logged(draft: EntryDraft, id: string, at: string): Entry {
  return { id, at, ...draft };
}
