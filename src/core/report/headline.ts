import { totalFt } from '../base/interval';
import { roundTo } from '../base/numbers';
import { accessOf } from '../catalogue/access/kinds';
import { sayFeet } from '../catalogue/say-size';
import { zoneOf } from '../catalogue/zones';
import type { Assessment } from '../judge/assessment';
import type { Finding } from '../judge/finding';
import { endsLine } from '../lateral/terminus';
import type { AccessPoint } from '../model/job/access-point';
import { describeFinding } from './describe';
import { inScope } from './in-scope';
import { sayPipeAbove, sayPlace } from './place';
import { failedOutside } from './unsettled';
import { sayAnswer, sayVerdict } from './verdict-words';
import { capital, END_WORDS, isSmallCount, sayCount } from './words';

/** How much of the line was seen. What stands under water was passed, and its bottom was not seen. */
function sayCompleteness(assessment: Assessment): string {
  const { coverage, reached, reachedMain, terminus, axes } = assessment.lateral;
  if (axes.length === 0) return 'Nothing of it has been seen yet.';
  const { obscuredFt, unreachedFt, upper } = coverage;
  if (assessment.completeness === 'whole') {
    const from = upper === null || upper.state === 'seen' ? '' : ` from ${upper.from}`;
    const wetFt = poolFt(assessment);
    const all = `All ${sayFeet(totalFt(reached))}${from} were seen`;
    return wetFt >= 0.5
      ? `${all}, but for the bottom of ${sayFeet(wetFt)} under water.`
      : `${all}.`;
  }
  if (terminus && endsLine(terminus.kind) && terminus.confirmedBy === 'none') {
    return `Nobody confirmed that it ends at ${END_WORDS[terminus.kind]}.`;
  }
  if (unreachedFt === null) {
    if (reachedMain && upper?.state === 'unreached')
      return `${capital(sayPipeAbove(upper))} was not reached, and nobody knows how long it is.`;
    return 'The rest of the line was not reached, and nobody knows how long it is.';
  }
  const unseenFt = obscuredFt + unreachedFt;
  if (unseenFt >= 0.5) {
    const about = unreachedFt > 0 && !reachedMain ? 'About ' : '';
    return `${about}${about ? sayFeet(unseenFt) : capitalFeet(unseenFt)} went unseen.`;
  }
  return 'Not all of the line could be joined up.';
}

/** Feet of the house line whose bottom lies under standing water. */
function poolFt({ findings, lateral }: Assessment): number {
  return totalFt(
    findings
      .filter(
        ({ kind, placed, lineId, review }) =>
          kind === 'standing-water' &&
          placed &&
          lineId === lateral.lineId &&
          review?.verdict !== 'dismissed',
      )
      .map(({ span }) => span),
  );
}

function capitalFeet(valueFt: number): string {
  const feet = roundTo(valueFt, 0);
  return capital(
    isSmallCount(feet) ? `${sayCount(feet)} ${feet === 1 ? 'foot' : 'feet'}` : sayFeet(valueFt),
  );
}

/** The headline: the answer to what was asked, what to do, and how much of the line was seen. */
export function composeHeadline(assessment: Assessment): string {
  const outside = failedOutside(assessment);
  const courtesy =
    outside.length === 0 ? [] : [`Outside what was asked for: ${outside.join('; ')}.`];
  const answer = sayAnswer(assessment);
  return [
    ...(answer === null ? [] : [answer]),
    sayVerdict(assessment),
    sayCompleteness(assessment),
    ...courtesy,
  ].join(' ');
}

/** Openings that are named well enough by what they are. */
const NAMED_BY_KIND: readonly AccessPoint['kind'][] = ['roof-vent', 'pulled-toilet', 'other'];

/** An access point for the buyer: "the cleanout in the yard". */
function sayOpening({ kind, zone }: AccessPoint): string {
  const name = `the ${accessOf(kind).buyerName}`;
  return NAMED_BY_KIND.includes(kind) || zone === undefined
    ? name
    : `${name} in the ${zoneOf(zone).buyerName}`;
}

/** Two sentences under the headline: from where to where, and the worst of it. */
export function composeLead(assessment: Assessment): string {
  const { lateral, inspection } = assessment;
  const axis = lateral.axes.find(({ originFt }) => originFt === 0) ?? lateral.axes[0];
  if (!axis) return 'No camera run has been logged for this job.';
  const access = inspection.accessPoints.find(({ id }) => id === axis.run.accessPointId);
  const opening = access ? sayOpening(access) : 'the opening';
  const reachedFt = totalFt(lateral.reached);
  const wholeFt = reachedFt + (lateral.coverage.unreachedFt ?? 0);
  const of = lateral.coverage.unreachedFt === null ? '' : ` of ${sayFeet(wholeFt)}`;
  const end = lateral.terminus;
  const unsure = end && endsLine(end.kind) && end.confirmedBy === 'none' ? ' (not confirmed)' : '';
  const to = end ? `, to ${END_WORDS[end.kind]}${unsure}` : '';
  const isWhole = assessment.completeness === 'whole';
  const saw = isWhole
    ? `We saw all ${sayFeet(reachedFt)}, from ${opening}${to}.`
    : of
      ? `We saw ${roundTo(lateral.coverage.clearFt, 0)}${of}, from ${opening}${to}.`
      : `We saw ${sayFeet(lateral.coverage.clearFt)}, from ${opening}${to}.`;
  const worst = inOrderOfWork(inScope(assessment)).find(({ severity }) => severity !== 'slight');
  if (!worst) return saw;
  const place = sayPlace(worst, assessment.names);
  return `${saw} The main point is ${place}: ${lower(describeFinding(worst))}`;
}

function lower(text: string): string {
  return text.charAt(0).toLowerCase() + text.slice(1);
}

const WORK_ORDER: readonly Finding['action'][] = [
  'urgent',
  'repair',
  'look-again',
  'upkeep',
  'monitor',
  'none',
];
const SEVERITY_ORDER: readonly Finding['severity'][] = ['failed', 'major', 'moderate', 'slight'];

/** Findings in the order of what the buyer must do; courtesies last. */
export function inOrderOfWork(findings: readonly Finding[]): Finding[] {
  return [...findings].sort(
    (a, b) =>
      Number(a.courtesy) - Number(b.courtesy) ||
      WORK_ORDER.indexOf(a.action) - WORK_ORDER.indexOf(b.action) ||
      SEVERITY_ORDER.indexOf(a.severity) - SEVERITY_ORDER.indexOf(b.severity) ||
      a.span.fromFt - b.span.fromFt,
  );
}
