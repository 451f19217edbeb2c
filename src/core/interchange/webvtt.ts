import type { Assessment } from '../judge/assessment';
import { sayEntry } from '../model/log/say-entry';

const two = (value: number) => String(value).padStart(2, '0');

/** A time as WebVTT has it: "00:03:25.000". */
function sayTime(ms: number): string {
  const whole = Math.max(0, Math.round(ms));
  const seconds = Math.floor(whole / 1000);
  return `${two(Math.floor(seconds / 3600))}:${two(Math.floor(seconds / 60) % 60)}:${two(seconds % 60)}.${String(whole % 1000).padStart(3, '0')}`;
}

/** Text that a cue may hold: on one line, with nothing that would be taken for markup or a timing. */
const escape = (text: string) =>
  text
    .replace(/\s+/g, ' ')
    .replace(/&/g, '&amp;')
    .replace(/</g, '&lt;')
    .replace(/>/g, '&gt;')
    .trim();

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
    return `${index + 1}\n${sayTime(fromMs)} --> ${sayTime(toMs)}\n${escape(`${at}${sayEntry(entry).title}`)}`;
  });
  return ['WEBVTT', ...cues].join('\n\n') + '\n';
}
