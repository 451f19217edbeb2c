import { checkBooking } from '#core/model/job/booking.schema';
import { answer, refuseFaults } from '#server/http/answer';
import { readJson } from '#server/http/body';
import { endpoint } from '#server/http/endpoint';
import { BODY_LIMITS } from '#server/http/limits';
import { refuseMethod } from '#server/http/params';
import { bookJob, listJobs } from '#server/services/jobs';

/** Books a job. */
export const POST = endpoint(async ({ request, locals }) => {
  const booking = checkBooking(await readJson(request, BODY_LIMITS.record));
  if (!booking.ok) throw refuseFaults(booking.faults);
  const outcome = bookJob(locals.call, booking.value);
  return answer({ id: booking.value.id, outcome }, outcome === 'stored' ? 201 : 200);
});

export const GET = endpoint(({ locals }) => answer({ jobs: listJobs(locals.call) }));

export const ALL = endpoint(() => {
  throw refuseMethod('GET or POST');
});
