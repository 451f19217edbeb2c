import { startInspection } from '#core/model/job/booking';
import { checkBooking } from '#core/model/job/booking.schema';
import { database } from '#server/database';
import { noteDeed } from '#server/deeds';
import { refuseNobody } from '#server/edits';
import { answer, refuseConflict, refuseFaults } from '#server/http/answer';
import { readJson } from '#server/http/body';
import { endpoint } from '#server/http/endpoint';
import { BODY_LIMITS } from '#server/http/limits';
import { refuseMethod } from '#server/http/params';
import { storeInspection } from '#server/inspections';
import { listJobs } from '#server/jobs';
import { ownedBy } from '#server/people/own-job';
import { loadPreferences } from '#server/preferences';

/** Books a job. */
export const POST = endpoint(async ({ request, locals }) => {
  const booking = checkBooking(await readJson(request, BODY_LIMITS.record));
  if (!booking.ok) throw refuseFaults(booking.faults);
  const { assignedTo } = booking.value;
  if (locals.who && assignedTo !== undefined) refuseNobody(database(), assignedTo);
  const now = new Date().toISOString();
  const begun = startInspection(booking.value, loadPreferences(database()).judgement);
  const outcome = storeInspection(database(), ownedBy(begun, locals.who), now);
  if (outcome === 'conflict') throw refuseConflict('job');
  if (outcome === 'stored')
    noteDeed(database(), booking.value.id, { what: 'booked' }, locals.who, now);
  return answer({ id: booking.value.id, outcome }, outcome === 'stored' ? 201 : 200);
});

export const GET = endpoint(() => answer({ jobs: listJobs(database()) }));

export const ALL = endpoint(() => {
  throw refuseMethod('GET or POST');
});
