import type { Pass } from '../catalogue/vocabulary';
import { followPass, type PassState } from '../measure/follow-pass';
import type { Recording } from '../model/job/recording';
import type { Run } from '../model/job/run';
import type { Entry } from '../model/log/entry';
import { type FoldedLog, foldLog } from '../model/log/fold';

/** A moment whose footage is known, and how well. */
export type FootageMark = {
  readonly atMs: number;
  readonly readingFt: number;
  readonly pass: Pass;
  /** σ of the footage and of the moment. */
  readonly sigmaFt: number;
  readonly sigmaMs: number;
  readonly from: 'counter' | 'log' | 'words' | 'hand';
  /** The entry or the set mark that it comes from. */
  readonly id?: string;
};

/** A reel's own counter beside its picture. */
const COUNTER = { sigmaFt: 0.05, sigmaMs: 150 };
/** Pressed while the thing is in the picture: it lies a little ahead of the lens. */
const HAND = { sigmaFt: 0.25, sigmaMs: 300 };
/** Logged in the field: the line was typed while the camera waited, or went on a little. */
const LOGGED = { sigmaFt: 0.25, sigmaMs: 2_500 };
/** Said to the video, to the foot, before or after the thing was passed. */
const SPOKEN = { sigmaFt: 0.5, sigmaMs: 3_000 };

/** What is logged at the counter's reading of that moment: a stretch has two, and what hangs on nothing has none. */
function isOfItsMoment(entry: Entry): boolean {
  if (entry.readingFt === null || entry.secondLook) return false;
  if ('toReadingFt' in entry) return false;
  return !['zone', 'surface', 'note', 'advice', 'water', 'flow-test', 'setup'].includes(entry.kind);
}

/**
 * When an entry was logged first, where it has said the same footage since (a still was added, a size was
 * mended); `null` where its footage was changed later, for then nobody knows at which moment it holds.
 */
function firstSaidAt(entry: Entry, log: FoldedLog): string | null {
  let first = entry;
  while (first.replaces !== undefined) {
    const before = log.byId.get(first.replaces);
    if (before?.readingFt !== entry.readingFt || before.pass !== entry.pass) return null;
    first = before;
  }
  return first.at;
}

/** The moment of a recording at which an entry was logged, milliseconds; `null` when it was not while it ran. */
export function momentOf(entry: Entry, run: Run, recording: Recording): number | null {
  const at = firstSaidAt(entry, foldLog(run.entries));
  if (at === null || recording.startedAt === undefined) return null;
  const atMs = Date.parse(at) - Date.parse(recording.startedAt);
  return atMs < 0 || atMs > (recording.durationMs ?? Infinity) ? null : atMs;
}

/** Moments of a recording at which the field log names a footage. */
export const marksOfLog = (run: Run, recording: Recording): FootageMark[] =>
  foldLog(run.entries).standing.flatMap((entry): FootageMark[] => {
    const { readingFt, pass, id } = entry;
    if (readingFt === null || !isOfItsMoment(entry)) return [];
    const atMs = momentOf(entry, run, recording);
    return atMs === null ? [] : [{ atMs, readingFt, pass, ...LOGGED, from: 'log', id }];
  });

/** Moments of the reel's counter. Which pass it is follows from where the camera has been. */
export function marksOfCounter(recording: Recording): FootageMark[] {
  let state: PassState = { pass: 'out', farthestFt: 0 };
  return (recording.counter ?? []).map(([atMs, readingFt]) => {
    state = followPass(state, readingFt);
    return { atMs, readingFt, pass: state.pass, ...COUNTER, from: 'counter' };
  });
}

/** Moments set by hand. */
export const marksOfHand = (recording: Recording): FootageMark[] =>
  (recording.marks ?? []).map(({ id, atMs, readingFt, pass }) => ({
    atMs,
    readingFt,
    pass,
    ...HAND,
    from: 'hand',
    id,
  }));

/** A footage that was said to the video at a moment. */
export const markOfWords = (atMs: number, readingFt: number, pass: Pass): FootageMark => ({
  atMs,
  readingFt,
  pass,
  ...SPOKEN,
  from: 'words',
});

/**
 * All that tells where the camera was, in order of time. A counter that ran beside the picture knows better
 * than what was logged or said: then those are left out.
 */
export function marksOf(
  run: Run,
  recording: Recording,
  spoken: readonly FootageMark[] = [],
): FootageMark[] {
  const counter = marksOfCounter(recording);
  const told = counter.length > 0 ? counter : [...marksOfLog(run, recording), ...spoken];
  return [...told, ...marksOfHand(recording)].sort((a, b) => a.atMs - b.atMs);
}
