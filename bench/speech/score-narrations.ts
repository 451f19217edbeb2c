import { readdirSync, readFileSync } from 'node:fs';
import { hear } from '#core/speech/hear/hear';
import type { HeardEntry } from '#core/speech/hear/heard';
import { matchWanted, thingOf, type Wanted, wantedOf } from './score-lines';

export type ScoredNarration = {
  readonly name: string;
  readonly sentences: number;
  readonly wanted: number;
  readonly found: number;
  /** Of those found whose footage was said: how many have it. */
  readonly placed: number;
  readonly placeable: number;
  readonly falseFacts: readonly string[];
  readonly missed: readonly string[];
};

/** What a false fact can be: what states that something is there. */
const STATES = ['defect', 'feature', 'material', 'end', 'home'];

const isNear = (got: unknown, want: unknown) =>
  typeof want === 'number' ? typeof got === 'number' && Math.abs(got - want) < 0.6 : got === null;

/** A draft with what closes it laid in. */
function closed(entries: readonly HeardEntry[]): Record<string, unknown>[] {
  return entries.flatMap((entry) => {
    if (entry.kind === 'close') return [];
    const close = entries.find((one) => one.kind === 'close' && one.closes === entry.id);
    const to = close?.readingFt;
    return [{ ...entry, ...(to === undefined || to === null ? {} : { toReadingFt: to }) }];
  });
}

function scoreOne(folder: string, name: string, file: string): ScoredNarration {
  const heard = hear(readFileSync(`${folder}/${file}`, 'utf8'));
  const lines = readFileSync(`${folder}/${name}.want`, 'utf8').trim().split('\n');
  const runs: Wanted[][] = [];
  for (const line of lines) {
    if (line.startsWith('run ')) runs.push([]);
    else runs.at(-1)!.push(wantedOf(line));
  }
  const missed: string[] = [];
  const falseFacts: string[] = [];
  let [found, placed, placeable, wanted] = [0, 0, 0, 0];
  runs.forEach((list, at) => {
    const left = closed(heard.runs[at]?.entries ?? []);
    for (const want of list) {
      wanted += 1;
      const { readingFt, toReadingFt: _to, ...rest } = want.fields;
      const alike = left.filter((one) => thingOf(one) === thingOf(want.fields));
      const best =
        alike.find((one) => isNear(one['readingFt'], readingFt ?? null)) ??
        alike.find((one) => matchWanted(one, { ...want, fields: rest }).length === 0);
      if (!best) {
        missed.push(thingOf(want.fields));
        continue;
      }
      found += 1;
      left.splice(left.indexOf(best), 1);
      if (readingFt === undefined) continue;
      placeable += 1;
      if (isNear(best['readingFt'], readingFt)) placed += 1;
      else missed.push(`${thingOf(want.fields)}: at ${String(best['readingFt'])}`);
    }
    // "from ABS to clay": the pipe before is said as well, and is no other thing.
    const isBefore = (one: Record<string, unknown>) =>
      one['kind'] === 'material' &&
      (heard.runs[at]?.entries ?? []).some(
        (other) =>
          other.kind === 'material' &&
          other.id !== one['id'] &&
          other.readingFt === one['readingFt'] &&
          other.side !== one['side'],
      );
    for (const one of left.filter((each) => !isBefore(each)))
      if (STATES.includes(String(one['kind'])))
        falseFacts.push(`${thingOf(one)} at ${String(one['readingFt'])}`);
  });
  for (const { entries } of heard.runs.slice(runs.length))
    falseFacts.push(
      ...entries.filter(({ kind }) => STATES.includes(kind)).map((one) => thingOf({ ...one })),
    );
  const sentences = readFileSync(`${folder}/${file}`, 'utf8').split(/[.!?\n]+\s/).length;
  return { name, sentences, wanted, found, placed, placeable, falseFacts, missed };
}

/** Reads every narration of a folder and says how it went. */
export function scoreNarrations(folder: string): ScoredNarration[] {
  return readdirSync(folder)
    .filter((file) => !file.endsWith('.want'))
    .map((file) => scoreOne(folder, file.replace(/\.\w+$/, ''), file));
}
