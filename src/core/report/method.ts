import { sayFt } from '../base/numbers';
import type { Derived } from '../derive';
import { dayOf, sayLongDay } from './calendar';
import { ACCESS_WORDS } from './words';

/** How the line was looked at: by whom, from where, with what, and how footage was counted. */
export function composeMethod(derived: Derived): string[] {
  const { inspection } = derived;
  const { job } = inspection;
  const by = job.inspector ? ` by ${job.inspector}` : '';
  const method = [`A camera was pushed through the line on ${sayLongDay(dayOf(job.scheduledFor))}${by}.`];
  for (const axis of [derived.lateral, ...derived.branches].flatMap((l) => [...l.axes, ...l.unplaced])) {
    const { run, home } = axis;
    const access = inspection.accessPoints.find(({ id }) => id === run.accessPointId);
    const from = access ? `${access.id}, the ${ACCESS_WORDS[access.kind]}${access.place ? ` (${access.place})` : ''}` : run.accessPointId;
    const drop = run.zero.at === 'rim' && run.zero.dropFt > 0
      ? ` The drop of ${sayFt(run.zero.dropFt)} ft below the rim is taken off.`
      : '';
    const slip = home.homeFt === null
      ? ' The counter was not read when the camera came home.'
      : ` The counter came home ${sayFt(Math.abs(home.misclosureFt))} ft out; that is shared out over the footages.`;
    method.push(`Run ${run.id} went ${run.facing} from ${from}, to ${sayFt(home.farthestFt)} ft on the counter.${drop}${slip}`);
  }
  const profile = job.profile === 'maintain-first' ? 'Maintain first' : 'Renew first';
  method.push(`Judged by the profile “${profile}”.`);
  return method;
} // prettier-ignore
