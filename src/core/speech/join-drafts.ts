import { hasTrait } from '../catalogue/defects/kinds';
import type { EntryDraft } from '../model/log/entry';
import { SOME_FIXTURE } from '../model/log/kinds/seeing';
import type { ReadClause } from './read-clause';

/** One run ends once: two ways of saying so are one end, with the reason that says more. */
export function joinEnds(drafts: readonly EntryDraft[]): EntryDraft[] {
  const ends = drafts.flatMap((draft) => (draft.kind === 'end' ? [draft] : []));
  const [first] = ends;
  if (!first || ends.length < 2) return [...drafts];
  const why = ends.find(({ reason }) => reason !== 'other') ?? first;
  const { reason, confirmedBy } = why;
  const joined = { ...first, reason, confirmedBy };
  return drafts.flatMap((draft): EntryDraft[] =>
    draft.kind !== 'end' ? [draft] : draft === first ? [joined] : [],
  );
}

/** "no roots no offset 20 to 40": what was looked for in one breath was looked for over the one stretch that was said. */
export function spreadClears(reads: readonly ReadClause[]): EntryDraft[] {
  const placed = reads.flatMap(({ drafts, isPlaced }) =>
    isPlaced ? drafts.filter((draft) => draft.kind === 'clear') : [],
  );
  const [only] = placed;
  return reads.flatMap(({ drafts, isPlaced }) =>
    drafts.map((draft) =>
      draft.kind === 'clear' && draft.kinds && !isPlaced && only?.kinds && placed.length === 1
        ? {
            ...draft,
            readingFt: only.readingFt,
            ...(only.toReadingFt === undefined ? {} : { toReadingFt: only.toReadingFt }),
          }
        : draft,
    ),
  );
}

type Clear = Extract<EntryDraft, { kind: 'clear' }>;

/** Both looks in one: a look for anything is a look for each. */
const lookFor = ({ kinds, ...one }: Clear, other: Clear): Clear =>
  kinds && other.kinds ? { ...one, kinds: [...new Set([...kinds, ...other.kinds])] } : one;

/** Denials in one breath at one place are one look for several things. */
export function joinClears(drafts: readonly EntryDraft[]): EntryDraft[] {
  const joined: EntryDraft[] = [];
  for (const draft of drafts) {
    const last = joined.at(-1);
    const isSame =
      draft.kind === 'clear' &&
      last?.kind === 'clear' &&
      draft.readingFt === last.readingFt &&
      draft.toReadingFt === last.toReadingFt &&
      draft.pass === last.pass;
    if (isSame) joined[joined.length - 1] = lookFor(last, draft);
    else joined.push(draft);
  }
  return joined;
}

/** "flushed the toilet and it came right through": one test, and its result. */
export function joinTests(drafts: readonly EntryDraft[]): EntryDraft[] {
  return drafts.reduce<EntryDraft[]>((joined, draft) => {
    const last = joined.at(-1);
    const isResult =
      draft.kind === 'flow-test' &&
      last?.kind === 'flow-test' &&
      last.result === 'not-seen' &&
      draft.fixture === SOME_FIXTURE &&
      draft.readingFt === last.readingFt;
    if (isResult) joined[joined.length - 1] = { ...last, result: draft.result };
    else joined.push(draft);
    return joined;
  }, []);
}

/** "camera stops at 48, roots": what is there is what it stopped at. */
export function sayWhatStopped(drafts: readonly EntryDraft[]): EntryDraft[] {
  const isStop = (draft: EntryDraft) =>
    draft.kind === 'defect' && hasTrait(draft.defect, 'stops-camera');
  return drafts.map((draft) =>
    draft.kind === 'end' && draft.reason === 'other' && drafts.some(isStop)
      ? { ...draft, reason: 'obstruction' }
      : draft,
  );
}

/** "I can see the main but I can't get to it": it is not where the camera is. */
const SHORT_OF_IT =
  /\b(?:can'?t|cannot|can not|couldn'?t|could not|didn'?t|did not) (?:quite )?(?:(?:get|make it|go)(?: (?:all the way|quite))? (?:to it|there|that far|out to it)|reach (?:it|that far))\b/i;

export const withoutUnreached = (drafts: readonly EntryDraft[], said: string): EntryDraft[] =>
  drafts.filter(
    (draft) =>
      !(
        draft.kind === 'end' &&
        draft.reason === 'main' &&
        SHORT_OF_IT.test(said.replace(/’/g, "'"))
      ),
  );
