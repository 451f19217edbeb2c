import type { Interval } from '../base/interval';
import type { ResponsibleSide } from '../lateral/segments';
import type { Certainty, DefectKind, Locus, Material, Zone } from '../log/vocabulary';
import type { ClockArc } from '../measure/clock';
import type { Action, DefectFacts, Reason, Severity } from './grade';

/** What could stand behind a finding, and the look that settles it. */
export type Cause = { readonly cause: string; readonly settledBy: string };

/** A defect of the line, all sightings of it together, with its grade and what to do. */
export type Finding = {
  readonly id: string;
  readonly number: number;
  readonly lineId: string;
  readonly kind: DefectKind;
  /** On the line's axis; on the run's own axis when the run is not placed. */
  readonly span: Interval;
  readonly sigmaFt: number;
  /** Whether it has a station: its run is placed and it does not lie in the riser. */
  readonly placed: boolean;
  readonly inRiser: boolean;
  readonly runIds: readonly string[];
  readonly severity: Severity;
  /** The least and the worst grade within the eye's error; `null` when it stays within one. */
  readonly range: readonly [Severity, Severity] | null;
  readonly action: Action;
  readonly provisional: boolean;
  readonly verified: boolean;
  readonly courtesy: boolean;
  readonly certainty: Certainty;
  readonly clock: ClockArc | null;
  readonly locus: Locus | null;
  readonly material: Material;
  readonly zone: Zone | null;
  readonly responsibleSide: ResponsibleSide;
  readonly facts: DefectFacts;
  /** What to ask for when the size was not logged. */
  readonly missing: string | null;
  readonly stillOpen: boolean;
  readonly ourDoing: boolean;
  readonly because: readonly Reason[];
  readonly causes: readonly Cause[];
  readonly entryIds: readonly string[];
  readonly photoIds: readonly string[];
  readonly notes: readonly string[];
};
