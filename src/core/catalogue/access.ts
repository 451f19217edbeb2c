import type { Caution } from './caution';

/** What Chert knows of a kind of opening. */
export type AccessSpec = {
  /** The buyer's name for it. */
  readonly buyerName: string;
  /** Where it stands in the order of trying; lower is tried first: a cleanout, a fallback, a small branch last. */
  readonly order: number;
  /** Why it stands there. */
  readonly why: string;
  /** Whether it is reached by a ladder: it takes longer, and dry weather. */
  readonly isOnRoof?: true;
  readonly caution?: Caution;
};
