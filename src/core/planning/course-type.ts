import type { MethodId } from '../catalogue/method-ids';
import type { Reason } from '../catalogue/severity/grade';

/** What is done about a finding. `wait`: nothing, until a utility in the line is dealt with. */
export type CourseDoes =
  'repair' | 'clean' | 'look' | 'watch' | 'call' | 'tell' | 'ask' | 'wait' | 'none';
export type CourseWhen = 'now' | 'before-close' | 'after-move-in' | 'yearly' | 'none';

/** The one course of action for a finding: every sentence, step and sheet about it says this and nothing else. */
export type Course = {
  readonly findingId: string;
  readonly does: CourseDoes;
  readonly when: CourseWhen;
  /** Works of the plan that are for it, with all that these need first. */
  readonly methods: readonly MethodId[];
  /** Works that must not be done there. */
  readonly excludes: readonly MethodId[];
  /** Who does it; `null` where nobody does anything. */
  readonly who: string | null;
  /** How often it comes round, years; `null` where it does not. */
  readonly everyYears: number | null;
  /** What to do, in the buyer's words: what must not be done first, then the course, then what rules add to it. */
  readonly says: readonly Reason[];
};
