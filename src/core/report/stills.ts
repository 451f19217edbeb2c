import { labelIn } from '../job/labels';
import type { Derived } from '../derive';
import { chosenStills } from '../job/report-words';
import { sayEntry } from '../log/say-entry';
import type { Picture } from './block';
import { sayPlace } from './place';
import { FINDING_WORDS } from './words';

/** Every still of the log with what the log says of it: those of findings first, in their order. */
export function listStills(derived: Derived): Picture[] {
  const captions = new Map<string, string>();
  for (const finding of derived.findings)
    for (const id of finding.photoIds)
      captions.set(
        id,
        `Finding ${finding.number}: ${FINDING_WORDS[finding.kind].name.toLowerCase()} ${sayPlace(finding, derived.names)}.`,
      );
  for (const [runId, { standing }] of derived.logs)
    for (const entry of standing)
      for (const id of entry.photoIds ?? [])
        if (!captions.has(id)) {
          const at = entry.readingFt === null ? '' : ` at ${entry.readingFt} ft on the counter`;
          captions.set(
            id,
            `${sayEntry(entry).title}${at}, run ${labelIn(derived.inspection.runs, runId)}.`,
          );
        }
  return [...captions].map(([photoId, caption]) => ({ photoId, caption }));
}

/** The stills that the report shows: those chosen, in their order; all of them while none were chosen. */
export function chooseStills(derived: Derived): Picture[] {
  const all = listStills(derived);
  const chosen = chosenStills(derived.inspection.decisions);
  if (!chosen) return all;
  return chosen.photoIds.flatMap((id) => all.find(({ photoId }) => photoId === id) ?? []);
}
