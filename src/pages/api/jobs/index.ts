import { startInspection } from '#core/model/job/booking';
import { checkBooking } from '#core/model/job/booking.schema';
import { database } from '#server/database';
import { answer, refuseConflict, refuseFaults } from '#server/http/answer';
import { readJson } from '#server/http/body';
import { endpoint } from '#server/http/endpoint';
import { BODY_LIMITS } from '#server/http/limits';
import { refuseMethod } from '#server/http/params';
import { storeInspection } from '#server/inspections';
import { listJobs } from '#server/jobs';
import { loadPreferences } from '#server/preferences';

/** Books a job. */
export const POST = endpoint(async ({ request }) => {
  const booking = checkBooking(await readJson(request, BODY_LIMITS.record));
  if (!booking.ok) throw refuseFaults(booking.faults);
  const outcome = storeInspection(
    database(),
    startInspection(booking.value, loadPreferences(database()).judgement),
    new Date().toISOString(),
  );
  if (outcome === 'conflict') throw refuseConflict('job');
  return answer({ id: booking.value.id, outcome }, outcome === 'stored' ? 201 : 200);
});

export const GET = endpoint(() => answer({ jobs: listJobs(database()) }));

export const ALL = endpoint(() => {
  throw refuseMethod('GET or POST');
});
