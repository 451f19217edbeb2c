import { assess } from '../assess';
import type { Interval } from '../base/interval';
import type { Assessment } from '../judge/assessment';
import type { Issue } from '../judge/check';
import { sayMisfit } from '../judge/checks/tie-misfit';
import { heldWaterOf, listNarrowings, type Narrowing } from '../judge/held-and-left';
import { countWaiting } from '../judge/waiting';
import { tellWhatIsAt, type WhatIsAt } from '../judge/what-is-at';
import { type Coverage, measureRunCoverage, type RunCoverage } from '../lateral/coverage';
import type { Grade } from '../lateral/grade/grade';
import type { HeldWater } from '../lateral/grade/held-water';
import type { Lateral } from '../lateral/lateral';
import type { Segment } from '../lateral/segments';
import type { PlacedTie } from '../measure/join/join';
import type { Explanation } from '../measure/join/misfits';
import { suggestTies, type TieSuggestion } from '../measure/join/suggest';
import { listDroppedSuggestions } from '../model/job/decisions';
import type { Inspection } from '../model/job/inspection';
import { buildSection, type Section, wholeView } from './build';
import { layFrame } from './frame';
import { type Lanes, layLanes } from './lanes';
import { type SectionRow, tabulateSection } from './table';

/** What the screen asks for. */
export type LateralRequest = {
  readonly inspection: Inspection;
  /** The line to show; the house line when `null`. */
  readonly lineId: string | null;
  readonly width: number;
  readonly view: Interval | null;
  /** The station asked about; `null` when none is. */
  readonly atFt: number | null;
};

/** A run as its row shows it. */
export type RunRow = {
  readonly id: string;
  /** The run and its access point as people call them. */
  readonly name: string;
  readonly from: string;
  readonly facing: 'downstream' | 'upstream';
  readonly placed: boolean;
  readonly abandoned: boolean;
  readonly originFt: number;
  readonly originSigmaFt: number;
  readonly scale: number;
  readonly zeroFt: number;
  readonly farthestFt: number;
  readonly homeFt: number | null;
  readonly misclosureFt: number;
  /** Too far from the zero to be slip, and not accepted. */
  readonly isImplausible: boolean;
  readonly excessive: boolean;
};

/** Ties that do not fit, with what would make them. */
export type MisfitNote = {
  readonly tieIds: readonly string[];
  readonly text: string;
  readonly explanations: readonly Explanation[];
};

/** Everything the Lateral screen shows: plain data, so that a worker may compute it. */
export type LateralModel = {
  readonly lineId: string;
  readonly lines: readonly { readonly id: string; readonly label: string }[];
  readonly section: Pick<Section, 'width' | 'height' | 'primitives'>;
  readonly shown: Interval;
  readonly whole: Interval;
  readonly rows: readonly SectionRow[];
  readonly lanes: Lanes;
  readonly ties: readonly PlacedTie[];
  readonly misfits: readonly MisfitNote[];
  readonly suggestions: readonly TieSuggestion[];
  readonly runs: readonly RunRow[];
  readonly segments: readonly Segment[];
  readonly coverage: Coverage;
  readonly runCoverage: readonly RunCoverage[];
  readonly reached: readonly Interval[];
  readonly grade: Grade;
  readonly held: HeldWater;
  readonly narrowings: readonly Narrowing[];
  readonly checks: readonly Issue[];
  /** How much waits at the other stages. */
  readonly waiting: { readonly scope: number; readonly findings: number };
  readonly at: WhatIsAt | null;
};

export const SECTION_HEIGHT = 190;

/** Computes what the Lateral screen shows. A pure function of plain data, giving plain data. */
export function computeLateral(request: LateralRequest): LateralModel {
  const { inspection, lineId, width, atFt } = request;
  const assessment = onLine(assess(inspection), lineId);
  const { lateral } = assessment;
  const section = buildSection(assessment, {
    width,
    height: SECTION_HEIGHT,
    view: request.view ?? wholeOf(lateral),
  });
  const shown = section.frame.view;
  return {
    lineId: lateral.lineId,
    lines: listLines(assessment, inspection),
    section: { width: section.width, height: section.height, primitives: section.primitives },
    shown,
    whole: wholeOf(lateral),
    rows: tabulateSection(assessment),
    lanes: layLanes(assessment, layFrame(shown, width, SECTION_HEIGHT)),
    ties: lateral.join.ties,
    misfits: lateral.join.misfits.map((misfit) => ({
      tieIds: misfit.links.map(({ id }) => id),
      text: sayMisfit(misfit),
      explanations: misfit.explanations,
    })),
    suggestions: suggestTies(
      [...lateral.axes, ...lateral.unplaced],
      assessment.settings,
      listDroppedSuggestions(inspection.decisions),
    ),
    runs: [...lateral.axes, ...lateral.unplaced].map((axis) => ({
      id: axis.run.id,
      name: axis.name,
      from: axis.from,
      facing: axis.run.facing,
      placed: axis.placed,
      abandoned: axis.run.outcome === 'abandoned',
      originFt: axis.originFt,
      originSigmaFt: Math.sqrt(axis.origin?.varianceAt(0) ?? 0),
      scale: axis.scale,
      zeroFt: axis.home.zeroFt,
      farthestFt: axis.home.farthestFt,
      homeFt: axis.home.homeFt,
      misclosureFt: axis.home.misclosureFt,
      excessive: axis.home.excessive,
      isImplausible: axis.home.implausible !== null,
    })),
    segments: lateral.segments,
    coverage: lateral.coverage,
    runCoverage: lateral.axes.map(measureRunCoverage),
    reached: lateral.reached,
    grade: lateral.grade,
    held: assessment.held,
    narrowings: assessment.narrowings,
    checks: assessment.checks,
    waiting: countWaiting(assessment),
    at: atFt === null ? null : tellWhatIsAt(assessment, atFt),
  };
}

/** What was assessment, seen from one of its lines. */
function onLine(assessment: Assessment, lineId: string | null): Assessment {
  const lateral = assessment.branches.find((branch) => branch.lineId === lineId);
  if (!lateral) return assessment;
  return {
    ...assessment,
    lateral,
    held: heldWaterOf(lateral, assessment.findings),
    narrowings: listNarrowings(lateral, assessment.findings),
  };
}

function listLines({ lateral, branches }: Assessment, { lines = [] }: Inspection) {
  return [lateral, ...branches].map(({ lineId }) => ({
    id: lineId,
    label:
      lines.find(({ id }) => id === lineId)?.label ??
      (lineId === 'main-line' ? 'house line' : lineId),
  }));
}

/** The whole line, with the lanes of runs that nothing joins yet. */
function wholeOf(lateral: Lateral): Interval {
  const whole = wholeView(lateral);
  const loose = lateral.unplaced.map((axis) => axis.placeAlong(axis.reachFt));
  const roomFt = loose.length > 0 ? 4 : 0;
  return {
    fromFt: Math.min(whole.fromFt, ...loose.map((at) => at - roomFt)),
    toFt: Math.max(whole.toFt, ...loose.map((at) => at + roomFt)),
  };
}
