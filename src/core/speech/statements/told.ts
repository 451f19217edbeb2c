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
const NOT_LATELY = /\b(?:ago|last|years?|months?|spring|summer|fall|winter|every)\b/i;

const told = (facts: ToldFacts): Statement => ({
  drafts: [],
  missing: [],
  facts,
  isPlaced: false,
  mode: 'told',
});

/** "was cut before", "it was jetted this morning", "seller says it backed up": known by being told. */
export function readPast({ text, terms }: Clause): Statement | null {
  const isPast = has(terms, 'past');
  const does = terms.find(({ senses }) => senses['does'] !== undefined)?.senses['does'];
  const isDone =
    does !== undefined && (has(terms, 'was') || isPast) && !/\b(?:need|should)/i.test(text);
  const isBackup = /\bback(?:ed|ing|s)? ?up\b|\bbackups?\b/i.test(text);
  if (!isPast && !isDone) return null;
  const words = text.slice(terms[0]!.from, terms.at(-1)!.to).trim();
  if (isPast && isBackup) return told({ property: { history: [{ what: 'backup', note: words }] } });
  if (!isDone || has(terms, 'not')) return ASIDE;
  // "just cut the roots" of today is in the run; what was done once is in the history.
  const isLately = JUST_NOW.test(text) || !NOT_LATELY.test(text);
  const cleaned = CLEANED[does] ?? (/\bclean/i.test(text) ? ('unknown' as const) : undefined);
  const by =
    does === 'jet' && /\bclean/i.test(text) && !/\bjet/i.test(text)
      ? ('unknown' as const)
      : cleaned;
  const what = DONE[does];
  return told({
    ...(isLately && by !== undefined ? { run: { cleanedBefore: by } } : {}),
    ...(what === undefined ? {} : { property: { history: [{ what, note: words }] } }),
  });
}

/** "zeroed at the rim", "zeroed here": where the counter was set. */
export function readZeroed({ text, terms }: Clause): Statement | null {
  if (!has(terms, 'zeroed')) return null;
  const at = /\brim\b|\btop\b|\bcleanout\b|\bcap\b/i.test(text)
    ? 'rim'
    : /\bbase\b|\bbottom\b/i.test(text)
      ? 'riser-base'
      : /\bhorizontal\b|\bpipe\b|\bsweep\b/i.test(text)
        ? 'horizontal'
        : 'unknown';
  const amount = terms.find(({ amount: one }) => one !== null && one.unit !== '%')?.amount;
  return told({ run: { zero: { at, readingFt: amount?.value ?? 0 } } });
}

/** "built in 1952", "vacant": what the house is. */
export function readHouse({ text, terms }: Clause): Statement | null {
  const year =
    /\b(?:built|house is|construction) (?:in |around |about )?((?:18|19|20)\d\d)\b/i.exec(text);
  const isVacant = /\b(?:vacant|nobody lives|house is empty|unoccupied)\b/i.test(text);
  if (!year && !isVacant) return null;
  if (has(terms, 'defect') || has(terms, 'material')) return null;
  return told({
    property: {
      ...(year ? { yearBuilt: Number(year[1]) } : {}),
      ...(isVacant ? { occupancy: 'vacant' } : {}),
    },
  });
}
