import type { Interval } from '../base/interval';
import type { Range } from '../base/range';
import type { MethodId } from '../catalogue/method-ids';
import type { Zone } from '../catalogue/zones';
import type { PriceKey } from '../model/prices/price-table';
import type { Tee } from './bed';
import type { Extent } from './methods/method';

/** A work that somebody means to do: a method over a stretch of a line. */
export type WorkDraft = Interval & {
  readonly method: MethodId;
  readonly lineId: string;
  /** Whether it is there only because another work needs it first. */
  readonly isFirst?: boolean;
  /** Its place in the order of works, where it is not the method's own. */
  readonly order?: number;
};

/** A visit with a tool: to which line, and from which way in. */
export type Visit = { readonly lineId: string; readonly from: string; readonly fromFt: number };

/** One line of a price: so many of something at a rate, and what that makes. */
export type PriceLine = {
  readonly key: PriceKey;
  readonly says: string;
  /** Feet, or how many. */
  readonly quantity: number;
  readonly unit: 'foot' | 'each';
  /** The rate of the price book. */
  readonly rate: Range;
  /** How many times the rate, for depth; 1 where depth makes nothing dearer. */
  readonly factor: number;
  readonly cost: Range;
};

/** A work with its quantities from the lateral, its price line by line, and what it does. */
export type Work = WorkDraft & {
  readonly id: string;
  readonly isFirst: boolean;
  readonly extent: Extent;
  readonly visit?: Visit;
  readonly cost: Range;
  readonly lines: readonly PriceLine[];
  readonly zones: readonly Zone[];
  /** Depth of the pipe along it, feet; `null` where no ground is opened. */
  readonly depth: {
    readonly leastFt: number;
    readonly mostFt: number;
    readonly isLocated: boolean;
  } | null;
  /** Length on the public side, feet. */
  readonly publicFt: number;
  /** Tees to reopen. */
  readonly tees: readonly Tee[];
  /** Findings that it ends, and those that it only holds, by id. */
  readonly cures: readonly string[];
  readonly holds: readonly string[];
};
