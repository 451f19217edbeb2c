import type { DefectForm } from '../forms';
import type { Material } from '../materials/index';
import type { Locus, SizeField, SizeWord } from '../vocabulary';
import type { Thresholds } from './thresholds';

export const SEVERITIES = ['slight', 'moderate', 'major', 'failed'] as const;
export type Severity = (typeof SEVERITIES)[number];

export const ACTIONS = ['none', 'monitor', 'upkeep', 'repair', 'urgent', 'look-again'] as const;
export type Action = (typeof ACTIONS)[number];

/** One reason for a grade: the rule's id and the fact in plain words. */
export type Reason = { readonly rule: string; readonly text: string };

/** Sizes and marks of a finding, and the pipe it lies in. Sizes in inches, lengths in feet. */
export type Facts = {
  readonly depthIn: number | null;
  readonly fillRatio: number | null;
  readonly extentRatio: number | null;
  readonly offsetIn: number | null;
  readonly gapIn: number | null;
  readonly lipIn: number | null;
  /** The worst that was said; `null` when not logged. */
  readonly form: DefectForm | null;
  /** Words for its form that Chert does not know of this kind, as they were said. */
  readonly unreadForm: string | null;
  /** The word that its size was said by, where no number was. */
  readonly byWord: SizeWord | null;
  /** Sizes that were said and cannot be: they grade as not logged. */
  readonly impossible: readonly SizeField[];
  readonly movesWithWater: boolean;
  readonly locus: Locus | null;
  readonly holdsDebris: boolean;
  readonly soilVisible: boolean;
  /** `null` when only one end is known. */
  readonly lengthFt: number | null;
  /** Bore here; `null` when no material was logged. */
  readonly boreIn: number | null;
  readonly material: Material;
  /** Whether standing water was logged over the same stretch. */
  readonly inStandingWater: boolean;
  /** How far the size may be out by eye: inches for depths and heights, a share for extents. */
  readonly eyeSizeIn: number;
  readonly eyeShareRatio: number;
  readonly byEye: boolean;
};

/** A base grade before steps and floors. */
export type BaseGrade = {
  readonly severity: Severity;
  readonly because: readonly Reason[];
  /** What to ask for when the size was not logged; `null` when it was. */
  readonly missing: string | null;
  /** The least and the worst grade within the eye's error; absent when it stays within one. */
  readonly range?: readonly [Severity, Severity];
};

/** A row of the severity table. */
export type SeverityRow = {
  readonly base: (facts: Facts, thresholds: Thresholds) => BaseGrade;
  /** At most one step up or down. */
  readonly step?: (
    facts: Facts,
    thresholds: Thresholds,
  ) => { readonly by: 1 | -1; readonly because: Reason } | null;
  /** The least grade that the facts allow. */
  readonly floor?: (facts: Facts) => {
    readonly severity: Severity;
    readonly because: Reason;
  } | null;
};

/** The worse of two grades. */
export function worse(a: Severity, b: Severity): Severity {
  return SEVERITIES.indexOf(a) >= SEVERITIES.indexOf(b) ? a : b;
}

/** A grade moved by one step, held within the scale. */
export function stepSeverity(severity: Severity, by: 1 | -1): Severity {
  const index = SEVERITIES.indexOf(severity) + by;
  return SEVERITIES[Math.min(SEVERITIES.length - 1, Math.max(0, index))]!;
}
