import { roundTo } from '../base/numbers';
import type { Derived } from '../derive';
import { lastLimits } from '../job/report-words';
import { lastLeaving } from '../job/rulings';
import type { Lateral } from '../lateral/lateral';
import { endsLine } from '../lateral/terminus';
import { isTooObscured } from '../judge/verdict';
import { sayFeet } from './describe';
import { sayStretch } from './place';
import { END_WORDS, UNSEEN_WORDS } from './words';

/** What nobody could see or settle, each in a sentence. Unseen is a finding, never "satisfactory". */
export function composeLimits(derived: Derived): string[] {
  const { inspection } = derived;
  const lines = [derived.lateral, ...derived.branches];
  return [
    ...lines.flatMap((lateral) => limitsOfLine(derived, lateral)),
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
    ...openPoints(derived),
    ...sayLeaving(derived),
  ];
}

function limitsOfLine(derived: Derived, lateral: Lateral): string[] {
  const { inspection } = derived;
  const accessId = lateral.axes[0]?.from ?? '';
  const { coverage, terminus, reachedMain } = lateral;
  const limits: string[] = [];
  if (lateral.axes.length === 0) limits.push('No run of the camera has a place on this line.');
  for (const stretch of coverage.obscured) {
    const why = coverage.unseen.find(
      (unseen) => unseen.fromFt < stretch.toFt + 1e-6 && unseen.toFt > stretch.fromFt - 1e-6,
    );
    const cause = UNSEEN_WORDS[why?.cause ?? 'submerged'];
    limits.push(`${sayStretch(stretch.fromFt, stretch.toFt, accessId)}: ${cause}.`);
  }
  for (const gap of coverage.gaps) {
    limits.push(`${sayStretch(gap.fromFt, gap.toFt, accessId)}: no run went through here.`);
  }
  const pools = derived.findings.filter(
    (finding) =>
      finding.kind === 'standing-water' && finding.placed && finding.lineId === lateral.lineId,
  );
  for (const pool of pools) {
    const where = sayStretch(pool.span.fromFt, pool.span.toFt, accessId);
    limits.push(`The bottom of the pipe under the standing water, ${where}.`);
  }
  if (terminus && endsLine(terminus.kind) && !reachedMain) {
    limits.push(`Nobody confirmed that the line ends at ${END_WORDS[terminus.kind]}.`);
  } else if (terminus && !endsLine(terminus.kind)) {
    const left =
      terminus.remainderFt === null
        ? 'How much remains is not known.'
        : `About ${sayFeet(terminus.remainderFt)} remain.`;
    limits.push(`The camera got as far as ${END_WORDS[terminus.kind]}. ${left}`);
  } else if (lateral.axes.length > 0 && !terminus) {
    limits.push('Where the line ends was not logged.');
  }
  for (const axis of lateral.unplaced) {
    if (axis.run.outcome === 'abandoned') continue;
    limits.push(`Run ${axis.name} from ${axis.from} could not be joined to the rest.`);
  }
  if (isTooObscured(lateral)) {
    const percent = roundTo(
      (100 * coverage.obscuredFt) / (coverage.obscuredFt + coverage.clearFt),
      0,
    );
    limits.push(`${percent}% of the length reached was hidden, so nothing can be ruled out.`);
  }
  if (inspection.job.scope === 'lateral') {
    limits.push('Drains inside and under the building were not part of this look.');
  }
  return limits;
}

/** Blockers that no other limit already tells. */
const TOLD_ELSEWHERE = ['end-unconfirmed', 'run-no-end', 'run-unplaced', 'water-unverified'];

/** What is left open, or goes out open, does so for a reason, which the buyer is told. */
function sayLeaving({ inspection, checks }: Derived): string[] {
  const isOpen = checks.some(({ level }) => level === 'blocker');
  if (!isOpen) return [];
  const told = (what: string, reason: string | undefined) =>
    reason ? [`${what} The reason given: ${reason.replace(/\.?$/, '.')}`] : [];
  return [
    ...told('The site was left with open points.', lastLeaving(inspection.decisions)?.reason),
    ...told('This report goes out with open points.', lastLimits(inspection.decisions)?.reason),
  ];
}

function openPoints(derived: Derived): string[] {
  const open = derived.checks.filter(
    ({ level, code }) => level === 'blocker' && !TOLD_ELSEWHERE.includes(code),
  );
  if (open.length === 0) return [];
  const points = open.length === 1 ? 'One point is' : `${open.length} points are`;
  return [`${points} still open in the inspector’s notes.`];
}
