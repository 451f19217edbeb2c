import type { Interval } from '../base/interval';
import type { DefectKind } from '../catalogue/defects/index';
import type { Material } from '../catalogue/materials/index';
import type { MethodId } from '../catalogue/method-ids';
import type { Action, Facts, Reason, Severity } from '../catalogue/severity/grade';
import type { Certainty, Locus } from '../catalogue/vocabulary';
import type { Zone } from '../catalogue/zones';
import type { ResponsibleSide } from '../lateral/segments';
import type { ClockArc } from '../measure/clock';
import type { WaterCheck } from '../measure/water';

/** What could stand behind a finding, and the look that settles it. */
export type Cause = { readonly cause: string; readonly settledBy: string };

/** A defect that nobody saw but that the evidence speaks for. */
export type Suspicion = Reason & { readonly defect: DefectKind; readonly settledBy: string };

/** Why a conclusion may still change, and the look that settles it. */
export type Proviso = Reason & { readonly settledBy: string };

/**
 * What a finding is of: a defect that was logged, or what a rule made of the whole (`layout`: the way
 * the line is laid; `material`: what the pipe is).
 */
export type FindingKind = DefectKind | 'layout' | 'material';

/** The inspector's last word over a finding: its grade and action are the inspector's, not Chert's. */
export type Ruling = {
  readonly wording: string | null;
  readonly reason: string;
  readonly decisionId: string;
};

/** Whether the inspector has looked at a finding and let it stand. */
export type Review = {
  readonly verdict: 'confirmed' | 'dismissed';
  readonly reason: string;
  readonly decisionId: string;
};

/** A decision that no longer fits its evidence: shown, and not in force. */
export type StaleDecision = {
  readonly decisionId: string;
  readonly kind: string;
  /** What the inspector had said ("major, repair"). */
  readonly said: string;
  readonly reason: string;
  /** What the decision was made over and what there is now. */
  readonly changed: readonly string[];
};

/** A defect of the line, all sightings of it together, with its grade and what to do. */
/**
 * What a rule advises. With `methods` it goes only with a course of action that has one of them; with none of them
 * named, only where no work is done. Without, it is particular to the finding and goes with any course.
 */
export type Advice = Reason & { readonly methods?: readonly MethodId[] };

export type Finding = {
  readonly id: string;
  readonly number: number;
  readonly lineId: string;
  readonly kind: FindingKind;
  /** On the line's axis; on the run's own axis when the run is not placed. */
  readonly span: Interval;
  readonly sigmaFt: number;
  /** Whether it has a station: its run is placed and it does not lie in the riser. */
  readonly placed: boolean;
  readonly inRiser: boolean;
  /** Whether nobody said its footage: it lies somewhere in its span. */
  readonly isPlaceUnsaid: boolean;
  readonly runIds: readonly string[];
  /** Its runs as people call them. */
  readonly runNames: readonly string[];
  readonly severity: Severity;
  /** The least and the worst grade within the eye's error; `null` when it stays within one. */
  readonly range: readonly [Severity, Severity] | null;
  readonly action: Action;
  /** The grade and the action that Chert has, whatever the inspector says. */
  readonly computed: { readonly severity: Severity; readonly action: Action };
  /** Whether any proviso stands. */
  readonly provisional: boolean;
  readonly provisos: readonly Proviso[];
  readonly verified: boolean;
  /** What the water did when standing water was seen; `null` of anything else. */
  readonly water: WaterCheck | null;
  readonly courtesy: boolean;
  readonly certainty: Certainty;
  readonly clock: ClockArc | null;
  readonly locus: Locus | null;
  readonly material: Material;
  readonly zone: Zone | null;
  readonly responsibleSide: ResponsibleSide;
  readonly facts: Facts;
  /** What a rule says it is, in a sentence; `null` for logged defects. */
  readonly says: string | null;
  /** What to ask for when the size was not logged. */
  readonly missing: string | null;
  readonly stillOpen: boolean;
  readonly ourDoing: boolean;
  readonly because: readonly Reason[];
  readonly causes: readonly Cause[];
  readonly suspicions: readonly Suspicion[];
  /** What to do, in order; never empty unless the action is `none`, which has its reason instead. */
  readonly advice: readonly Advice[];
  readonly ruling: Ruling | null;
  readonly review: Review | null;
  readonly stale: readonly StaleDecision[];
  readonly entryIds: readonly string[];
  readonly photoIds: readonly string[];
  readonly notes: readonly string[];
};

/** A finding before rules and the inspector have spoken. */
export const UNJUDGED = {
  causes: [],
  suspicions: [],
  advice: [],
  ruling: null,
  review: null,
  stale: [],
} as const satisfies Partial<Finding>;

/** Whether a finding is of a defect that was logged, and not what a rule made of the whole. */
export function isLogged(finding: Finding): finding is Finding & { readonly kind: DefectKind } {
  return finding.kind !== 'layout' && finding.kind !== 'material';
}

/** Whether a finding waits for the inspector: not looked at yet, or changed since. */
export function awaitsInspector({ review, stale }: Finding): boolean {
  return review === null || stale.length > 0;
}
