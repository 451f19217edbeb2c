import type { Interval } from '../../base/interval';
import type { MethodId } from '../../catalogue/method-ids';
import type { Finding } from '../../judge/finding';
import type { Ground } from '../../lateral/zones';
import type { PriceKey } from '../../model/prices/price-table';
import type { Cell } from '../bed';
import type { Site } from '../site';

/** What a method does for a finding: ends it, holds it for a time, or neither; and why. */
export type Verdict = { readonly does: 'cure' | 'hold' | 'no'; readonly because: string };

export const cures = (because: string): Verdict => ({ does: 'cure', because });
export const holds = (because: string): Verdict => ({ does: 'hold', because });
export const cannot = (because: string): Verdict => ({ does: 'no', because });

/** What a work extends over: a visit to a line, a stretch between sound ends, one place, or a fitting on the line. */
export type Extent = 'visit' | 'stretch' | 'spot' | 'fitting';

/**
 * One way of dealing with a pipe, as data and predicates: what it cures, what it merely holds, what
 * forbids it, what must come first, how it is priced and how long it lasts.
 */
export type Method = {
  readonly id: MethodId;
  readonly name: string;
  /** What is done, for a line of a plan ("Replace"). */
  readonly verb: string;
  readonly extent: Extent;
  /** Whether it is worked from its way in to its last target, and paid by the foot run from there. */
  readonly runsFromWayIn: boolean;
  readonly role: 'replace' | 'mend' | 'clean' | 'prepare' | 'look' | 'tell';
  /** Place in the order of works: what is smaller is done first. */
  readonly order: number;
  /** Years that the work usually lasts; `null` where upkeep intervals or nothing of the kind applies. */
  readonly lifeYears: number | null;
  readonly by: string;
  readonly grounds: readonly Ground[];
  /** Whether ground is opened: depth makes it dearer, and the surface is put back. */
  readonly opensGround: boolean;
  /** Whether its price each is for pits, which depth makes dearer. */
  readonly digsPits: boolean;
  /** Whether it replaces sewer pipe, which needs a permit. */
  readonly needsPermit: boolean;
  /** Whether a hose or cutter must get in by a cleanout. */
  readonly needsCleanout: boolean;
  readonly price: {
    readonly visit?: PriceKey;
    readonly each?: PriceKey;
    readonly foot?: PriceKey;
    readonly tee?: PriceKey;
  };
  /** The longest that one piece of it may be, feet; absent: any length. */
  readonly longestFt?: number;
  /** What must be done first on a stretch of this pipe. */
  readonly firstIn: (cell: Cell, site: Site, lineId: string) => readonly MethodId[];
  /** The stretch that it must work for a finding, feet. */
  readonly reach: (finding: Finding, site: Site) => Interval;
  /** What it does for a finding; `null` when nobody would think of it. */
  readonly verdict: (finding: Finding, site: Site) => Verdict | null;
  /** Why it cannot pass a finding that is still there; `null` when it can. */
  readonly barredBy: (finding: Finding, site: Site) => string | null;
  /** Why it cannot be done in this pipe at all; `null` when it can. */
  readonly barredIn: (cell: Cell, site: Site, lineId: string) => string | null;
};

const EVERYWHERE: readonly Ground[] = ['open', 'slab', 'hung'];

/** The parts of a method that differ from the usual. */
type Particulars = Pick<Method, 'id' | 'name' | 'verb' | 'role' | 'order' | 'verdict'> &
  Partial<Method>;

const EXTENTS: Readonly<Record<Method['role'], Extent>> = {
  replace: 'stretch',
  mend: 'spot',
  clean: 'visit',
  prepare: 'fitting',
  look: 'visit',
  tell: 'visit',
};
const extentOf = (role: Method['role']) => EXTENTS[role];

/** A method from what is particular to it: else it works in any ground, on the finding itself. */
export function methodOf(particulars: Particulars): Method {
  return {
    lifeYears: null,
    by: 'a licensed plumber or drain contractor',
    grounds: EVERYWHERE,
    extent: extentOf(particulars.role),
    runsFromWayIn: false,
    opensGround: false,
    digsPits: particulars.opensGround ?? false,
    needsPermit: false,
    needsCleanout: false,
    price: {},
    firstIn: () => [],
    reach: ({ span }) => span,
    barredBy: () => null,
    barredIn: () => null,
    ...particulars,
  };
}
