import { groupBy } from '../base/group';
import { buyerWordsOf } from '../catalogue/defects/kinds';
import type { Assessment } from '../judge/assessment';
import { labelIn } from '../model/job/labels';
import { chosenStills } from '../model/job/report-words';
import { sayEntry } from '../model/log/say-entry';
import type { StillMeasure } from '../model/log/still-measure';
import type { Picture } from './block';
import { sayPlace } from './place';

/** What was measured on each still. */
function measuresByStill({ logs }: Assessment): ReadonlyMap<string, readonly StillMeasure[]> {
  const measures = [...logs.values()].flatMap(({ standing }) =>
    standing.flatMap((entry) => (entry.kind === 'defect' ? (entry.measures ?? []) : [])),
  );
  return groupBy(measures, ({ photoId }) => photoId);
}

/** Every still of the log with what the log says of it: those of findings first, in their order. */
export function listStills(assessment: Assessment): Picture[] {
  const captions = new Map<string, string>();
  for (const finding of assessment.findings)
    for (const id of finding.photoIds)
      captions.set(
        id,
        `Finding ${finding.number}: ${buyerWordsOf(finding.kind).name.toLowerCase()} ${sayPlace(finding, assessment.names)}.`,
      );
  for (const [runId, { standing }] of assessment.logs)
    for (const entry of standing)
      for (const id of entry.photoIds ?? [])
        if (!captions.has(id)) {
          const at = entry.readingFt === null ? '' : ` at ${entry.readingFt} ft on the counter`;
          captions.set(
            id,
            `${sayEntry(entry).title}${at}, run ${labelIn(assessment.inspection.runs, runId)}.`,
          );
        }
  const measured = measuresByStill(assessment);
  return [...captions].map(([photoId, caption]): Picture => {
    const measures = measured.get(photoId);
    return measures ? { photoId, caption, measures } : { photoId, caption };
  });
}

/** The stills that the report shows: those chosen, in their order; all of them while none were chosen. */
export function chooseStills(assessment: Assessment): Picture[] {
  const all = listStills(assessment);
  const chosen = chosenStills(assessment.inspection.decisions);
  if (!chosen) return all;
  return chosen.photoIds.flatMap((id) => all.find(({ photoId }) => photoId === id) ?? []);
}
