import type { Action, Severity } from '../catalogue/severity/grade';
import type { StillMeasure } from '../model/log/still-measure';

/** A report is a list of blocks, built once and printed by page and PDF alike. */
export type Block =
  | MastheadBlock
  | HeadlineBlock
  | { readonly kind: 'section'; readonly caption: string }
  | { readonly kind: 'steps'; readonly title: string; readonly steps: readonly Step[] }
  | GlanceBlock
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
    }
  | SignatureBlock;

export type MastheadBlock = {
  readonly kind: 'masthead';
  readonly left: string;
  readonly right: string;
  /** Who inspected; `null` where the firm has not said its name. */
  readonly firm: {
    readonly name: string;
    /** What reaches it, and its license. */
    readonly lines: readonly string[];
    readonly logo: string | null;
  } | null;
};

/** What a reader with one minute wants besides the verdict: one line each, and the worst as the camera saw it. */
export type GlanceBlock = {
  readonly kind: 'glance';
  readonly rows: readonly { readonly title: string; readonly text: string }[];
  readonly picture: Picture | null;
};

/** Who stands for the report. */
export type SignatureBlock = {
  readonly kind: 'signature';
  readonly name: string;
  /** License and firm, a line each. */
  readonly lines: readonly string[];
  readonly image: string | null;
  /** The day on which it was issued, ISO; `null` while it is a draft. */
  readonly signedOn: string | null;
};

export type HeadlineBlock = {
  readonly kind: 'headline';
  readonly text: string;
  readonly verdict: string;
  readonly lead: string;
  /** A line that the sewer passes; `null` where it may not be printed or is not wanted. */
  readonly pass: string | null;
};

/** Findings that are alike, told together: one or more of a kind, with one course and one price. */
export type FindingBlock = {
  readonly kind: 'finding';
  /** Of the first of them. */
  readonly id: string;
  readonly number: number;
  readonly severity: Severity;
  readonly action: Action;
  readonly title: string;
  /** The key of its words, by which they may be edited. */
  readonly key: string;
  readonly places: readonly FindingPlace[];
  readonly sentences: readonly string[];
  /** Severity and action in the buyer's words ("Major · repair"). */
  readonly verdict: string;
  /** What the plan that the report goes by costs here; `null` where no price may be named. */
  readonly price: string | null;
  readonly remarks: readonly string[];
};

/** One finding of a block: where it lies, on the line and on the ground, and what was seen there. */
export type FindingPlace = {
  readonly id: string;
  readonly number: number;
  readonly severity: Severity;
  /** On the line ("at 24 ft, in the yard"). */
  readonly where: string;
  /** On the ground, by marks and swings; `null` where it was not located. */
  readonly ground: string | null;
  /** What was seen here; `null` where the block says it of all of them. */
  readonly says: string | null;
  /** Its first chosen still; `null` where it has none. */
  readonly picture: Picture | null;
};

export type TableBlock = {
  readonly kind: 'table';
  readonly title: string;
  readonly head: readonly string[];
  readonly rows: readonly (readonly string[])[];
  /** Whether it begins a page on paper: it is handed on by itself. */
  readonly startsPage?: boolean;
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

/** A still with what the log says of it, and what was measured on it. */
export type Picture = {
  readonly photoId: string;
  readonly caption: string;
  readonly measures?: readonly StillMeasure[];
};

/** A next step, with the working day it should be done by; `null` when no end was given. */
export type Step = { readonly text: string; readonly byOn: string | null };

/** The ids of the stills that blocks show. */
export function stillsOf(blocks: readonly Block[]): string[] {
  return blocks.flatMap((block) => {
    if (block.kind === 'pictures') return block.pictures.map(({ photoId }) => photoId);
    if (block.kind === 'glance') return block.picture ? [block.picture.photoId] : [];
    if (block.kind !== 'finding') return [];
    return block.places.flatMap(({ picture }) => picture?.photoId ?? []);
  });
}
