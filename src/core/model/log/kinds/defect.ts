import { type DefectKind } from '../../../catalogue/defects/index';
import {
  CRACK_DIRECTIONS,
  type Locus,
  SIZE_BASES,
  type SizeWord,
} from '../../../catalogue/vocabulary';
import type { EntryBase } from '../entry-base';
import type { StillMeasure } from '../still-measure';

/** Something wrong, at a point or over a stretch. */
export type DefectEntry = EntryBase & {
  readonly kind: 'defect';
  readonly defect: DefectKind;
  /** The other end of a stretch, feet on the same counter. */
  readonly toReadingFt?: number;
  /** A stretch whose other end a later `close` gives. */
  readonly open?: boolean;
  /** The length as said, feet: checked against the two ends, never used for them. */
  readonly lengthFt?: number;
  readonly locus?: Locus;
  /** Arcs run clockwise, as the lens saw them, from `clockFrom` to `clockTo`. */
  readonly clockFrom?: number;
  readonly clockTo?: number;
  /** Depth of standing water, inches. */
  readonly depthIn?: number;
  /** Depth of standing water ÷ bore. */
  readonly fillRatio?: number;
  /** Share of the pipe's area, or of the diameter for deformation and intruding taps. */
  readonly extentRatio?: number;
  readonly offsetIn?: number;
  readonly gapIn?: number;
  readonly lipIn?: number;
  /** The size by a word, where no number was said. */
  readonly sizeWord?: SizeWord;
  readonly sizeBasis?: (typeof SIZE_BASES)[number];
  /** What its sizes were measured by, where that was on a still. */
  readonly measures?: readonly StillMeasure[];
  /** The form as it was said ("hairline", "invert-missing"); `readForm` reads it. */
  readonly form?: string;
  /** What something that nobody could name may be. */
  readonly candidates?: readonly DefectKind[];
  readonly direction?: (typeof CRACK_DIRECTIONS)[number];
  readonly holdsDebris?: boolean;
  readonly soilVisible?: boolean;
  /** Whether it moves with the water, as hair and wipes do and roots do not. */
  readonly movesWithWater?: boolean;
  /** Caused by this inspection; never charged to the house. */
  readonly ourDoing?: boolean;
};

/** The other end of an entry that was opened with `open: true`. */
export type CloseEntry = EntryBase & { readonly kind: 'close'; readonly closes: string };
