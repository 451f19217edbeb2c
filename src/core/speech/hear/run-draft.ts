import type { Facing, Pass } from '../../catalogue/vocabulary';
import type { EntryDraft } from '../../model/log/entry';
import { isIdle } from '../clauses';
import { type CalloutContext, openIdsOf } from '../draft';
import { readLine } from '../read-line';
import { readTerms } from '../sheet';
import type { ToldFacts } from '../statements/statement';
import { footageAlone, hasHead, stretchAlone } from './alone';
import type { HeardEntry, HeardRun } from './heard';
import type { Opening } from './openings';

/** Said twice so near, it is one thing, feet. */
const SAME_PLACE_FT = 0.5;
const PRONOUN =
  /^(?:and |so |yeah |okay |ok )*(?:it|you can|i can|and you can|it's|its|that|that's|thats|this|they|they're|those|looks like it's|i'd call (?:it|that)|i'd say|call it|make it|about|maybe)\b/i;

/** Said of what was spoken of last. */
const POINTS_BACK = /\b(?:that|this|it|those|these|them|there|here)\b/i;
/** Said of one more of the same. */
const ANOTHER = /\b(?:another|more|again|also|second|next|too)\b/i;

/** One push of the camera while it is being told: what stands, and what was taken back. */
export class RunDraft {
  entries: HeardEntry[] = [];
  readonly withdrawn: HeardEntry[] = [];
  facts: NonNullable<ToldFacts['run']> = {};
  isGivenUp = false;

  constructor(
    public opening: Opening | null,
    public facing: Facing,
  ) {}

  contextAt(counterFt: number | null, pass: Pass): CalloutContext {
    const standing = this.entries.map(({ sentence: _sentence, ...entry }) => ({
      ...entry,
      at: '2026-01-01T00:00:00Z',
    }));
    return {
      counterFt,
      pass,
      facing: this.facing,
      boreHereIn: this.boreIn(),
      standing,
      openIds: openIdsOf(standing),
    };
  }

  boreIn(): number | null {
    const pipe = this.entries.findLast(
      (entry) => entry.kind === 'material' && entry.diameterIn !== undefined,
    );
    return pipe?.kind === 'material' ? (pipe.diameterIn ?? null) : null;
  }

  /** "yeah, those are roots": what was one of several is named, where it was. */
  settleCandidate(draft: EntryDraft): number | null {
    const last = this.entries.at(-1);
    const isOne =
      draft.kind === 'defect' &&
      draft.readingFt === null &&
      last?.kind === 'defect' &&
      (last.candidates ?? []).includes(draft.defect);
    if (!isOne) return null;
    this.withdraw(last.id);
    return last.readingFt;
  }

  /** "I would dig that up": advice about what was just said is where that is. */
  placeAdvice(draft: EntryDraft, text: string): EntryDraft | null {
    const last = this.entries.at(-1);
    const isAbout = draft.kind === 'advice' && POINTS_BACK.test(text) && !/\d/.test(text);
    if (!isAbout || last?.kind !== 'defect' || last.readingFt === null) return null;
    const to = last.toReadingFt === undefined ? {} : { toReadingFt: last.toReadingFt };
    return { ...draft, readingFt: last.readingFt, ...to };
  }

  /** "looks like six inch clay" right after the clay was called: its size, and no other pipe. */
  private isSamePipe(draft: EntryDraft): boolean {
    const last = this.entries.findLast((entry) => entry.kind === 'material');
    const isSame =
      draft.kind === 'material' &&
      last?.kind === 'material' &&
      last.material === draft.material &&
      last.side === draft.side &&
      last.pass === draft.pass &&
      (draft.readingFt === null || draft.readingFt === last.readingFt);
    if (!isSame) return false;
    const size = draft.diameterIn === undefined ? {} : { diameterIn: draft.diameterIn };
    this.entries = this.entries.map((entry) =>
      entry.id === last.id ? { ...last, ...size } : entry,
    );
    return true;
  }

  /** "broken pipe. Pieces missing.": more words on what was just said. */
  private isMoreOfLast(draft: EntryDraft, text: string): boolean {
    const last = this.entries.at(-1);
    return (
      draft.kind === 'defect' &&
      draft.readingFt === null &&
      last?.kind === 'defect' &&
      last.defect === draft.defect &&
      !ANOTHER.test(text)
    );
  }

  /** The same thing at the same place, with nothing new to it. */
  isSaidAgain(draft: EntryDraft, text: string): boolean {
    if (this.isSamePipe(draft)) return true;
    if (draft.kind !== 'defect' || draft.replaces !== undefined) return false;
    const isSized = ['extentRatio', 'fillRatio', 'depthIn', 'offsetIn', 'gapIn', 'lipIn'].some(
      (field) => field in draft,
    );
    if (!isSized && !('sizeWord' in draft) && this.isMoreOfLast(draft, text)) return true;
    return (
      draft.readingFt !== null &&
      !isSized &&
      draft.toReadingFt === undefined &&
      this.entries.some(
        (entry) =>
          entry.kind === 'defect' &&
          entry.defect === draft.defect &&
          entry.pass === draft.pass &&
          entry.readingFt !== null &&
          Math.abs(entry.readingFt - draft.readingFt!) <= SAME_PLACE_FT,
      )
    );
  }

  withdraw(id: string): void {
    const at = this.entries.findIndex((entry) => entry.id === id);
    if (at >= 0) this.withdrawn.push(...this.entries.splice(at, 1));
  }

  /** "no, that's clay": what was said a moment ago of the same sort gives way. */
  withdrawAlike(draft: EntryDraft): void {
    const last = this.entries.at(-1);
    const isNear =
      last?.kind === draft.kind &&
      (last.readingFt === null ||
        draft.readingFt === null ||
        Math.abs(last.readingFt - draft.readingFt) <= 1);
    if (last && isNear) this.withdraw(last.id);
  }

  /** "that's not concrete after all": what was said so is taken back. */
  withdrawDenied(text: string): boolean {
    const terms = readTerms(text);
    const at = terms.findIndex(({ senses }) => senses['not'] !== undefined);
    if (at < 0) return false;
    const named = terms.slice(at + 1).flatMap(({ senses }) => Object.values(senses));
    const said = this.entries.findLast(
      (entry) =>
        (entry.kind === 'material' && named.includes(entry.material)) ||
        (entry.kind === 'feature' && named.includes(entry.feature)) ||
        (entry.kind === 'defect' && named.includes(entry.defect)),
    );
    if (said) this.withdraw(said.id);
    return said !== undefined;
  }

  /** "that's at fifty seven": the footage of what was just said without one; the counter then. */
  placeLast(text: string, unplaced: readonly string[], pass: Pass): number | null {
    if (unplaced.length === 0) return null;
    const stretch = stretchAlone(text);
    const readingFt = stretch?.from ?? footageAlone(text);
    if (readingFt === null) return null;
    this.entries = this.entries.map((entry) => {
      if (!unplaced.includes(entry.id)) return entry;
      const isStretch = stretch !== null && (entry.kind === 'defect' || entry.kind === 'unseen');
      const { open: _open, ...closed } = entry as HeardEntry & { open?: boolean };
      return isStretch
        ? ({ ...closed, readingFt, toReadingFt: stretch.to } as HeardEntry)
        : { ...entry, readingFt };
    });
    const counterFt = stretch?.to ?? readingFt;
    if (stretch !== null) this.sizeLast(text, counterFt, pass);
    return counterFt;
  }

  /** "it's about an inch and a half deep": more of what was just said. */
  sizeLast(text: string, counterFt: number | null, pass: Pass): boolean {
    const last = this.entries.findLast((entry) => entry.kind === 'defect');
    const terms = readTerms(text);
    if (!last || hasHead(terms) || terms.some(({ senses }) => senses['not'])) return false;
    const size = terms.find(
      ({ amount, senses }) =>
        (amount !== null && (amount.unit === 'in' || amount.unit === '%')) ||
        senses['mark'] !== undefined,
    );
    const isAbout = PRONOUN.test(text) || terms.every((term) => term === size || isIdle(term));
    if (!size || !isAbout) return false;
    const words = text.slice(size.from, size.to);
    const read = readLine(`correct #${last.id} ${words}`, this.contextAt(counterFt, pass));
    const [draft] = read?.drafts ?? [];
    if (draft?.kind !== 'defect') return false;
    const { replaces: _replaces, note: _note, ...more } = draft;
    this.entries = this.entries.map((entry) => {
      if (entry.id !== last.id) return entry;
      // A number is better than a word.
      const { sizeWord: _word, ...known } = entry as typeof last;
      return { ...known, ...more, id: entry.id };
    });
    return true;
  }

  toRun(): HeardRun {
    return {
      access: this.opening?.kind ?? null,
      accessWords: this.opening?.words ?? '',
      facing: this.facing,
      ...this.facts,
      ...(this.isGivenUp ? { outcome: 'abandoned' as const } : {}),
      entries: this.entries,
      withdrawn: this.withdrawn,
    };
  }
}
