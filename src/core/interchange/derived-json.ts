import { roundTo } from '../base/numbers';
import type { Assessment } from '../judge/assessment';
import type { Finding } from '../judge/finding';
import type { Grade } from '../lateral/grade/grade';
import type { Lateral } from '../lateral/lateral';
import type { Meeting } from '../lateral/meets';
import type { PlacedTie } from '../measure/join/join';
import type { RunAxis } from '../measure/placement';
import { type Course, coursesOf } from '../planning/course';
import { repairOf } from '../planning/repair';
import { composeReport } from '../report/compose';
import { repairJson } from './repair-json';

/** Footages are printed to the thousandth: far below any tape, and free of binary noise. */
const ft = (value: number) => roundTo(value, 3);

/** The object that the headless door prints. Fields may be added, not renamed. */
export function derivedJson(assessment: Assessment): Record<string, unknown> {
  const report = composeReport(assessment);
  const courses = coursesOf(repairOf(assessment));
  return {
    lateral: {
      ...lateralJson(assessment.lateral),
      branches: assessment.branches.map((branch) => ({
        lineId: branch.lineId,
        ...lateralJson(branch),
        meets: meetsJson(assessment.meets.get(branch.lineId)),
        branches: [],
      })),
    },
    checks: assessment.checks,
    findings: assessment.findings.map((finding) => findingJson(finding, courses.get(finding.id)!)),
    questions: assessment.questions,
    remarks: assessment.remarks,
    advice: assessment.advice,
    provisos: assessment.provisos,
    suspicions: assessment.suspicions,
    stops: assessment.stops,
    ...repairJson(assessment),
    report: {
      overall: assessment.overall,
      completeness: assessment.completeness,
      headline: report.headline,
      absences: assessment.absences,
      limits: report.limits,
      steps: report.steps,
      coverage: coverageJson(assessment.lateral),
      blocks: report.blocks,
    },
  };
}

function coverageJson({ coverage }: Lateral) {
  return {
    clearFt: ft(coverage.clearFt),
    obscuredFt: ft(coverage.obscuredFt),
    unreachedFt: coverage.unreachedFt === null ? null : ft(coverage.unreachedFt),
    /** What is known of the pipe above: seen, unreached or unknown. */
    above: coverage.upper?.state ?? null,
  };
}

function lateralJson(lateral: Lateral) {
  const { terminus } = lateral;
  return {
    reachedMain: lateral.reachedMain,
    terminus: terminus && {
      kind: terminus.kind,
      stationFt: ft(terminus.stationFt),
      confirmedBy: terminus.confirmedBy,
    },
    segments: lateral.segments.map((segment) => ({
      fromFt: ft(segment.fromFt),
      toFt: ft(segment.toFt),
      material: segment.material,
      diameterIn: segment.diameterIn,
      lined: segment.lined,
      certainty: segment.certainty,
      zone: segment.zone,
      responsibleSide: segment.responsibleSide,
      age: segment.age,
    })),
    features: lateral.features.map((feature) => ({
      feature: feature.feature,
      stationFt: ft(feature.stationFt),
      sigmaFt: ft(feature.sigmaFt),
      clock: feature.clock,
      serves: feature.serves,
      entryIds: feature.entryIds,
    })),
    coverage: coverageJson(lateral),
    runs: [...lateral.axes, ...lateral.unplaced].map(runJson),
    ties: lateral.join.ties.map(tieJson),
    grade: gradeJson(lateral.grade),
  };
}

function tieJson({ id, label, stationFt, sigmaFt, standing, sightings }: PlacedTie) {
  return {
    id,
    label,
    stationFt: stationFt === null ? null : ft(stationFt),
    sigmaFt: sigmaFt === null ? null : ft(sigmaFt),
    standing,
    sightings: sightings.map(({ runId, entryId, residualFt }) => ({
      runId,
      entryId,
      residualFt: stationFt === null ? null : ft(residualFt),
    })),
  };
}

function gradeJson({ points, whole, verdict }: Grade) {
  return {
    verdict,
    fallAvailableIn: whole && roundTo(whole.availableIn, 2),
    fallRequiredIn: whole && roundTo(whole.requiredIn, 2),
    sigmaIn: whole && roundTo(whole.sigmaIn, 2),
    inverts: points.map(({ stationFt, invertIn, sigmaIn }) => ({
      stationFt: ft(stationFt),
      invertIn: roundTo(invertIn, 2),
      sigmaIn: roundTo(sigmaIn, 2),
    })),
  };
}

function meetsJson(meets: Meeting | undefined) {
  if (!meets) return null;
  return { lineId: meets.lineId, stationFt: ft(meets.stationFt), sigmaFt: ft(meets.sigmaFt) };
}

function runJson(axis: RunAxis) {
  return {
    id: axis.run.id,
    placed: axis.placed,
    originFt: axis.placed ? ft(axis.originFt) : null,
    scale: axis.placed ? axis.scale : null,
    misclosureFt: ft(axis.home.misclosureFt),
  };
}

function findingJson(finding: Finding, course: Course) {
  const { placed, span } = finding;
  return {
    id: finding.id,
    number: finding.number,
    lineId: finding.lineId,
    kind: finding.kind,
    fromFt: placed ? ft(span.fromFt) : null,
    toFt: placed ? ft(span.toFt) : null,
    sigmaFt: placed ? ft(finding.sigmaFt) : null,
    severity: finding.severity,
    range: finding.range,
    action: finding.action,
    provisional: finding.provisional,
    verified: finding.verified,
    water: finding.water?.state ?? null,
    zone: finding.zone,
    placeUnsaid: finding.isPlaceUnsaid,
    courtesy: finding.courtesy,
    clockFrom: finding.clock?.from ?? null,
    clockTo: finding.clock?.to ?? null,
    responsibleSide: finding.responsibleSide,
    because: finding.because,
    causes: finding.causes,
    suspicions: finding.suspicions,
    provisos: finding.provisos,
    advice: course.says,
    course: {
      does: course.does,
      when: course.when,
      methods: course.methods,
      excludes: course.excludes,
      who: course.who,
      everyYears: course.everyYears,
      says: course.says.map(({ text }) => text),
    },
    ruling: finding.ruling,
    review: finding.review,
    stale: finding.stale,
    entryIds: finding.entryIds,
  };
}
