import { totalFt } from '../base/interval';
import { roundTo } from '../base/numbers';
import type { Derived } from '../derive';
import type { AccessPoint } from '../job/access-point';
import type { Finding } from '../judge/finding';
import { endsLine } from '../lateral/terminus';
import { describeFinding, sayFeet } from './describe';
import { ACCESS_WORDS, FINDING_WORDS, END_WORDS, ZONE_WORDS } from './words';
import { sayPlace } from './place';

const COUNTS = [
  'no',
  'one',
  'two',
  'three',
  'four',
  'five',
  'six',
  'seven',
  'eight',
  'nine',
  'ten',
];

/** A small count in words. */
export function sayCount(count: number): string {
  return COUNTS[count] ?? String(count);
}

const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1);

/** The findings that the verdict rests on: in the agreed scope. */
export function inScope(derived: Derived): Finding[] {
  return derived.findings.filter(({ courtesy }) => !courtesy);
}

function sayVerdict(derived: Derived): string {
  const findings = inScope(derived);
  const withAction = (action: Finding['action']) =>
    findings.filter((finding) => finding.action === action);
  switch (derived.overall) {
    case 'not-serviceable': {
      const [first] = withAction('urgent');
      return first
        ? `Act now: ${FINDING_WORDS[first.kind].name.toLowerCase()} ${sayPlace(first, derived.lateral.axes[0]?.from ?? '')}.`
        : 'Act now: water backed up when a fixture was run.';
    }
    case 'repair-needed': {
      const count = withAction('repair').length;
      const spots = count === 1 ? 'one spot' : `${sayCount(count)} spots`;
      return derived.inspection.job.purpose === undefined ||
        derived.inspection.job.purpose === 'purchase'
        ? `Repair ${spots} before you close.`
        : `Repair ${spots}.`;
    }
    case 'inconclusive':
      return withAction('look-again').length > 0
        ? 'Have it looked at again before you decide.'
        : 'This sewer cannot be judged yet.';
    case 'serviceable-with-upkeep':
      return 'The sewer works. Plan on upkeep.';
    case 'serviceable':
      return 'The sewer works. No work is needed now.';
  }
}

function sayCompleteness(derived: Derived): string {
  const { coverage, reached, reachedMain, terminus, axes } = derived.lateral;
  if (axes.length === 0) return 'Nothing of it has been seen yet.';
  const { obscuredFt, unreachedFt } = coverage;
  if (derived.completeness === 'whole') return `All ${sayFeet(totalFt(reached))} were seen.`;
  const unseenFt = obscuredFt + (unreachedFt ?? 0);
  if (unreachedFt === null) {
    const rest = 'The rest of the line was not reached, and nobody knows how long it is.';
    if (terminus && endsLine(terminus.kind)) {
      return `Nobody confirmed that it ends at ${END_WORDS[terminus.kind]}.`;
    }
    return rest;
  }
  if (unseenFt >= 0.5) {
    const about = unreachedFt > 0 && !reachedMain ? 'About ' : '';
    const text = `${about}${about ? sayFeet(unseenFt) : capitalFeet(unseenFt)} went unseen.`;
    return text;
  }
  return 'Not all of the line could be joined up.';
}

function capitalFeet(valueFt: number): string {
  const feet = roundTo(valueFt, 0);
  return capital(
    COUNTS[feet] ? `${sayCount(feet)} ${feet === 1 ? 'foot' : 'feet'}` : sayFeet(valueFt),
  );
}

/** The headline: what to do, and how much of the line was seen. It always says both. */
export function composeHeadline(derived: Derived): string {
  return `${sayVerdict(derived)} ${sayCompleteness(derived)}`;
}

/** Openings that are named well enough by what they are. */
const NAMED_BY_KIND: readonly AccessPoint['kind'][] = ['roof-vent', 'pulled-toilet', 'other'];

/** An access point for the buyer: "the cleanout in the yard". */
function sayOpening({ kind, zone }: AccessPoint): string {
  const name = `the ${ACCESS_WORDS[kind]}`;
  return NAMED_BY_KIND.includes(kind) ? name : `${name} in the ${ZONE_WORDS[zone]}`;
}

/** Two sentences under the headline: from where to where, and the worst of it. */
export function composeLead(derived: Derived): string {
  const { lateral, inspection } = derived;
  const axis = lateral.axes[0];
  if (!axis) return 'No camera run has been logged for this job.';
  const access = inspection.accessPoints.find(({ id }) => id === axis.run.accessPointId);
  const opening = access ? sayOpening(access) : 'the opening';
  const reachedFt = totalFt(lateral.reached);
  const wholeFt = reachedFt + (lateral.coverage.unreachedFt ?? 0);
  const of = lateral.coverage.unreachedFt === null ? '' : ` of ${sayFeet(wholeFt)}`;
  const end = lateral.terminus;
  const unsure = end && endsLine(end.kind) && end.confirmedBy === 'none' ? ' (not confirmed)' : '';
  const to = end ? `, to ${END_WORDS[end.kind]}${unsure}` : '';
  const isWhole = derived.completeness === 'whole';
  const saw = isWhole
    ? `We saw all ${sayFeet(reachedFt)}, from ${opening}${to}.`
    : of
      ? `We saw ${roundTo(lateral.coverage.clearFt, 0)}${of}, from ${opening}${to}.`
      : `We saw ${sayFeet(lateral.coverage.clearFt)}, from ${opening}${to}.`;
  const worst = inOrderOfWork(inScope(derived)).find(({ severity }) => severity !== 'slight');
  if (!worst) return saw;
  const place = sayPlace(worst, axis.from);
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
