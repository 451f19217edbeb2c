import type { EntryDraft } from '#core/model/log/entry';
import { footageOf, type Timeline } from '#core/recording/timeline';
import type { Heard, HeardEntry } from '#core/speech/hear/heard';
import { readLine } from '#core/speech/read-line';

/** What was made of a draft: to be logged, left out, or in the log by now. */
export type Verdict = 'accepted' | 'dropped' | 'logged';
export type Settled = { readonly verdict?: Verdict; readonly says?: string };
/** A narration on this device: its text, and what was made of each draft so far. */
export type Narration = {
  readonly name: string;
  readonly text: string;
  /** Which of the pushes that were told is this run. */
  readonly part: number;
  readonly settled: Readonly<Record<string, Settled>>;
};

/** One draft beside its sentence. */
export type Line = {
  readonly id: string;
  readonly drafts: readonly EntryDraft[];
  readonly says: string;
  readonly fromMs: number | null;
  readonly verdict: Verdict | null;
  /** What is not sure about it, in a few words; `null` when nothing is. */
  readonly unsure: string | null;
};

const PLACED: readonly EntryDraft['kind'][] = [
  'flag',
  'material',
  'feature',
  'defect',
  'unseen',
  'end',
];

/** A draft with the footage of its moment, where nobody said one and the time line knows. */
function placed(draft: EntryDraft, fromMs: number | null, timeline: Timeline): EntryDraft {
  if (draft.readingFt !== null || fromMs === null || !PLACED.includes(draft.kind)) return draft;
  return { ...draft, readingFt: footageOf(timeline.at(fromMs)) };
}

function unsureOf(drafts: readonly EntryDraft[]): string | null {
  if (drafts.length === 0) return 'Nothing is made of these words';
  if (drafts.some(({ kind }) => kind === 'flag')) return 'Not understood: kept as a flag';
  if (drafts.some(({ kind, readingFt }) => readingFt === null && PLACED.includes(kind)))
    return 'No footage was said';
  if (drafts.some(({ certainty }) => certainty !== undefined && certainty !== 'confirmed'))
    return 'Said in doubt';
  return null;
}

/** Reads words that were put in the place of those that were said, as they would be read at that place. */
function readAgain(says: string, { readingFt, pass }: HeardEntry): readonly EntryDraft[] {
  const understood = readLine(says, {
    counterFt: readingFt ?? 0,
    pass,
    boreHereIn: null,
    standing: [],
    openIds: new Set(),
    ownWords: [],
  });
  if (!understood) return [];
  return understood.choices[0]?.drafts ?? understood.drafts;
}

/** The drafts of a narration for this run: what is unsure first, and otherwise in the order they were said. */
export function linesOf(
  heard: Heard,
  { part, settled }: Pick<Narration, 'part' | 'settled'>,
  timeline: Timeline,
): Line[] {
  const lines = (heard.runs[part]?.entries ?? []).map((entry): Line => {
    const { id, sentence, ...rest } = entry;
    const { verdict = null, says } = settled[id] ?? {};
    // The core's type of a draft is one of many kinds: what is left of one is one of them again.
    const said = says === undefined ? [rest] : readAgain(says, entry);
    const drafts = said.map((draft) => placed(draft, sentence.fromMs, timeline));
    return {
      id,
      drafts,
      says: says ?? sentence.text,
      fromMs: sentence.fromMs,
      verdict,
      unsure: unsureOf(drafts),
    };
  });
  const rank = ({ unsure, verdict }: Line) => (verdict === 'logged' ? 2 : unsure === null ? 1 : 0);
  return lines.toSorted((a, b) => rank(a) - rank(b));
}

/** Footages that were said at a moment: they tell where the camera was. */
export const spokenMarksOf = (heard: Heard, part: number) =>
  (heard.runs[part]?.entries ?? []).flatMap(({ readingFt, pass, sentence, kind }) =>
    readingFt === null || sentence.fromMs === null || !PLACED.includes(kind)
      ? []
      : [{ atMs: sentence.fromMs, readingFt, pass }],
  );

/** When each accepted draft was seen, ms into the recording, with its drafts: in the order of time. */
export function acceptedOf(lines: readonly Line[], timeline: Timeline) {
  const accepted = lines.filter(
    ({ verdict, drafts }) => verdict === 'accepted' && drafts.length > 0,
  );
  const timed = accepted.map(({ id, drafts, fromMs }) => {
    const [first] = drafts;
    const byFootage =
      first?.readingFt === null || first === undefined
        ? undefined
        : timeline.momentsOf(first.readingFt, first.pass)[0]?.atMs;
    return { id, drafts, atMs: fromMs ?? byFootage ?? null };
  });
  // Text without times keeps its own order, after what has one.
  return timed.toSorted((a, b) => (a.atMs ?? Infinity) - (b.atMs ?? Infinity));
}

/** A draft without what named drafts of the narration: those have no ids in the log. */
export function freed(draft: EntryDraft, idOf: ReadonlyMap<string, string>): EntryDraft {
  const { replaces: _replaces, ...rest } = draft;
  const named = { ...rest } as Record<string, unknown>;
  for (const field of ['closes', 'confirms'])
    if (typeof named[field] === 'string') named[field] = idOf.get(named[field]) ?? named[field];
  return named as unknown as EntryDraft;
}
