import { sayFt } from '../base/numbers';
import { accessOf } from '../catalogue/access/kinds';
import type { Assessment } from '../judge/assessment';
import type { Lateral } from '../lateral/lateral';
import type { Homecoming } from '../measure/homecoming';
import { labelOf } from '../model/job/labels';
import { reportOptions } from '../model/job/settings';
import { dayOf, sayLongDay } from './calendar';

/** How the line was looked at: by whom, from where, with what, and how footage was counted. */
export function composeMethod(assessment: Assessment): string[] {
  const { inspection } = assessment;
  const { job } = inspection;
  const by = job.inspector ? ` by ${job.inspector}` : '';
  const method = [
    `A camera was pushed through the line on ${sayLongDay(dayOf(job.scheduledFor))}${by}.`,
  ];
  for (const axis of [assessment.lateral, ...assessment.branches].flatMap((l) => [
    ...l.axes,
    ...l.unplaced,
  ])) {
    const { run, home } = axis;
    const access = inspection.accessPoints.find(({ id }) => id === run.accessPointId);
    const from = access
      ? `${labelOf(access)}, the ${accessOf(access.kind).buyerName}${access.place ? ` (${access.place})` : ''}`
      : axis.from;
    const drop =
      run.zero.at === 'rim' && run.zero.dropFt > 0
        ? ` The drop of ${sayFt(run.zero.dropFt)} ft below the rim is taken off.`
        : '';
    method.push(
      `Run ${labelOf(run)} went ${run.facing} from ${from}, to ${sayFt(home.farthestFt)} ft on the counter.${drop} ${sayHomecoming(home)}`,
    );
  }
  method.push(...[assessment.lateral, ...assessment.branches].flatMap(sayJoining));
  if (!reportOptions(assessment.settings).nameProfile) return method;
  const profile = job.profile === 'maintain-first' ? 'Maintain first' : 'Renew first';
  method.push(`Judged by the profile “${profile}”.`);
  return method;
}

/** How the counter came home, and what was made of it. */
function sayHomecoming({ homeFt, misclosureFt, implausible }: Homecoming): string {
  if (homeFt === null) return 'The counter was not read when the camera came home.';
  const outFt = sayFt(Math.abs(misclosureFt));
  if (implausible)
    return `The camera is said to be home ${outFt} ft from its zero: more than a counter slips, so no footage was moved for it.`;
  return outFt === '0'
    ? 'The counter came home at its zero.'
    : `The counter came home ${outFt} ft out; that is shared out over the footages.`;
}

/** How runs from other accesses were brought onto one line of footages, and how sure that is. */
function sayJoining({ axes, join }: Lateral): string[] {
  const [reference] = axes.filter(({ originFt }) => originFt === 0);
  const others = new Map(
    axes
      .filter(({ originFt }) => originFt !== 0)
      .map((axis) => [axis.run.accessPointId, axis] as const),
  );
  return [...others.values()].map((axis) => {
    const things = join.ties.filter(({ sightings }) =>
      sightings.some(({ runId }) => runId === axis.run.id),
    ).length;
    const by =
      things === 0
        ? 'by the taped distance'
        : `by ${things === 1 ? 'one thing' : `${things} things`} that more than one run saw`;
    const sigmaFt = axis.placeOf('out', axis.home.zeroFt).sigmaFt;
    return `Footages from ${axis.from} were matched to those from ${reference?.from ?? 'the first access'} ${by}; they are good to about ${sayFt(2 * sigmaFt)} ft.`;
  });
}
