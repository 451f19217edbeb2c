/** Words with the time at which they were said, milliseconds into the recording; `null` where nobody knows. */
export type Cue = {
  readonly fromMs: number | null;
  readonly toMs: number | null;
  readonly text: string;
};

const TIME = /(?:(\d+):)?(\d{1,2}):(\d{2})(?:[.,](\d{1,3}))?/;
const ARROW = new RegExp(`^\\s*${TIME.source}\\s*-->\\s*${TIME.source}`);
const LEADING = new RegExp(`^\\s*[[(]?${TIME.source}[\\])]?\\s*[-–:]?\\s+(?=\\S)`);

const msOf = (match: RegExpMatchArray, at: number): number =>
  Number(match[at] ?? 0) * 3_600_000 +
  Number(match[at + 1]) * 60_000 +
  Number(match[at + 2]) * 1000 +
  Number((match[at + 3] ?? '').padEnd(3, '0'));

/** Without marks of layout: tags, notes of a sound, who speaks. */
const plain = (line: string) =>
  line
    .replace(/<[^>]*>/g, '')
    .replace(/\[(?:music|laughter|inaudible|noise|applause)[^\]]*\]/gi, '')
    .replace(/^\s*>>\s*/, '')
    .replace(/&amp;/g, '&')
    .replace(/&lt;/g, '<')
    .replace(/&gt;/g, '>')
    .replace(/\s+/g, ' ')
    .trim();

function readSubtitles(lines: readonly string[]): Cue[] {
  const cues: Cue[] = [];
  lines.forEach((line, at) => {
    const times = ARROW.exec(line);
    if (!times) return;
    const words: string[] = [];
    for (let next = at + 1; next < lines.length && lines[next]!.trim() !== ''; next += 1) {
      if (ARROW.test(lines[next]!)) break;
      words.push(plain(lines[next]!));
    }
    const text = words.filter((one) => one !== '').join(' ');
    if (text !== '') cues.push({ fromMs: msOf(times, 1), toMs: msOf(times, 5), text });
  });
  return cues;
}

/** Reads WebVTT, SubRip, or text whose lines may begin with a time. */
export function readCues(file: string): Cue[] {
  const lines = file.replace(/^\uFEFF/, '').split(/\r?\n/);
  if (lines.some((line) => ARROW.test(line))) return readSubtitles(lines);
  return lines.flatMap((line): Cue[] => {
    const time = LEADING.exec(line);
    const text = plain(time ? line.slice(time[0].length) : line);
    const fromMs = time ? msOf(time, 1) : null;
    return text === '' ? [] : [{ fromMs, toMs: fromMs, text }];
  });
}
