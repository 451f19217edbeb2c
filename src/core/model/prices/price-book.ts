import type { Range } from '../../base/range';
import { PRICE_SOURCE, PRICE_TABLE, type PriceKey, PRICES_AS_OF } from './price-table';

/** Prices of an area, as far as they differ from Chert's own. */
export type PriceBook = {
  readonly id: string;
  readonly name: string;
  /** Where the figures come from, in the inspector's words. */
  readonly source: string;
  /** When they were last looked at, `YYYY-MM-DD`. */
  readonly editedOn: string;
  readonly prices: Partial<Record<PriceKey, Range>>;
};

export const CHERT_BOOK: PriceBook = {
  id: 'chert',
  name: 'Chert’s own',
  source: PRICE_SOURCE,
  editedOn: PRICES_AS_OF,
  prices: {},
};

/** High may be this many times low: a wider range says nothing. */
export const WIDEST = 10;
/** A price this many times more, or less, than Chert's is a slip of the hand. */
export const FARTHEST = 20;

/** Why a range cannot be right for a price; `null` when it can. */
export function whyImplausible(key: PriceKey, { low, likely, high }: Range): string | null {
  if (low < 0) return 'below nothing';
  if (low > likely || likely > high) return 'low, likely and high are not in that order';
  if (high === 0) return null;
  if (low === 0) return 'a low of nothing beside a price';
  if (high / low > WIDEST) return `high is more than ${WIDEST} times low: that says nothing`;
  const ours = PRICE_TABLE[key].likely;
  if (likely > ours * FARTHEST || likely < ours / FARTHEST)
    return `likely is over ${FARTHEST} times away from the usual $${ours}`;
  return null;
}

/** Every price of a book: its own, else Chert's. */
export type Prices = Readonly<Record<PriceKey, Range>>;

export function pricesOf(book: Pick<PriceBook, 'prices'>): Prices {
  return { ...PRICE_TABLE, ...book.prices };
}
