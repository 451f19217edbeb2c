import type { Action, Severity } from '../judge/grade';

/** A report is a list of blocks, built once and printed by page and PDF alike. */
export type Block =
  | { readonly kind: 'masthead'; readonly left: string; readonly right: string }
  | {
      readonly kind: 'headline';
      readonly text: string;
      readonly verdict: string;
      readonly lead: string;
    }
  | { readonly kind: 'section'; readonly caption: string }
  | FindingBlock
  | {
      readonly kind: 'columns';
      readonly columns: readonly {
        readonly title: string;
        readonly items: readonly string[];
        readonly ordered: boolean;
      }[];
    }
  | {
      readonly kind: 'table';
      readonly title: string;
      readonly head: readonly string[];
      readonly rows: readonly (readonly string[])[];
      /** Columns that hold readings: set in mono and to the right. */
      readonly numeric: readonly number[];
    }
  | { readonly kind: 'list'; readonly title: string; readonly items: readonly string[] }
  | {
      readonly kind: 'terms';
      readonly title: string;
      readonly terms: readonly { readonly word: string; readonly meaning: string }[];
    };

export type FindingBlock = {
  readonly kind: 'finding';
  readonly number: number;
  readonly severity: Severity;
  readonly action: Action;
  readonly title: string;
  readonly sentences: readonly string[];
  /** Severity and action in the buyer's words ("Major · repair"). */
  readonly verdict: string;
  readonly remarks: readonly string[];
};

/** A next step, with the working day it should be done by; `null` when no end was given. */
export type Step = { readonly text: string; readonly byOn: string | null };
