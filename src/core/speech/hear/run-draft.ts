import type { Facing, Pass } from '../../catalogue/vocabulary';
import type { EntryDraft } from '../../model/log/entry';
import { isIdle } from '../clauses';
import type { CalloutContext } from '../draft';
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

/** One push of the camera while it is being told: what stands, and what was taken back. */
export class RunDraft {
  entries: HeardEntry[] = [];
  readonly withdrawn: HeardEntry[] = [];
  facts: NonNullable<ToldFacts['run']> = {};

  constructor(
    public opening: Opening | null,
    public facing: Facing,
  ) {}

  contextAt(counterFt: number | null, pass: Pass): CalloutContext {
    const standing = this.entries.map(({ sentence: _sentence, ...entry }) => ({
      ...entry,
      at: '2026-01-01T00:00:00Z',
    }));
    const closed = new Set(standing.flatMap((one) => (one.kind === 'close' ? [one.closes] : [])));
    const openIds = standing
      .filter((one) => 'open' in one && one.open && !closed.has(one.id))
      .map(({ id }) => id);
    return { counterFt, pass, boreHereIn: this.boreIn(), standing, openIds: new Set(openIds) };
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

  /** The same thing at the same place, with nothing new to it. */
  isSaidAgain(draft: EntryDraft): boolean {
    if (draft.kind !== 'defect' || draft.readingFt === null || draft.replaces !== undefined)
      return false;
    const isSized = ['extentRatio', 'fillRatio', 'depthIn', 'offsetIn', 'gapIn', 'lipIn'].some(
      (field) => field in draft,
    );
    return (
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
      entries: this.entries,
      withdrawn: this.withdrawn,
    };
  }
}
