import type { AnyConclusion, Conclusion } from './conclusion';
import type { Scene } from './scene';

/**
 * One rule of judgement: what an experienced inspector concludes from what was seen, and why.
 *
 * A rule looks at the lateral and the findings as the severity table graded them, never at what other
 * rules concluded: so the order in which rules are asked changes nothing. Rules that may turn an action are
 * asked twice, and all rules see the actions that their first answers left.
 */
export type Rule = RuleWords &
  (
    | {
        readonly turns: true;
        readonly conclude: (scene: Scene) => readonly AnyConclusion[];
      }
    | { readonly turns?: never; readonly conclude: (scene: Scene) => readonly Conclusion[] }
  );

type RuleWords = {
  /** Its place in the list that the trade knows; stable. */
  readonly number: number;
  readonly id: string;
  readonly when: string;
  readonly then: string;
  readonly because: string;
};
