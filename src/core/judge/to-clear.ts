import { memoOf } from '../base/memo';
import type { Issue, Level, Stand } from './check';
import { STANDS } from './check';
import type { Question } from './conclude';

/** One thing to clear before the site is left: a check, or what a rule needs to know. */
export type ToClear = {
  /** The same for the same thing, so that it can be ticked when it goes. */
  readonly key: string;
  readonly code: string;
  readonly level: Level | 'question';
  readonly stand: Stand;
  /** The one thing that clears it. */
  readonly action: string;
  readonly message: string;
  readonly runIds: readonly string[];
  readonly entryIds: readonly string[];
};

const RANK = { blocker: 0, warning: 1, question: 2 } as const;
const keyOf = (code: string, runIds: readonly string[], entryIds: readonly string[]) =>
  [code, ...runIds, ...entryIds].join(' ');

/** Questions that a check asks already, in other words. */
const ASKED_BY_CHECKS: readonly (readonly [rule: string, code: string])[] = [
  ['wall-missing', 'no-locate'],
  ['quantities-from-log', 'stretch-open'],
];

/** What of a judgement may be open. */
type Open = { readonly checks: readonly Issue[]; readonly questions: readonly Question[] };

/**
 * Everything to clear, in one list: blockers first, and within each level in the order in which a site
 * is left (at the reel, at a fixture, at the surface, at the desk). What needs saying once is said once.
 */
export const listToClear = memoOf(({ checks, questions }: Open): readonly ToClear[] => {
  const isAsked = ({ rule, entryIds }: Question) =>
    ASKED_BY_CHECKS.some(
      ([by, code]) =>
        by === rule &&
        checks.some(
          (issue) => issue.code === code && issue.entryIds.some((id) => entryIds.includes(id)),
        ),
    );
  const items: ToClear[] = [
    ...checks.map(({ code, level, stand, action, message, runIds, entryIds }) => ({
      key: keyOf(code, runIds, entryIds),
      code,
      level,
      stand,
      action,
      message,
      runIds,
      entryIds,
    })),
    ...questions
      .filter((question) => !isAsked(question))
      .map(({ rule, stand, settledBy, text, runIds, entryIds, on }) => ({
        key: keyOf(`${rule} ${on ?? ''}`, runIds, entryIds),
        code: rule,
        level: 'question' as const,
        stand,
        action: settledBy,
        message: text,
        runIds,
        entryIds,
      })),
  ];
  const rank = ({ level, stand }: ToClear) => RANK[level] * STANDS.length + STANDS.indexOf(stand);
  return items
    .map((item, index) => ({ item, index }))
    .sort((a, b) => rank(a.item) - rank(b.item) || a.index - b.index)
    .map(({ item }) => item);
});
