import { clip, type Interval } from '../../base/interval';
import { hasTrait } from '../../catalogue/defects/kinds';
import { WALL_GONE } from '../../catalogue/forms';
import { isPipeOf } from '../../catalogue/materials/kinds';
import type { MethodId } from '../../catalogue/method-ids';
import { showsSoil } from '../../catalogue/severity/bounds';
import type { Finding } from '../../judge/finding';
import { type Cell, EDGE_FT, groundRunsOf, lineOf, type PipeRun, pipeRunsOf } from '../bed';
import type { Site } from '../site';
import { cannot, cures, type Verdict } from './method';

/** Offsets and squashed pipe beyond these a liner cannot be pulled or turned through. */
const LINER_OFFSET_RATIO = 0.25;
const LINER_DEFORMATION_RATIO = 0.15;
/** A step, or squashed pipe, of no known size from this grade on is taken as beyond them. */
const TOO_FAR_UNSIZED = ['major', 'failed'];

export const offsetRatioOf = ({ facts }: Finding) =>
  facts.offsetIn === null || facts.boreIn === null ? null : facts.offsetIn / facts.boreIn;

/** Why a liner cannot pass a finding; `null` when it can. */
export function whyNoLinerPasses(finding: Finding): string | null {
  const { kind, facts, severity } = finding;
  const isUnsizedAndBad = (size: number | null) =>
    size === null && TOO_FAR_UNSIZED.includes(severity);
  if (kind === 'collapse') return 'a liner cannot pass a collapse';
  if (kind === 'offset') {
    const ratio = offsetRatioOf(finding);
    return (ratio ?? 0) > LINER_OFFSET_RATIO || isUnsizedAndBad(ratio)
      ? 'a liner cannot pass a step of more than a quarter of the pipe'
      : null;
  }
  if (kind === 'deformation') {
    return (facts.extentRatio ?? 0) > LINER_DEFORMATION_RATIO || isUnsizedAndBad(facts.extentRatio)
      ? 'a liner cannot pass pipe squashed by more than 15%'
      : null;
  }
  if (kind === 'break' && facts.form === 'displaced')
    return 'the broken pieces stand out of line: a liner would follow them';
  if (kind === 'intruding-tap') return 'the pipe that sticks in stops a liner';
  if (kind === 'utility-crossing') return 'another utility runs through the pipe';
  return null;
}

/** Iron worn thin: descaling finishes it, and no liner goes in without descaling. */
export const isThinIron = ({ kind, material, severity }: Finding) =>
  (kind === 'wall-loss' || kind === 'deformation') &&
  isPipeOf('iron', material) &&
  TOO_FAR_UNSIZED.includes(severity);

/** Why neither a liner nor a burst runs on over a finding. */
export function whyNoNewInsideOver(finding: Finding): string | null {
  if (finding.kind === 'standing-water' && TOO_FAR_UNSIZED.includes(finding.severity))
    return 'it would keep the sag';
  return null;
}

/** What a new inside does for a finding. */
export function verdictOfLiner(finding: Finding): Verdict | null {
  const { kind, facts } = finding;
  if (kind === 'standing-water') return cannot('a liner keeps a sag: the water would stand in it');
  if (kind === 'lip') return cannot('a liner follows the step and keeps it');
  const stopped = whyNoLinerPasses(finding);
  if (stopped !== null && kind !== 'utility-crossing') return cannot(stopped);
  if (!hasTrait(kind, 'new-inside-ends')) return null;
  if (isThinIron(finding))
    return cannot('iron must be descaled before lining, and that finishes pipe worn so thin');
  if (showsSoil(facts) || WALL_GONE.includes(facts.form))
    return cannot('there is no pipe left there to hold a liner: replace the section');
  return cures(
    kind === 'roots' ? 'it closes the way in for the roots' : 'it gives the pipe a new inside',
  );
}

/** Why grade cannot be had on a finding's line; `null` when it can, or may. */
export function whyNoGrade(finding: Finding, site: Site): string | null {
  const lateral = site.beds.get(finding.lineId)?.lateral;
  return lateral?.grade.verdict === 'cannot'
    ? 'the line has not the fall it needs: new pipe would hold water again'
    : null;
}

/** What new pipe to grade does for a finding. */
export function verdictOfNewPipe(finding: Finding, site: Site): Verdict | null {
  const { kind } = finding;
  const isGrade = kind === 'standing-water' || isRunGrade(finding);
  const lacks = isGrade ? whyNoGrade(finding, site) : null;
  if (lacks !== null) return cannot(lacks);
  if (isRunGrade(finding))
    return site.beds.get(finding.lineId)?.lateral.grade.verdict === 'can'
      ? cures('the fall is there: new pipe to grade has it')
      : cannot('whether the fall is there is not known: measure it first');
  if (kind === 'standing-water') return cures('new pipe is laid to grade, without the sag');
  if (hasTrait(kind, 'new-inside-ends') || hasTrait(kind, 'new-pipe-ends'))
    return cures('the faulty pipe is taken out');
  return null;
}

/** Whether a finding says that the grade of a whole run has failed. */
export const isRunGrade = ({ kind, because }: Finding) =>
  kind === 'layout' && because.some(({ rule }) => rule === 'run-grade-failed');

/** New pipe goes this far into sound pipe of another kind, for the coupling, feet. */
const COUPLING_FT = 0.5;
/** Less old bad pipe than this is not left between a work and a change of pipe, a tee or the line's end, feet. */
export const STUB_FT = 4;

/** An edge moved outward to a stop that would leave only a stub of old pipe before it. */
function withoutStub(edgeFt: number, stops: readonly number[], outward: 1 | -1): number {
  const near = stops
    .filter((stop) => (stop - edgeFt) * outward > 0 && (stop - edgeFt) * outward < STUB_FT)
    .toSorted((a, b) => (a - b) * outward);
  return near.at(-1) ?? edgeFt;
}

/**
 * Replacement runs from sound joint to sound joint and, for a sag, to where grade is recovered: within the line,
 * not into sound pipe of another kind, and leaving no stub of old pipe behind.
 */
export function reachOfNewPipe({ span, kind, lineId }: Finding, site: Site): Interval {
  const beyondFt = site.assumptions.replaceBeyondFt;
  const bed = site.beds.get(lineId);
  const wished = { fromFt: span.fromFt - beyondFt, toFt: span.toFt + beyondFt };
  if (!bed) return wished;
  const whole = lineOf(bed);
  if (kind === 'standing-water') return clip(wished, whole) ?? span;
  const own = pipeRunsOf(bed).filter(
    (run) => run.fromFt <= span.toFt + EDGE_FT && run.toFt >= span.fromFt - EDGE_FT,
  );
  const [first, last] = [own[0], own.at(-1)];
  if (!first || !last) return clip(wished, whole) ?? span;
  const pipe = { fromFt: first.fromFt - COUPLING_FT, toFt: last.toFt + COUPLING_FT };
  const cut = clip(clip(wished, pipe) ?? span, whole) ?? span;
  const tees = bed.tees.map(({ stationFt }) => stationFt);
  // A length of plastic left over is no stub.
  const isOld = (run: PipeRun) => !isPipeOf('lasting', run.material) && !run.lined;
  return {
    fromFt: isOld(first) ? withoutStub(cut.fromFt, [first.fromFt, ...tees], -1) : cut.fromFt,
    toFt: isOld(last) ? withoutStub(cut.toFt, [last.toFt, ...tees], 1) : cut.toFt,
  };
}

/** All of the line under the floor that a finding lies under: a new route goes round the whole of it. */
export function reachUnderFloor(finding: Finding, site: Site): Interval {
  const bed = site.beds.get(finding.lineId);
  if (!bed) return finding.span;
  const under = groundRunsOf(bed).find(
    (run) =>
      run.ground === 'slab' && run.fromFt <= finding.span.toFt && run.toFt >= finding.span.fromFt,
  );
  return clip(under ?? finding.span, lineOf(bed)) ?? finding.span;
}

/** A hose or cutter is worked to and fro over a fault, a foot on each side, within what was reached. */
export function reachOfCleaning({ span, lineId }: Finding, { beds }: Site): Interval {
  const reached = beds.get(lineId)?.lateral.reached ?? [];
  const fromFt = Math.max(span.fromFt - 1, Math.min(span.fromFt, reached[0]?.fromFt ?? -Infinity));
  const toFt = Math.min(span.toFt + 1, Math.max(span.toFt, reached.at(-1)?.toFt ?? Infinity));
  return { fromFt, toFt };
}

/** Asbestos cement is cut only by those licensed to. */
export const abatementFirst = ({ material }: Cell): readonly MethodId[] =>
  material === 'asbestos-cement' ? ['abatement'] : [];

const UTILITY = 'another utility runs through this line: nothing may cut or jet it';

/** Why nothing that cuts, jets or scrapes may be used in this pipe. */
export function whyNoForce(
  { material }: Cell,
  site: Site,
  lineId: string,
  tool: 'cutter' | 'jet' | 'scraper',
): string | null {
  if (site.utilityLines.has(lineId)) return UTILITY;
  if (material === 'bituminous-fiber')
    return tool === 'jet'
      ? 'high pressure tears tar-paper pipe'
      : 'a cutter or scraper tears tar-paper pipe';
  if (material === 'asbestos-cement' && tool !== 'jet')
    return tool === 'cutter'
      ? 'asbestos cement must not be cut'
      : 'asbestos cement must not be ground';
  return null;
}

/** Why no cutter and no high pressure may pass a finding. */
export function whyNoForceAt({ facts, kind }: Finding): string | null {
  if (kind === 'collapse') return 'nothing gets past a collapse';
  return showsSoil(facts) ? 'soil is visible there: it would wash or break the hole wider' : null;
}
