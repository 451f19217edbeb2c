import type { Action, Severity } from '../catalogue/severity/grade';

/** A report is a list of blocks, built once and printed by page and PDF alike. */
export type Block =
  | { readonly kind: 'masthead'; readonly left: string; readonly right: string }
  | HeadlineBlock
  | { readonly kind: 'section'; readonly caption: string }
  | { readonly kind: 'steps'; readonly title: string; readonly steps: readonly Step[] }
  | FindingBlock
  | {
      readonly kind: 'columns';
      readonly columns: readonly {
        readonly title: string;
        readonly items: readonly string[];
        readonly ordered: boolean;
      }[];
    }
  | TableBlock
  | ListBlock
  | {
      readonly kind: 'terms';
      readonly title: string;
      readonly terms: readonly { readonly word: string; readonly meaning: string }[];
    }
  | {
      readonly kind: 'pictures';
      readonly title: string;
      readonly pictures: readonly Picture[];
    };

export type HeadlineBlock = {
  readonly kind: 'headline';
  readonly text: string;
  readonly verdict: string;
  readonly lead: string;
  /** A line that the sewer passes; `null` where it may not be printed or is not wanted. */
  readonly pass: string | null;
};

export type FindingBlock = {
  readonly kind: 'finding';
  readonly id: string;
  readonly number: number;
  readonly severity: Severity;
  readonly action: Action;
  readonly title: string;
  readonly sentences: readonly string[];
  /** Severity and action in the buyer's words ("Major · repair"). */
  readonly verdict: string;
  /** What the plan that the report goes by costs here; `null` where no price may be named. */
  readonly price: string | null;
  readonly remarks: readonly string[];
  /** Its first chosen still; `null` where it has none. */
  readonly photoId: string | null;
};

export type TableBlock = {
  readonly kind: 'table';
  readonly title: string;
  readonly head: readonly string[];
  readonly rows: readonly (readonly string[])[];
  /** Columns that hold readings: set in mono and to the right. */
  readonly numeric: readonly number[];
  /** Sentences under the table. */
  readonly notes?: readonly string[];
};

export type ListBlock = {
  readonly kind: 'list';
  readonly title: string;
  readonly items: readonly string[];
  /** How it was done and by whom, for the record: not part of what is measured for plain words. */
  readonly isRecord?: boolean;
};

/** A still with what the log says of it. */
export type Picture = { readonly photoId: string; readonly caption: string };

/** A next step, with the working day it should be done by; `null` when no end was given. */
export type Step = { readonly text: string; readonly byOn: string | null };

/** The ids of the stills that blocks show. */
export function stillsOf(blocks: readonly Block[]): string[] {
  return blocks.flatMap((block) => {
    if (block.kind === 'pictures') return block.pictures.map(({ photoId }) => photoId);
    return block.kind === 'finding' && block.photoId !== null ? [block.photoId] : [];
  });
}
