import type { Interval } from '../../base/interval';
import type { DefectKind } from '../../catalogue/defects/index';
import type { FindingKind } from '../../catalogue/defects/kinds';
import type { Material } from '../../catalogue/materials/index';
import type { MethodId } from '../../catalogue/method-ids';
import type { Action, Severity } from '../../catalogue/severity/grade';
import type { Stand } from '../check';
import type { Finding } from '../finding';

/** Whether a conclusion is about one finding, named by its id, or about the job as a whole (`null`). */
type On = { readonly on: string | null };

/** A conclusion that may change what to do about a finding: a cause that competes, a call for more, a reason for nothing. */
export type Turning =
  | {
      readonly kind: 'cause';
      readonly on: string;
      readonly cause: string;
      readonly settledBy: string;
    }
  | { readonly kind: 'no-action'; readonly on: string; readonly text: string }
  | {
      readonly kind: 'action';
      readonly on: string;
      readonly action: Action;
      readonly text: string;
    };

/**
 * What a rule may conclude that changes no action. Whatever a rule concludes, it never moves a grade, which
 * the severity table alone gives.
 */
export type Conclusion =
  | (On & { readonly kind: 'reason'; readonly text: string })
  | (On & {
      readonly kind: 'suspicion';
      readonly defect: DefectKind;
      readonly text: string;
      readonly settledBy: string;
    })
  | (On & {
      readonly kind: 'advice';
      readonly text: string;
      readonly runIds: readonly string[];
      readonly methods?: readonly MethodId[];
    })
  | (On & { readonly kind: 'proviso'; readonly text: string; readonly settledBy: string })
  | (On & Asked)
  | MadeFinding;

/** A fact that a rule needs and that nobody logged, with where one must stand to learn it. */
export type Asked = {
  readonly kind: 'question';
  readonly text: string;
  /** The one thing that answers it. */
  readonly settledBy: string;
  readonly stand: Stand;
  readonly runIds: readonly string[];
  readonly entryIds: readonly string[];
};

/** What a rule that may turn an action concludes. */
export type AnyConclusion = Conclusion | Turning;

/** A finding that a rule makes of the whole. */
export type MadeFinding = {
  readonly kind: 'finding';
  readonly of: Exclude<FindingKind, DefectKind>;
  /** Tells one made finding of a rule from another and stays the same as the log grows. */
  readonly key: string;
  readonly lineId: string;
  readonly span: Interval;
  readonly sigmaFt: number;
  readonly material: Material;
  readonly boreIn: number | null;
  readonly severity: Severity;
  readonly action: Action;
  /** What it is, in a plain sentence. */
  readonly says: string;
  readonly advice: readonly string[];
  readonly provisos: readonly { readonly text: string; readonly settledBy: string }[];
  readonly runIds: readonly string[];
  readonly entryIds: readonly string[];
};

/** A conclusion with the rule that came to it. */
export type Concluded = AnyConclusion & { readonly rule: string };

/** The conclusions of one kind. */
export function pick<K extends Concluded['kind']>(
  all: readonly Concluded[],
  kind: K,
): Extract<Concluded, { readonly kind: K }>[] {
  return all.filter((one): one is Extract<Concluded, { readonly kind: K }> => one.kind === kind);
}

export const reason = (on: Finding | null, text: string): Conclusion => ({
  kind: 'reason',
  on: on?.id ?? null,
  text,
});

export const cause = (on: Finding, name: string, settledBy: string): Turning => ({
  kind: 'cause',
  on: on.id,
  cause: name,
  settledBy,
});

export const suspicion = (
  on: Finding | null,
  defect: DefectKind,
  text: string,
  settledBy: string,
): Conclusion => ({ kind: 'suspicion', on: on?.id ?? null, defect, text, settledBy });

export const advice = (
  on: Finding | null,
  text: string,
  runIds: readonly string[] = on?.runIds ?? [],
): Conclusion => ({ kind: 'advice', on: on?.id ?? null, text, runIds });

/** Advice that goes with certain works alone; with an empty list, only where no work is done. */
export const adviceWith = (
  methods: readonly MethodId[],
  on: Finding,
  text: string,
): Conclusion => ({ kind: 'advice', on: on.id, text, runIds: on.runIds, methods });

/** "No action, because …": the text goes on after "because". */
export const noAction = (on: Finding, text: string): Turning => ({
  kind: 'no-action',
  on: on.id,
  text,
});

export const proviso = (on: Finding | null, text: string, settledBy: string): Conclusion => ({
  kind: 'proviso',
  on: on?.id ?? null,
  text,
  settledBy,
});

export const question = (
  on: Finding | null,
  stand: Stand,
  text: string,
  settledBy: string,
  about: { readonly runIds?: readonly string[]; readonly entryIds?: readonly string[] } = on ?? {},
): Conclusion => ({
  kind: 'question',
  on: on?.id ?? null,
  stand,
  text,
  settledBy,
  runIds: about.runIds ?? [],
  entryIds: about.entryIds ?? [],
});
