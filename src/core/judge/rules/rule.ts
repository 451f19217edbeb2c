import type { Conclusion } from './conclusion';
import type { Scene } from './scene';

/**
 * One rule of judgement: what an experienced inspector concludes from what was seen, and why.
 *
 * A rule looks at the lateral and the findings as the severity table graded them, never at what other
 * rules concluded: so the order in which rules are asked changes nothing. Rules are asked twice, and the
 * second time see the actions that the first left.
 */
export type Rule = {
  /** Its place in the list that the trade knows; stable. */
  readonly number: number;
  readonly id: string;
  readonly when: string;
  readonly then: string;
  readonly because: string;
  readonly conclude: (scene: Scene) => readonly Conclusion[];
};
