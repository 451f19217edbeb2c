import type { EntryDraft } from '../model/log/entry';
import type { CalloutContext, OtherReading } from './draft';
import type { ToldFacts } from './statements/statement';

/** What the call-out line understood. */
export type Understood = {
  readonly drafts: readonly EntryDraft[];
  /** What is still wanted, in a few words each. */
  readonly missing: readonly string[];
  /** Where the words allow more than one reading: all of them, the likeliest first. Else empty. */
  readonly choices: readonly OtherReading[];
  /** How words are kept that say nothing for the log; `null` where something was understood. */
  readonly kept: 'note' | 'flag' | null;
  /** What is known of the run, the job or the house by being told. */
  readonly facts: ToldFacts;
  /** Whether what was said cannot be: it is asked about, and not logged. */
  readonly isRefused: boolean;
  /** Words that nothing was made of. */
  readonly rest: string;
};

const NOTHING: Understood = {
  drafts: [],
  missing: [],
  choices: [],
  kept: null,
  facts: {},
  isRefused: false,
  rest: '',
};

/** Words kept as a note or as a flag at the counter; `null` for a start of what was understood. */
export function keptAs(
  kept: Understood['kept'],
  said = '',
  { pass, counterFt }: Pick<CalloutContext, 'pass' | 'counterFt'> = {
    pass: 'out',
    counterFt: null,
  },
): Understood {
  if (kept === null) return NOTHING;
  const words = said.trim();
  return {
    ...NOTHING,
    kept,
    drafts: [{ kind: kept, pass, readingFt: counterFt, note: words }],
    rest: words,
  };
}
