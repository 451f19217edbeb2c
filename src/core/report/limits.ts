import { roundTo } from '../base/numbers';
import { sayFeet } from '../catalogue/say-size';
import type { Assessment } from '../judge/assessment';
import { isTooObscured } from '../judge/verdict';
import type { Lateral } from '../lateral/lateral';
import { sayOnLine } from '../lateral/say-place';
import { endsLine } from '../lateral/terminus';
import { lastLimits } from '../model/job/report-words';
import { lastLeaving } from '../model/job/rulings';
import { listUnsettled } from './unsettled';
import { END_WORDS, UNSEEN_WORDS } from './words';

/** What nobody could see or settle, each in a sentence. Unseen is a finding, never "satisfactory". */
export function composeLimits(assessment: Assessment): string[] {
  const { inspection } = assessment;
  const lines = [assessment.lateral, ...assessment.branches];
  return [
    ...lines.flatMap((lateral) => limitsOfLine(assessment, lateral)),
    ...listUnsettled(assessment).map((point) => `Not settled: ${point}.`),
    ...(inspection.job.scope === 'lateral'
      ? ['Drains inside and under the building were not part of this look.']
      : []),
    ...inspection.runs.flatMap((run) => {
      if (run.cleanedBefore === 'cut' || run.cleanedBefore === 'jetted') {
        return [
          `The line was ${run.cleanedBefore === 'cut' ? 'cut' : 'jetted'} clean before this look, so roots or grease may have been worse.`,
        ];
      }
      return [];
    }),
    ...(inspection.property.occupancy === 'vacant'
      ? ['The house was vacant. A clear line in an empty house proves little.']
      : []),
    ...openPoints(assessment),
    ...sayLeaving(assessment),
  ];
}

function limitsOfLine(assessment: Assessment, lateral: Lateral): string[] {
  const { names } = assessment;
  const { lineId } = lateral;
  const say = (fromFt: number, toFt: number) => sayOnLine({ lineId, fromFt, toFt }, names);
  const { coverage, terminus, reachedMain } = lateral;
  const limits: string[] = [];
  const line = names.isOne ? 'the line' : `the ${names.nameOf(lineId)}`;
  if (lateral.axes.length === 0) limits.push(`No run of the camera has a place on ${line}.`);
  for (const stretch of coverage.obscured) {
    const why = coverage.unseen.find(
      (unseen) => unseen.fromFt < stretch.toFt + 1e-6 && unseen.toFt > stretch.fromFt - 1e-6,
    );
    const cause = UNSEEN_WORDS[why?.cause ?? 'submerged'];
    limits.push(`${say(stretch.fromFt, stretch.toFt)}: ${cause}.`);
  }
  for (const gap of coverage.gaps) {
    limits.push(`${say(gap.fromFt, gap.toFt)}: no run went through here.`);
  }
  const pools = assessment.findings.filter(
    (finding) =>
      finding.kind === 'standing-water' && finding.placed && finding.lineId === lateral.lineId,
  );
  for (const pool of pools) {
    const where = say(pool.span.fromFt, pool.span.toFt);
    limits.push(`The bottom of the pipe under the standing water, ${where}.`);
  }
  if (terminus && endsLine(terminus.kind) && !reachedMain) {
    limits.push(`Nobody confirmed that ${line} ends at ${END_WORDS[terminus.kind]}.`);
  } else if (terminus && !endsLine(terminus.kind)) {
    const left =
      terminus.remainderFt === null
        ? 'How much remains is not known.'
        : `About ${sayFeet(terminus.remainderFt)} remain.`;
    limits.push(`The camera got as far as ${END_WORDS[terminus.kind]}${names.on(lineId)}. ${left}`);
  } else if (lateral.axes.length > 0 && !terminus) {
    limits.push(`Where ${line} ends was not logged.`);
  }
  for (const axis of lateral.unplaced) {
    if (axis.run.outcome === 'abandoned') continue;
    limits.push(
      `Run ${axis.name} from ${axis.from} saw ${sayFeet(axis.reachFt)}${names.on(lineId)} and is not joined to the rest: it is told by itself.`,
    );
  }
  if (isTooObscured(lateral)) {
    const percent = roundTo(
      (100 * coverage.obscuredFt) / (coverage.obscuredFt + coverage.clearFt),
      0,
    );
    limits.push(
      `${percent}% of the length reached${names.on(lineId)} was hidden, so nothing can be ruled out there.`,
    );
  }
  return limits;
}

/** Blockers that no other limit already tells. */
const TOLD_ELSEWHERE = [
  'end-unconfirmed',
  'run-no-end',
  'run-unplaced',
  'water-unverified',
  'zone-open',
];

/** What is left open, or goes out open, does so for a reason, which the buyer is told. */
function sayLeaving({ inspection, checks }: Assessment): string[] {
  const isOpen = checks.some(({ level }) => level === 'blocker');
  if (!isOpen) return [];
  const told = (what: string, reason: string | undefined) =>
    reason ? [`${what} The reason given: ${reason.replace(/\.?$/, '.')}`] : [];
  return [
    ...told('The site was left with open points.', lastLeaving(inspection.decisions)?.reason),
    ...told('This report goes out with open points.', lastLimits(inspection.decisions)?.reason),
  ];
}

/** Open points, named to the reader one by one. */
function openPoints(assessment: Assessment): string[] {
  return assessment.checks
    .filter(({ level, code }) => level === 'blocker' && !TOLD_ELSEWHERE.includes(code))
    .map(({ message }) => `Still open in the inspector’s notes: ${message}`);
}
