import type { Assessment } from '#core/judge/assessment';
import { listToClear } from '#core/judge/to-clear';
import type { Recording } from '#core/model/job/recording';
import type { Run } from '#core/model/job/run';
import type { Entry } from '#core/model/log/entry';
import { foldLog } from '#core/model/log/fold';
import { type Chapter, chaptersOf } from '#core/recording/chapters';
import type { Timeline } from '#core/recording/timeline';

export type Row = {
  readonly entry: Entry;
  readonly chapter: Chapter | null;
  readonly open: string | null;
};

const SEEN: readonly Entry['kind'][] = [
  'flag',
  'material',
  'feature',
  'defect',
  'unseen',
  'clear',
  'end',
];

/** Why an entry is not settled: a flag, a doubt, or what a check asks that the picture can answer. */
function openOf(entry: Entry, asked: ReadonlyMap<string, string>): string | null {
  if (entry.kind === 'flag') return 'Flag: what is it?';
  if (entry.certainty === 'suspected') return 'Suspected: look whether it is so';
  if (entry.certainty === 'cannot-tell') return 'Could not be told: look again';
  return asked.get(entry.id) ?? null;
}

/** Checks that a picture can answer. */
const ANSWERED_BY_PICTURE: Readonly<Record<string, string>> = {
  'size-missing': 'No size: measure it',
  'size-by-word': 'Sized by a word: measure it',
  'material-suspected': 'Material not sure',
  'reading-missing': 'No footage',
  'no-photo': 'No still',
  'stretch-open': 'No other end',
};

/** The rows of the log that a recording can show, in order of their moments; those without one last. */
export function rowsOf(
  run: Run,
  recording: Recording | null,
  timeline: Timeline,
  assessment: Assessment,
): Row[] {
  const asked = new Map(
    listToClear(assessment).flatMap(({ code, entryIds, runIds }) => {
      const says = ANSWERED_BY_PICTURE[code];
      return says === undefined || !runIds.includes(run.id)
        ? []
        : entryIds.map((id) => [id, says] as const);
    }),
  );
  const chapters = new Map(
    recording
      ? chaptersOf(run, recording, timeline).map((chapter) => [chapter.entryId, chapter])
      : [],
  );
  const rows = foldLog(run.entries)
    .standing.filter(({ kind }) => SEEN.includes(kind))
    .map((entry) => ({
      entry,
      chapter: chapters.get(entry.id) ?? null,
      open: openOf(entry, asked),
    }));
  const whenOf = ({ chapter }: Row) => chapter?.atMs ?? Infinity;
  return recording ? rows.toSorted((a, b) => whenOf(a) - whenOf(b)) : rows;
}

/** The row that a moment is at: the last one that was passed, within some seconds. */
export function rowAt(rows: readonly Row[], atMs: number): Row | null {
  const passed = rows.filter(({ chapter }) => chapter !== null && chapter.atMs <= atMs + 500);
  return passed.at(-1) ?? null;
}

/** The next row after a moment that is not settled; from the end it begins anew. */
export function nextOpen(rows: readonly Row[], atMs: number, afterId: string | null): Row | null {
  const open = rows.filter((row) => row.open !== null);
  const after = open.findIndex(({ entry }) => entry.id === afterId);
  if (after >= 0) return open[(after + 1) % open.length] ?? null;
  return open.find(({ chapter }) => chapter !== null && chapter.atMs > atMs) ?? open[0] ?? null;
}

/** A clip begins so long before what it shows was logged, and ends so long after, ms: it was seen before it was said. */
const CLIP_BEFORE_MS = 6_000;
const CLIP_AFTER_MS = 6_000;

/** Where the part of a recording that shows an entry can be had as a file; `null` where none can be cut. */
export function clipUrlOf(
  jobId: string,
  recording: Recording | null,
  rows: readonly Row[],
  entry: Entry,
): string | null {
  const chapter = rows.find((row) => row.entry.id === entry.id)?.chapter;
  if (!chapter || recording?.place !== 'server' || recording.source === 'file') return null;
  const from = Math.max(0, Math.round(chapter.atMs - CLIP_BEFORE_MS));
  const to = Math.round(chapter.atMs + CLIP_AFTER_MS);
  const path = [jobId, recording.id].map(encodeURIComponent);
  return `/api/jobs/${path[0]}/recordings/${path[1]}/clip?from=${from}&to=${to}`;
}
