import { type AccessKind } from '../../catalogue/access/index';
import { type Material } from '../../catalogue/materials/index';
import { type Zone } from '../../catalogue/zones';

/** Where an access leads in: at the house, along the line, or near the street. */
export const ALONG_LINE = ['house-end', 'along', 'near-street'] as const;
export type AlongLine = (typeof ALONG_LINE)[number];

/** Where the camera goes in. */
export type AccessPoint = {
  readonly id: string;
  /** What people call it ("B"); absent: its id. */
  readonly label?: string;
  readonly kind: AccessKind;
  /** Nominal inside diameter of the opening, inches. */
  readonly diameterIn: number;
  readonly material: Material;
  readonly place: string;
  /** Where it lies; absent: nobody said. */
  readonly zone?: Zone;
  readonly usable: boolean;
  /** What is in the way; with `usable: false`, why it was refused. */
  readonly obstacle: string | null;
  /** What kind of thing that is; absent: read from the words. */
  readonly trouble?: Trouble;
  /** Bends between the opening and the run of the pipe, degrees each, in the order met. */
  readonly bendsDeg?: readonly number[];
  /** Height of the opening over the pipe it leads into, feet. */
  readonly dropFt?: number;
  /** Where it leads in: at the house, along the line, at the property line. Absent: not known. */
  readonly alongLine?: AlongLine;
};

export const TROUBLES = ['stuck-cap', 'buried', 'in-the-way', 'other'] as const;
export type Trouble = (typeof TROUBLES)[number];

/** Words by which people say that a cap would not come, or that an access lies under something. */
const STUCK = ['forc', 'stuck', 'seiz', 'frozen', 'rusted', 'wont', 'wouldnt'];
const BURIED = ['buried', 'soil', 'covered', 'paved', 'below', 'under'];
const DENIED = ['not', 'no', 'without', 'isnt', 'never'];

/** What is in the way of an access, read once: as it was set, else from the words that say it. */
export function troubleOf({ trouble, obstacle, usable }: AccessPoint): Trouble | null {
  if (trouble !== undefined) return trouble;
  if (obstacle === null || obstacle.trim() === '') return usable ? null : 'other';
  const words = obstacle
    .toLowerCase()
    .replace(/['’]/g, '')
    .split(/[^a-z]+/);
  const says = (stems: readonly string[]) =>
    words.some(
      (word, at) =>
        stems.some((stem) => word.startsWith(stem)) && !DENIED.includes(words[at - 1] ?? ''),
    );
  const isStuck =
    says(STUCK) ||
    (words.includes('not') &&
      words.some((word) => ['come', 'turn', 'open', 'move', 'budge'].includes(word)));
  if (!usable && isStuck) return 'stuck-cap';
  return says(BURIED) ? 'buried' : 'in-the-way';
}
