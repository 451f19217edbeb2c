import { assess } from '../assess';
import type { Assessment } from '../judge/assessment';
import type { AccessPoint } from '../model/job/access-point';
import type { Inspection, Span, Tie } from '../model/job/inspection';
import type { Run } from '../model/job/run';
import { inspectionOf, runOf, type Said } from './build';

/** An access point in the yard. */
export function accessOf(id: string, changes: Partial<AccessPoint> = {}): AccessPoint {
  return {
    id,
    kind: 'cleanout',
    diameterIn: 4,
    material: 'pvc',
    place: `by ${id}`,
    zone: 'yard',
    usable: true,
    obstacle: null,
    ...changes,
  };
}

/** A feature of the out pass. */
export const tee = (readingFt: number, more: Partial<Said> = {}): Said => ({
  kind: 'feature',
  feature: 'tee',
  readingFt,
  ...more,
});

/** Entry `nth` (from 1) of each run named: "R1 2 = R2 1". */
export function tieOf(id: string, words: string, label = `thing ${id}`): Tie {
  return {
    id,
    label,
    sightings: words.split('=').map((one) => {
      const [runId = '', nth = ''] = one.trim().split(' ');
      return { runId, entryId: `e${nth}` };
    }),
  };
}

export type Joined = {
  readonly runs: readonly Run[];
  readonly ties?: readonly Tie[];
  readonly spans?: readonly Span[];
  readonly more?: Partial<Inspection>;
};

/** An inspection of runs from several accesses. */
export function joinedInspection({ runs, ties = [], spans = [], more = {} }: Joined): Inspection {
  const ids = [...new Set(runs.map(({ accessPointId }) => accessPointId))];
  return {
    ...inspectionOf(runs, { accessPoints: ids.map((id) => accessOf(id)) }),
    ties,
    spans,
    ...more,
  };
}

export function joined(parts: Joined): Assessment {
  return assess(joinedInspection(parts));
}

/** A run from an access, with its things in order. */
export function runFrom(
  id: string,
  accessPointId: string,
  facing: Run['facing'],
  said: readonly Said[],
  setup: Partial<Run> = {},
): Run {
  return runOf(said, { id, accessPointId, facing, ...setup });
}
