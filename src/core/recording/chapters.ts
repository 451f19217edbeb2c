import { writeCues } from '../base/webvtt';
import type { Recording } from '../model/job/recording';
import type { Run } from '../model/job/run';
import { foldLog } from '../model/log/fold';
import { sayEntry } from '../model/log/say-entry';
import { momentOf } from './mark';
import type { Timeline } from './timeline';

/** A moment of a recording with what is logged there. */
export type Chapter = {
  readonly entryId: string;
  readonly atMs: number;
  /** How far the moment may be off, ms; 0 where it was logged while the recording ran. */
  readonly plusMinusMs: number;
  readonly title: string;
};

/** Kinds that make a chapter: what is seen in the picture. */
const SHOWN = ['material', 'feature', 'defect', 'end', 'flag', 'unseen', 'clear'];

/** Every standing entry of a run that a recording shows, with its moment, in order. */
export function chaptersOf(run: Run, recording: Recording, timeline: Timeline): Chapter[] {
  const chapters = foldLog(run.entries).standing.flatMap((entry): Chapter[] => {
    if (!SHOWN.includes(entry.kind)) return [];
    const title = sayEntry(entry).title;
    const loggedMs = entry.secondLook ? null : momentOf(entry, run, recording);
    if (loggedMs !== null) return [{ entryId: entry.id, atMs: loggedMs, plusMinusMs: 0, title }];
    if (entry.readingFt === null) return [];
    const [first] = timeline.momentsOf(entry.readingFt, entry.pass);
    return first ? [{ entryId: entry.id, ...first, title }] : [];
  });
  return chapters.sort((a, b) => a.atMs - b.atMs);
}

/** Chapters as a WebVTT file that any player reads. */
export function writeChapters(
  chapters: readonly Chapter[],
  durationMs: number,
  readingAt: (ms: number) => string,
): string {
  return writeCues(
    chapters.map(({ atMs, title }, index) => ({
      fromMs: atMs,
      toMs: Math.max(atMs + 1, chapters[index + 1]?.atMs ?? durationMs),
      text: `${readingAt(atMs)}${title}`,
    })),
  );
}
