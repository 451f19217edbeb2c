import type { Property } from '../../model/job/property';
import { ASIDE, type Clause, has, type Statement, type ToldFacts } from './statement';

/** Works that clean the line, by what a run's set-up calls them. */
const CLEANED: Readonly<Record<string, 'cut' | 'jetted'>> = { cut: 'cut', jet: 'jetted' };
/** What was done to the line, by what the history of a property calls it. */
type Done = NonNullable<Property['history']>[number]['what'];
const DONE: Readonly<Record<string, Done>> = {
  cut: 'cleaned',
  jet: 'cleaned',
  descale: 'cleaned',
  'treat-roots': 'cleaned',
  liner: 'lined',
  'patch-liner': 'lined',
  dig: 'repaired',
  burst: 'repaired',
  other: 'repaired',
};
/** Today, or right before the look: what is seen now is seen in a line just cleaned. */
const JUST_NOW =
  /\b(?:this morning|today|just|yesterday|right before|before (?:we|i|you)|earlier)\b/i;
const NOT_LATELY =
  /\b(?:ago|last|years?|months?|spring|summer|fall|winter|every|once|(?:19|20)\d\d)\b/i;

const told = (facts: ToldFacts): Statement => ({
  drafts: [],
  missing: [],
  facts,
  isPlaced: false,
});

/** "was cut", "had the roots jetted": what was done follows at once. "has got roots, wants cutting" tells of no work. */
function isWorkedOn(terms: Clause['terms']): boolean {
  // "I've got a cleanout outside": what is there.
  const doesAt = terms.findIndex(
    ({ senses }) => senses['does'] !== undefined && !senses['feature'],
  );
  if (doesAt < 0) return false;
  const before = terms.slice(0, Math.max(0, doesAt));
  const isBetween = (at: number) =>
    before.slice(at + 1).some(({ senses, amount }) => amount !== null || senses['advised']);
  return (
    before.some(({ senses }, at) => senses['was'] !== undefined && !isBetween(at)) ||
    (doesAt === 0 && has(terms, 'was')) ||
    has(terms.slice(doesAt + 1), 'was')
  );
}

/** "was cut before", "it was jetted this morning", "seller says it backed up": known by being told. */
export function readPast({ words, terms }: Clause): Statement | null {
  const isPast = has(terms, 'past');
  const does = terms.find(({ senses }) => senses['does'] !== undefined)?.senses['does'];
  const isDone =
    does !== undefined &&
    (isPast || isWorkedOn(terms)) &&
    !/\b(?:need|should|wants?)\b/i.test(words);
  const isBackup = /\bback(?:ed|ing|s)? ?up\b|\bbackups?\b/i.test(words);
  if (!isPast && !isDone) return null;
  if (isPast && isBackup) return told({ property: { history: [{ what: 'backup', note: words }] } });
  if (!isDone || has(terms, 'not')) return ASIDE;
  // "just cut the roots" of today is in the run; what was done once is in the history.
  const isLately = JUST_NOW.test(words) || !NOT_LATELY.test(words);
  const cleaned = CLEANED[does] ?? (/\bclean/i.test(words) ? ('unknown' as const) : undefined);
  const by =
    does === 'jet' && /\bclean/i.test(words) && !/\bjet/i.test(words)
      ? ('unknown' as const)
      : cleaned;
  const what = DONE[does];
  return told({
    ...(isLately && by !== undefined ? { run: { cleanedBefore: by } } : {}),
    ...(what === undefined ? {} : { property: { history: [{ what, note: words }] } }),
  });
}

/** "zeroed at the rim", "zeroed here": where the counter was set. */
export function readZeroed({ words, terms }: Clause): Statement | null {
  if (!has(terms, 'zeroed')) return null;
  const at = /\brim\b|\btop of\b/i.test(words)
    ? 'rim'
    : /\b(?:base|bottom) of\b/i.test(words)
      ? 'riser-base'
      : /\bhorizontal\b/i.test(words)
        ? 'horizontal'
        : null;
  // The size of the opening is no reading, and what it is away from something is none.
  const amount = terms.find(({ amount: one }) => one?.unit === 'ft' && one.link === 'at')?.amount;
  return told({ run: { zero: { ...(at === null ? {} : { at }), readingFt: amount?.value ?? 0 } } });
}

const YEAR_OF =
  /\b(?:a|an|this|the) ((?:18|19|20)\d\d) (?:house|home|build|bungalow|ranch|place|property|built)\b/i;
const YEAR =
  /\b(?:built|house is|construction) (?:(?:back )?in |around |about )?(?:((?:18|19|20)\d\d)|(?:19|nineteen )?(\d\d)|(?:nineteen )?(twenty|thirty|forty|fifty|sixty|seventy|eighty|ninety)(?:[ -](one|two|three|four|five|six|seven|eight|nine))?)\b/i;
const TENS = ['twenty', 'thirty', 'forty', 'fifty', 'sixty', 'seventy', 'eighty', 'ninety'];
const ONES = ['one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight', 'nine'];

/** The year in which a house was built: "built in 1962", "in 62", "in nineteen sixty two"; `null` where none is said. */
function builtIn(words: string): number | null {
  const [, whole = YEAR_OF.exec(words)?.[1], short, tens, ones] = YEAR.exec(words) ?? [];
  if (whole !== undefined) return Number(whole);
  if (short !== undefined) return 1900 + Number(short);
  if (tens === undefined) return null;
  const ten = 10 * (TENS.indexOf(tens.toLowerCase()) + 2);
  return 1900 + ten + (ones === undefined ? 0 : ONES.indexOf(ones.toLowerCase()) + 1);
}

/** "built in 1952", "vacant": what the house is. */
export function readHouse({ words, terms }: Clause): Statement | null {
  const year = builtIn(words);
  const isVacant = /\b(?:vacant|nobody lives|house is empty|unoccupied)\b/i.test(words);
  const isOfHouse = /\b(?:house|home|place|building) (?:was|is|were|got) built\b/i.test(words);
  if (year === null && !isVacant && !isOfHouse) return null;
  if (has(terms, 'defect') || has(terms, 'material')) return null;
  if (year === null && !isVacant) return ASIDE;
  return told({
    property: {
      ...(year === null ? {} : { yearBuilt: year }),
      ...(isVacant ? { occupancy: 'vacant' } : {}),
    },
  });
}
