import type { Entry, EntryDraft } from '../model/log/entry';
import { type CalloutContext, openIdsOf } from './draft';
import { readLine } from './read-line';
import type { ToldFacts } from './statements/statement';

/** One line said, and what is known where it is said. */
export type CalloutRequest = {
  readonly say: string;
  readonly counterFt?: number | null;
  readonly pass?: 'out' | 'back';
  readonly facing?: 'downstream' | 'upstream';
  /** Diameter of the pipe at the counter, inches. */
  readonly boreIn?: number | null;
  /** What stands in the log already. */
  readonly standing?: readonly Entry[];
};

/** What the line says. */
export type CalloutAnswer = {
  readonly entries: readonly EntryDraft[];
  /** What has to be asked before it can be logged, with the readings that there are. */
  readonly asks: readonly {
    readonly about: string;
    readonly choices: readonly { readonly says: string; readonly entries: readonly EntryDraft[] }[];
  }[];
  readonly facts: ToldFacts;
  /** How words that say nothing for the log are kept. */
  readonly kept: 'note' | 'flag' | null;
  /** Words that were not used. */
  readonly rest: string;
};

/** Reads one line as the call-out line of Scope does. */
export function answerCallout({
  say,
  counterFt = null,
  pass = 'out',
  facing,
  boreIn = null,
  standing = [],
}: CalloutRequest): CalloutAnswer {
  const context: CalloutContext = {
    counterFt,
    pass,
    ...(facing === undefined ? {} : { facing }),
    boreHereIn: boreIn,
    standing,
    openIds: openIdsOf(standing),
  };
  const read = readLine(say, context);
  if (!read) return { entries: [], asks: [], facts: {}, kept: null, rest: '' };
  const { drafts, choices, missing, kept, facts, rest, isRefused } = read;
  const isAsked =
    choices.length === 0 && drafts.length === 0 && kept === null && missing.length > 0;
  return {
    entries: kept === null && choices.length === 0 && !isRefused ? drafts : [],
    asks: [
      ...(choices.length === 0
        ? []
        : [
            {
              about: isRefused || drafts.length === 0 ? missing.join('; ') : 'which is it?',
              choices: choices.map((one) => ({ says: one.label, entries: one.drafts })),
            },
          ]),
      ...(isAsked ? missing.map((about) => ({ about, choices: [] })) : []),
    ],
    facts,
    kept,
    rest:
      rest !== '' || kept !== null
        ? rest
        : drafts
            .flatMap(({ kind, note }) => (kind === 'note' ? [] : [note ?? '']))
            .join(' ')
            .trim(),
  };
}
