import { writeCues } from '../base/webvtt';
import type { Assessment } from '../judge/assessment';
import { sayEntry } from '../model/log/say-entry';

/** The last chapter goes on for this long. */
const LAST_MS = 10_000;

/**
 * Writes chapters for a run's video as WebVTT: one for each thing called out, from when it was logged to
 * the next. The video is taken to begin with the run's first entry, `offsetMs` into it.
 *
 * @returns `null` when there is no such run.
 */
export function writeChapters(assessment: Assessment, runId: string, offsetMs = 0): string | null {
  const log = assessment.logs.get(runId);
  if (!log) return null;
  const said = log.standing.toSorted((a, b) => Date.parse(a.at) - Date.parse(b.at));
  const startMs = said.length > 0 ? Date.parse(said[0]!.at) : 0;
  const cues = said.map((entry, index) => {
    const fromMs = Date.parse(entry.at) - startMs + offsetMs;
    const next = said.slice(index + 1).find(({ at }) => Date.parse(at) > Date.parse(entry.at));
    const toMs = next ? Date.parse(next.at) - startMs + offsetMs : fromMs + LAST_MS;
    const at = entry.readingFt === null ? '' : `${entry.readingFt} ft: `;
    return { fromMs, toMs, text: `${at}${sayEntry(entry).title}` };
  });
  return writeCues(cues);
}
