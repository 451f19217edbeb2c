import { assessed } from '#core/assess';
import { writeGeoJson } from '#core/interchange/geojson';
import { writeCalendar } from '#core/interchange/icalendar';
import { writeObservations } from '#core/interchange/observations-csv';
import { writeChapters } from '#core/interchange/webvtt';
import { refuseUnknown } from '#server/http/answer';
import { endpoint } from '#server/http/endpoint';
import { type FileOut, safeName, sendFile } from '#server/http/file';
import { refuseMethod, requireInspection } from '#server/http/params';
import { fileIdsOf, packJob } from '#server/services/jobs';

/** The job in open formats, by the name of the file. */
export const GET = endpoint(async (context) => {
  const inspection = requireInspection(context);
  const wanted = context.params['name'] ?? '';
  const title = safeName(inspection.job.title);
  const file = (name: string, type: string, bytes: FileOut['bytes']): Response =>
    sendFile({ name: `${title}${name}`, type, bytes });
  if (wanted === 'job.zip') {
    const { call } = context.locals;
    const fileIds = fileIdsOf(call, inspection.job.id);
    const zip = await packJob(call, inspection.job.id, inspection, fileIds);
    return file('.chert.zip', 'application/zip', zip);
  }
  const assessment = assessed(inspection);
  if (wanted === 'observations.csv')
    return file('-observations.csv', 'text/csv', writeObservations(assessment));
  if (wanted === 'located.geojson')
    return file('-located.geojson', 'application/geo+json', writeGeoJson(assessment));
  if (wanted === 'calendar.ics') return file('.ics', 'text/calendar', writeCalendar(assessment));
  if (wanted === 'chapters.vtt') {
    const runId = context.url.searchParams.get('run') ?? '';
    const offsetS = Number(context.url.searchParams.get('offset') ?? 0);
    const chapters = writeChapters(
      assessment,
      runId,
      Number.isFinite(offsetS) ? Math.max(0, offsetS) * 1000 : 0,
    );
    if (chapters !== null) return file(`-${safeName(runId, 'run')}.vtt`, 'text/vtt', chapters);
  }
  throw refuseUnknown('file of this job');
});

export const ALL = endpoint(() => {
  throw refuseMethod('GET');
});
