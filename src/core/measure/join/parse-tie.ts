import type { Inspection } from '../../model/job/inspection';
import type { FoldedLog } from '../../model/log/fold';
import { thingOf } from './things';

/** What was typed as a tie, or what is wrong with it and the next move. */
export type TypedTie =
  | {
      readonly ok: true;
      readonly label: string;
      readonly sightings: Inspection['ties'][number]['sightings'];
    }
  | { readonly ok: false; readonly why: string };

/** A thing typed this near its reading is meant, feet. */
const NEAR_FT = 1;

/**
 * Reads a typed tie: two places or more, `run footage` each, with `=` or `and` between them, and words
 * for a label before or after if wanted: `R1 27.5 = R2 14 kitchen tee`.
 */
export function parseTie(
  text: string,
  logs: ReadonlyMap<string, FoldedLog>,
  nameOf: (runId: string) => string = (runId) => runId,
): TypedTie {
  const byName = new Map([...logs.keys()].map((runId) => [nameOf(runId), runId] as const));
  const names = [...byName.keys()].sort((a, b) => b.length - a.length);
  const escaped = names.map((name) => name.replace(/[.*+?^${}()|[\]\\]/g, '\\$&'));
  const place = new RegExp(
    `(?<![\\w])(${escaped.join('|')})(?:\\s+at|:)?\\s+(\\d+(?:\\.\\d+)?)\\s*(?:ft|')?`,
    'gi',
  );
  const found = names.length === 0 ? [] : [...text.matchAll(place)];
  if (found.length < 2) {
    return {
      ok: false,
      why: `Say a run and its footage twice, such as “${names.at(-1) ?? 'R1'} 27.5 = ${names.at(-2) ?? 'R2'} 14”.`,
    };
  }
  const sightings: { runId: string; entryId: string }[] = [];
  for (const [, name, reading] of found) {
    const said = names.find((one) => one.toLowerCase() === name!.toLowerCase())!;
    const runId = byName.get(said)!;
    const near = logs
      .get(runId)!
      .standing.filter((entry) => thingOf(entry) !== null && entry.readingFt !== null)
      .map((entry) => ({ entry, offFt: Math.abs(entry.readingFt! - Number(reading)) }))
      .filter(({ offFt }) => offFt <= NEAR_FT)
      .sort((a, b) => a.offFt - b.offFt);
    if (!near[0]) {
      return { ok: false, why: `${said} has nothing logged within a foot of ${reading}.` };
    }
    sightings.push({ runId, entryId: near[0].entry.id });
  }
  if (new Set(sightings.map(({ runId }) => runId)).size < 2) {
    return { ok: false, why: 'A tie joins two runs: name a place in each.' };
  }
  const label = text
    .replace(place, ' ')
    .replace(/=|\band\b/gi, ' ')
    .replace(/[\s,]+/g, ' ')
    .trim();
  return { ok: true, label, sightings };
}
