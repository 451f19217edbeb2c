import type { Firm, Signing } from '../model/firm/firm';
import { type Judgement } from '../model/job/judgement';
import type { Lens } from '../model/log/still-measure';
import { type PriceBook } from '../model/prices/price-book';
import type { Backups } from '../office/backups';
import type { Hours } from '../office/hours';
import type { OwnWord } from '../speech/draft';

/** A camera head: what decides where it fits, and how its pictures are measured. */
export type Head = Lens & {
  readonly name: string;
  readonly diameterIn: number;
  readonly levels: boolean;
};

/** What of a head's lens goes into a measure on its pictures. */
export const lensOf = (head: Head | undefined): Lens => ({
  ...(head?.fieldDeg === undefined ? {} : { fieldDeg: head.fieldDeg }),
  ...(head?.distortion === undefined ? {} : { distortion: head.distortion }),
});

/** The inspector's rig, and what is assumed of it for the reach estimate. */
export type Equipment = {
  /** Length of the push rod, feet. */
  readonly rodFt: number;
  /** Weight of the rod, pounds per foot. */
  readonly rodLbPerFt: number;
  /** Push that a hand keeps up at the access, pounds. */
  readonly pushLb: number;
  readonly heads: readonly Head[];
  readonly skids: readonly string[];
};

/** What an inspector sets once, for every job on this machine. */
export type Preferences = {
  readonly equipment: Equipment;
  readonly ownWords: readonly OwnWord[];
  /** How new jobs are judged; absent: as Chert would. */
  readonly judgement?: Judgement;
  /** Who signs the reports; absent until somebody has said or waved it off. */
  readonly firm?: Firm;
  /** The inspector's price books, by area; absent: Chert's own alone. */
  readonly priceBooks?: readonly PriceBook[];
  /** When the firm works, and by what its ways are reckoned; absent: as Chert would. */
  readonly hours?: Hours;
  /** Months after which voice notes and recordings of issued jobs are removed; absent or `null`: never. */
  readonly keepMonths?: number | null;
  /** What an inspector of a firm signs with; absent: the firm's own. */
  readonly signing?: Signing;
  /** When backups are made, and how many stay; absent: as Chert would. */
  readonly backups?: Backups;
};

/**
 * A common rod: half an inch of glass fiber weighs about 0.15 lb a foot; a hand on a wet rod keeps up
 * about 40 lb. Both are assumptions that the settings screen shows and lets change.
 */
export const DEFAULT_PREFERENCES: Preferences = {
  equipment: {
    rodFt: 200,
    rodLbPerFt: 0.15,
    pushLb: 40,
    heads: [
      { name: 'standard head', diameterIn: 1.7, levels: true },
      { name: 'small head', diameterIn: 1, levels: false },
    ],
    skids: ['4 in skid'],
  },
  ownWords: [],
};
