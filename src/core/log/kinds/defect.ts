import { clock, flag, id, length, line, oneOf, ratio } from '../../base/joi';
import type { EntryBase } from '../entry-base';
import {
  CRACK_DIRECTIONS,
  DEFECTS,
  LOCI,
  SIZE_BASES,
  type DefectKind,
  type Locus,
} from '../vocabulary';

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
  /** Share of the bore's area, or of the diameter for deformation and intruding taps. */
  readonly extentRatio?: number;
  readonly offsetIn?: number;
  readonly gapIn?: number;
  readonly lipIn?: number;
  readonly sizeBasis?: (typeof SIZE_BASES)[number];
  /** The form in the words of the severity table ("hairline", "invert-missing"). */
  readonly form?: string;
  readonly direction?: (typeof CRACK_DIRECTIONS)[number];
  readonly holdsDebris?: boolean;
  readonly soilVisible?: boolean;
  /** Caused by this inspection; never charged to the house. */
  readonly ourDoing?: boolean;
};

/** The other end of an entry that was opened with `open: true`. */
export type CloseEntry = EntryBase & { readonly kind: 'close'; readonly closes: string };

export const defectKeys = {
  defect: oneOf(DEFECTS).required(),
  toReadingFt: length(),
  open: flag(),
  lengthFt: length(),
  locus: oneOf(LOCI),
  clockFrom: clock(),
  clockTo: clock(),
  depthIn: length(),
  fillRatio: ratio(),
  extentRatio: ratio(),
  offsetIn: length(),
  gapIn: length(),
  lipIn: length(),
  sizeBasis: oneOf(SIZE_BASES),
  form: line(80),
  direction: oneOf(CRACK_DIRECTIONS),
  holdsDebris: flag(),
  soilVisible: flag(),
  ourDoing: flag(),
};

export const closeKeys = { closes: id().required() };
