import type { AccessPoint } from '../../model/job/access-point';
import type { Inspection } from '../../model/job/inspection';
import { accessNameAt, runNameAt } from '../../model/job/labels';
import type { Run } from '../../model/job/run';
import type { Entry } from '../../model/log/entry';
import type { Heard, HeardEntry, HeardRun } from './heard';

/** A file needs a size: the usual one, and the place says that nobody said it. */
const USUAL_IN = 4;

const accessOf = (
  label: string,
  kind: AccessPoint['kind'],
  place: string,
  obstacle: string | null,
): AccessPoint => ({
  id: label,
  label,
  kind,
  diameterIn: USUAL_IN,
  material: 'unknown',
  place: `${place}, size not said`,
  usable: obstacle === null,
  obstacle,
});

/** An entry of the log, at the time into the recording at which it was said. */
function entryOf({ sentence, ...draft }: HeardEntry, startedAt: string, at: number): Entry {
  const ms = sentence.fromMs ?? at * 1000;
  return { ...draft, at: new Date(Date.parse(startedAt) + ms).toISOString() };
}

function runOf(heard: HeardRun, at: number, startedAt: string, accessPointId: string): Run {
  const label = runNameAt(at);
  const { zero, cleanedBefore = 'unknown', waterAtStart, outcome, facing, entries } = heard;
  const ids = new Set(entries.map(({ id }) => id));
  return {
    id: label,
    label,
    accessPointId,
    facing,
    zero: { at: zero?.at ?? 'unknown', readingFt: zero?.readingFt ?? 0, dropFt: 0 },
    cleanedBefore,
    ...(waterAtStart === undefined ? {} : { waterAtStart }),
    ...(outcome === undefined ? {} : { outcome }),
    aid: 'none',
    entries: entries.map((entry, index) => {
      const made = entryOf(entry, startedAt, index);
      // What it took the place of is not in the file.
      const { replaces, ...rest } = made;
      return replaces === undefined || ids.has(replaces) ? made : rest;
    }),
  };
}

/**
 * A whole inspection of what was heard, with what nobody said left unknown.
 *
 * @param startedAt when the recording began, as RFC 3339.
 */
export function asInspection({ runs, facts }: Heard, startedAt: string): Inspection {
  const used = runs.map((run, at) =>
    accessOf(accessNameAt(at), run.access ?? 'other', run.accessWords || 'not said', null),
  );
  const refused = (facts.accessPoints ?? []).map(({ kind, words, why }, at) =>
    accessOf(accessNameAt(used.length + at), kind, words, why),
  );
  return {
    format: 'chert-inspection',
    version: 1,
    job: {
      id: 'heard',
      title: 'From a narration',
      scope: 'lateral',
      scheduledFor: startedAt,
      inspector: 'not said',
      client: 'not said',
      responsibility: 'to-main',
      ...(runs.length > 0 ? { referenceRunId: runNameAt(0) } : {}),
      profile: 'maintain-first',
    },
    property: {
      address: 'not said',
      households: 1,
      occupancy: 'unknown',
      foundation: 'unknown',
      ...facts.property,
    },
    accessPoints: [...used, ...refused],
    runs: runs.map((run, at) => runOf(run, at, startedAt, used[at]!.id)),
    ties: [],
    decisions: [],
    settings: {},
  };
}
