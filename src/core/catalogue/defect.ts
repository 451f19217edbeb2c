import type { DefectForm } from './forms';
import type { DefectMark } from './marks';
import type { Facts, Severity, SeverityRow } from './severity/grade';
import type { DefectTrait } from './traits';
import type { WaterState } from './vocabulary';

/** A form that a defect may take. */
export type FormSpec = {
  /** How a call-out says it, in the notation of sayings; absent where only files do. */
  readonly said?: string;
  /** The grade it takes, with the fact in words. */
  readonly grade?: readonly [severity: Severity, text: string];
  /** What it looks like, as a sentence for the buyer. */
  readonly sentence?: string;
};

/** The forms of a kind, worst first: of several said together the worst one stands. */
export type Forms = Readonly<Partial<Record<DefectForm, FormSpec>>>;

/** A field that a size in inches goes to. */
export type InchField = 'depthIn' | 'offsetIn' | 'gapIn' | 'lipIn';

/** What a size of a kind means. */
export type DefectSize = {
  /** Where an inch goes; without it an inch is a share of the diameter. */
  readonly inches?: InchField;
  /** What a share is one of: the bore's area, its diameter, or its depth of water. */
  readonly share?: 'area' | 'diameter' | 'fill';
  /** Whether it is a height or a width by nature: a bare fraction, and a word of size, stand for one. */
  readonly isHeight?: true;
  /** How it takes of the pipe: all round, from one side, as a share of the diameter, or by its height. */
  readonly leaves?: 'round' | 'one-sided' | 'across' | 'height';
};

/** A name for the buyer, with the trade's word; `plural` for lists of what is absent. */
export type BuyerWords = {
  readonly name: string;
  readonly trade: string;
  readonly plural: string;
  /** Whether `name` itself stands for many. */
  readonly isMany?: true;
};

/** What a sentence may tell: sizes, marks, and what the water did. */
export type Seen = {
  readonly facts: Facts;
  /** What the water did when it was seen; `null` where nobody said. */
  readonly water: WaterState | null;
};

/** What Chert knows of a kind of defect. */
export type DefectSpec = {
  /** The trade's name ("Standing water"). */
  readonly name: string;
  readonly buyer: BuyerWords;
  /** How inspectors say it, in the notation of sayings. */
  readonly said: string;
  /** How a call-out writes it, where its code would not be read back. */
  readonly written?: string;
  readonly size?: DefectSize;
  /** What the chip asks for while it is not sized. */
  readonly wants?: string;
  readonly forms?: Forms;
  /** Its row of the severity table. */
  readonly severity: SeverityRow;
  /** What was seen, in one sentence, with no number that is not in the log or computed from it. */
  readonly says: (seen: Seen) => string;
  /** What it means for the house, in one sentence. */
  readonly means: string;
  readonly traits: readonly DefectTrait[];
  readonly drawnAs: DefectMark;
  /** What to do by upkeep, by repair, and once it is known to be a cause; absent where the usual words do. */
  readonly upkeep?: string;
  readonly repair?: string;
  readonly thenAsCause?: string;
};
