import { groupBy } from '../base/group';
import { sayList } from '../base/numbers';
import { addRanges } from '../base/range';
import { type FindingKind, hasTrait, pageOf } from '../catalogue/defects/kinds';
import type { Finding } from '../judge/finding';
import { aloneFor, usualDig } from './futures/alone';
import { sayMoney } from './money';
import { withLooks } from './plans/telling';
import { priceWorks } from './price-works';
import type { Site } from './site';

/** What one possible cause would take. */
export type CausePath = {
  readonly cause: string;
  /** How likely, beside the others: a stated assumption, 0 to 1. */
  readonly chance: number;
  /** What it would cost, dollars, likely; 0 where the look's own cleaning is all it takes. */
  readonly cost: number;
  /** What would be done ("dig and replace"). */
  readonly then: string;
};

/** What looking again is worth before anyone digs. */
export type LookValue = {
  readonly findingId: string;
  readonly number: number;
  /** Price of clearing and looking again, dollars, likely. */
  readonly price: number;
  readonly paths: readonly CausePath[];
  /** Expected cost of the best guess made without the look, and of looking first; dollars. */
  readonly guess: number;
  readonly looking: number;
  /** Expected saving from knowing, less the price of the look; may be negative. */
  readonly worth: number;
  readonly says: string;
};

/** The kind that a cause's name stands for. */
const KINDS: Readonly<Record<string, FindingKind>> = {
  belly: 'standing-water',
  sag: 'standing-water',
  lip: 'lip',
  debris: 'debris',
  roots: 'roots',
  grease: 'grease',
  scale: 'scale',
  mineral: 'mineral',
  offset: 'offset',
  crack: 'crack',
  break: 'break',
  'intruding-tap': 'intruding-tap',
  blockage: 'debris',
};

const kindOfCause = (cause: string): FindingKind =>
  KINDS[cause] ??
  Object.entries(KINDS).find(([word]) => cause.includes(word))?.[1] ??
  'unidentified';

/** A finding as it would be if one cause were the truth. */
function asIf(finding: Finding, kind: FindingKind): Finding {
  return {
    ...finding,
    kind,
    facts: { ...finding.facts },
    action: kind === 'roots' ? 'upkeep' : 'repair',
    because: [],
  };
}

function pathsOf(site: Site, finding: Finding): CausePath[] {
  const { causeBelly, causeOther } = site.assumptions;
  const named = finding.causes.map(({ cause }) => cause);
  // With no causes named, it is either what it was called or nothing.
  const causes = named.length > 0 ? named : [finding.kind, 'nothing'];
  const weights = causes.map((cause) =>
    kindOfCause(cause) === 'standing-water' ? causeBelly : causeOther,
  );
  const all = weights.reduce((sum, weight) => sum + weight, 0);
  return causes.map((cause, index) => {
    const chance = all > 0 ? weights[index]! / all : 1 / causes.length;
    const kind = named.length === 0 && index === 0 ? finding.kind : kindOfCause(cause);
    if (cause === 'nothing') return { cause, chance, cost: 0, then: 'nothing more' };
    if (hasTrait(kind, 'washed-out'))
      return { cause, chance, cost: 0, then: 'the cleaning has cured it' };
    if (kind === 'unidentified')
      return { cause, chance, cost: usualDig(site).likely, then: 'a repair of usual size' };
    const there = asIf(finding, kind);
    const alone = aloneFor(site, there, kind === 'roots' ? 'hold' : 'cure');
    if (!alone)
      return { cause, chance, cost: usualDig(site).likely, then: 'a repair of usual size' };
    return {
      cause,
      chance,
      cost: alone.cost.likely,
      then: alone.works.length > 0 ? (pageOf(kind)?.thenAsCause ?? 'repair it') : 'repair it',
    };
  });
}

/**
 * What looking again at a finding is worth: the expected cost of acting on the best guess now, less that
 * of looking first and doing what is then known to be needed.
 *
 * A guess costs its work; when it was wrong, the right work and a backup come on top, except that new
 * pipe deals with every cause.
 */
export function valueOfLook(site: Site, finding: Finding): LookValue {
  const drafts = withLooks({ ...site, owned: [finding] }, []);
  const price = addRanges(priceWorks(site, drafts).map(({ cost }) => cost)).likely;
  const paths = pathsOf(site, finding);
  const { backupCost } = site.assumptions;
  const dearest = Math.max(...paths.map(({ cost }) => cost));
  const guesses = paths.map((guess) => {
    const isNewPipe = guess.cost === dearest && guess.cost > 0;
    return paths.reduce((sum, truth) => {
      const isRight = truth === guess || isNewPipe || truth.cause === 'nothing';
      return sum + truth.chance * (isRight ? 0 : truth.cost + backupCost);
    }, guess.cost);
  });
  const guess = Math.min(...guesses);
  const looking = price + paths.reduce((sum, { chance, cost }) => sum + chance * cost, 0);
  const worth = guess - looking;
  return {
    findingId: finding.id,
    number: finding.number,
    price,
    paths,
    guess,
    looking,
    worth,
    says: sayWorth(finding, price, paths, worth),
  };
}

/** What may follow a look, each with its chance and price: what needs nothing more, then the cheapest first. */
function sayPaths(paths: readonly CausePath[]): string {
  const times = (chance: number) => `${Math.round(chance * 100)} times in 100`;
  const free = paths.filter(({ cost }) => cost < 0.5).reduce((sum, { chance }) => sum + chance, 0);
  const byThen = [...groupBy(paths, ({ then, cost }) => `${then} ${cost}`).values()]
    .map((alike) => ({
      ...alike[0]!,
      chance: alike.reduce((sum, { chance }) => sum + chance, 0),
    }))
    .filter(({ cost }) => cost >= 0.5)
    .toSorted((one, other) => one.cost - other.cost);
  const nothing = free > 0 ? [`about ${times(free)} nothing more`] : [];
  const more = byThen.map(
    ({ then, chance, cost }) => `about ${times(chance)} ${then}, about ${sayMoney(cost)}`,
  );
  return ` What may follow: ${[...nothing, ...more].join('; ')}.`;
}

function sayWorth(
  { number }: Finding,
  price: number,
  paths: readonly CausePath[],
  worth: number,
): string {
  const could = sayList(paths.map(({ cause }) => cause)).replace(/ and ([^,]*)$/, ' or $1');
  const open = `Finding ${number} may be ${could}. Clearing it and looking again costs about ${sayMoney(price)}`;
  const saves =
    worth >= 0
      ? ` and saves about ${sayMoney(worth)} on average.`
      : `, about ${sayMoney(-worth)} more than it saves on average: it buys certainty.`;
  return `${open}${saves}${sayPaths(paths)}`;
}

/** What each look that is still open is worth. */
export function valueLooks(site: Site): LookValue[] {
  return site.owned
    .filter(({ action, placed }) => action === 'look-again' && placed)
    .map((finding) => valueOfLook(site, finding));
}
