/** A part of a recording with its words. */
export type Cue = { readonly fromMs: number; readonly toMs: number; readonly text: string };

const two = (value: number) => String(value).padStart(2, '0');

/** A time as WebVTT has it: "00:03:25.000". */
export function sayTime(ms: number): string {
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

/** Cues as a WebVTT file that any player reads. */
export const writeCues = (cues: readonly Cue[]): string =>
  [
    'WEBVTT',
    ...cues.map(
      ({ fromMs, toMs, text }, index) =>
        `${index + 1}\n${sayTime(fromMs)} --> ${sayTime(toMs)}\n${escape(text)}`,
    ),
  ].join('\n\n') + '\n';
