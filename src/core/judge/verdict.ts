import { lengthFt, totalFt } from '../base/interval';
import { type DefectKind, DEFECTS } from '../catalogue/defects/index';
import { kindsWith } from '../catalogue/defects/kinds';
import type { Lateral } from '../lateral/lateral';
import { seenDry } from '../lateral/seen-dry';
import { hasBackup } from './backup';
import type { Issue } from './check';
import type { Finding, Suspicion } from './finding';
import { GIVING_WAY } from './rules/structure/fiber-deforms';

export const OVERALLS = [
  'not-serviceable',
  'repair-needed',
  'inconclusive',
  'serviceable-with-upkeep',
  'serviceable',
] as const;
export type Overall = (typeof OVERALLS)[number];
export type Completeness = 'whole' | 'partial';

/** Over this share of the reached length of unknown pipe, nothing passes. */
const UNKNOWN_RATIO = 0.5;
/** Over this share of the reached length unseen, nothing can be called absent. */
const MOST_OBSCURED_RATIO = 0.1;

/** Whether too much of the reached length was hidden for a verdict of soundness. */
export function isTooObscured(lateral: Lateral): boolean {
  const reachedFt = totalFt(lateral.reached);
  return lateral.coverage.obscuredFt > MOST_OBSCURED_RATIO * reachedFt + 1e-9;
}

/**
 * The verdict over the whole line, by precedence: not serviceable, repair needed, inconclusive,
 * serviceable with upkeep, serviceable. Courtesies are left out of it.
 */
export function judgeOverall(
  laterals: readonly Lateral[],
  findings: readonly Finding[],
  checks: readonly Issue[],
): Overall {
  const inScope = findings.filter(({ courtesy }) => !courtesy);
  const some = (action: Finding['action']) => inScope.some((finding) => finding.action === action);
  const main = laterals[0];
  const backsUp = hasBackup(laterals.flatMap(({ axes, unplaced }) => [...axes, ...unplaced]));
  if (some('urgent') || backsUp === 'by-itself') return 'not-serviceable';
  if (some('repair')) return 'repair-needed';
  const isOpen =
    main === undefined ||
    !main.reachedMain ||
    laterals.some(({ unplaced }) => unplaced.some(({ run }) => run.outcome !== 'abandoned')) ||
    laterals.some(isTooObscured) ||
    checks.some(({ level }) => level === 'blocker') ||
    backsUp === 'after-ours' ||
    isMostlyUnknown(main) ||
    inScope.some(isInUncalledPipe) ||
    some('look-again');
  if (isOpen) return 'inconclusive';
  return some('upkeep') ? 'serviceable-with-upkeep' : 'serviceable';
}

/** Whether nobody said what most of the reached line is made of: such a line never passes. */
function isMostlyUnknown({ reached, segments }: Lateral): boolean {
  const unknown = segments.filter(({ material }) => material === 'unknown');
  return totalFt(unknown) > UNKNOWN_RATIO * totalFt(reached) + 1e-9;
}

/** Whether a pipe that nobody called gives way: in some pipe that calls for replacing it. */
function isInUncalledPipe({ kind, material, ourDoing, review }: Finding): boolean {
  const isSign = GIVING_WAY.some((one) => one === kind);
  return isSign && material === 'unknown' && !ourDoing && review?.verdict !== 'dismissed';
}

/** Whether every foot of every line was reached and seen. */
export function judgeCompleteness(laterals: readonly Lateral[]): Completeness {
  const main = laterals[0];
  const isWhole =
    main !== undefined &&
    main.reachedMain &&
    main.reached.some((stretch) => lengthFt(stretch) > 0) &&
    main.coverage.unreachedFt === 0 &&
    main.coverage.upper?.state !== 'unreached' &&
    laterals.every(
      ({ coverage, unplaced }) =>
        coverage.obscuredFt < 1e-9 && unplaced.every(({ run }) => run.outcome === 'abandoned'),
    );
  return isWhole ? 'whole' : 'partial';
}

/** Feet that may be missing where the head was turned round, or drawn into the access. */
const DRY_SLACK_FT = 1;

/** Whether all that was seen of a line was seen with no water running in it. */
export function wasSeenDry(lateral: Lateral): boolean {
  const { clearFt } = lateral.coverage;
  return totalFt(seenDry(lateral)) >= clearFt - Math.min(DRY_SLACK_FT, clearFt / 10) - 1e-9;
}

/** What something that nobody could name may be: as good as suspected. */
function candidatesIn(laterals: readonly Lateral[]): DefectKind[] {
  return laterals.flatMap(({ axes, unplaced }) =>
    [...axes, ...unplaced].flatMap(({ log }) =>
      log.of('defect').flatMap(({ candidates = [] }) => candidates),
    ),
  );
}

/**
 * The kinds of defect that are nowhere found, suspected or competing as a cause. Empty when too much
 * was hidden, or when nothing was looked at, to call anything absent.
 */
export function listAbsences(
  laterals: readonly Lateral[],
  findings: readonly Finding[],
  suspicions: readonly Suspicion[] = [],
): DefectKind[] {
  const nothingSeen = laterals.every((lateral) => totalFt(lateral.reached) === 0);
  if (nothingSeen || laterals.some(isTooObscured)) return [];
  const named = new Set<string>(
    findings.flatMap(({ kind, causes, suspicions: suspected, facts }) => [
      kind,
      ...causes.map(({ cause }) => cause),
      ...suspected.map(({ defect }) => defect),
      ...(facts.holdsDebris ? ['debris'] : []),
    ]),
  );
  for (const { defect } of suspicions) named.add(defect);
  for (const kind of candidatesIn(laterals)) named.add(kind);
  // Only over feet that were seen drained can anybody say that no water stands.
  if (!laterals.every(wasSeenDry)) named.add('standing-water');
  // Standing water hides the bottom of the pipe, and with it what wears there.
  if (named.has('standing-water')) for (const kind of kindsWith('at-invert')) named.add(kind);
  // Not to be able to name a thing is no kind of defect; "no unidentified" would say nothing.
  return DEFECTS.filter((kind) => kind !== 'unidentified' && !named.has(kind));
}
