import type { Facing, Pass } from '../../catalogue/vocabulary';
import type { EntryDraft } from '../../model/log/entry';
import { isIdle } from '../heads';
import { readLine } from '../read-line';
import { readTerms } from '../sheet';
import type { ToldFacts } from '../statements/statement';
import { footageAlone, hasHead, stretchAlone } from './alone';
import type { HeardEntry, HeardRun } from './heard';
import { endAlone, pipeSizeAlone, withoutNotSo } from './more-of-last';
import type { Opening } from './openings';
import { AT_THAT, CALLS_IT, POINTS_BACK, PRONOUN, SAME_AGAIN } from './pointing';

import { Standing } from './standing';
/** One push of the camera while it is being told: what stands, and what was taken back. */
export class RunDraft extends Standing {
  facts: NonNullable<ToldFacts['run']> = {};
  isGivenUp = false;

  constructor(
    public opening: Opening | null,
    facing: Facing,
  ) {
    super(facing);
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

  /** "and at thirty three it's worse": with the name of what was spoken of; `null` where something is named. */
  nameAgain(text: string): string | null {
    const last = this.entries.findLast((entry) => entry.kind === 'defect');
    const terms = readTerms(text);
    const isPlaced = terms.some(({ amount }) => amount !== null && amount.unit !== 'in');
    if (!last || !isPlaced || hasHead(terms) || !SAME_AGAIN.test(text)) return null;
    return `${last.defect.replace(/-/g, ' ')} ${text}`;
  }

  /** "right at that transition": where what was just called is; `null` where nothing points there. */
  pointedAtFt(text: string): number | null {
    const last = this.entries.at(-1);
    return last !== undefined && AT_THAT.test(text) && last.kind !== 'advice'
      ? last.readingFt
      : null;
  }

  /** "so call it broken": another name for what was just said, and its place. */
  renameLast(draft: EntryDraft, text: string): EntryDraft | null {
    const last = this.entries.at(-1);
    const isNamed = draft.kind === 'defect' && draft.readingFt === null && CALLS_IT.test(text);
    if (!isNamed || last?.kind !== 'defect' || last.defect === draft.defect) return null;
    this.withdraw(last.id);
    const { clockFrom, clockTo, readingFt } = last;
    return {
      ...draft,
      readingFt,
      ...(clockFrom === undefined ? {} : { clockFrom }),
      ...(clockTo === undefined ? {} : { clockTo }),
    };
  }

  /** "it runs to about eighteen": the end of the stretch that is open; the draft that closes it. */
  closeLast(text: string, pass: Pass): EntryDraft | 'sized' | null {
    const toFt = endAlone(text);
    const { openIds } = this.contextAt(null, pass);
    const open = this.entries.findLast(({ id }) => openIds.has(id));
    if (toFt === null) return null;
    if (!open) return this.stretchLast(toFt);
    return { kind: 'close', pass, readingFt: toFt, closes: open.id };
  }

  /** "it stays gone till fifteen": what was said at a place goes on from there. */
  private stretchLast(toFt: number): 'sized' | null {
    const last = this.entries.at(-1);
    const canGoOn =
      last?.kind === 'defect' &&
      last.readingFt !== null &&
      last.toReadingFt === undefined &&
      toFt > last.readingFt;
    if (!canGoOn) return null;
    this.entries = this.entries.map((entry) =>
      entry.id === last.id ? { ...last, toReadingFt: toFt } : entry,
    );
    return 'sized';
  }

  /** "three inch here": the size of the pipe that was just called; a new size from a footage on is called anew. */
  pipeSizeLast(text: string, pass: Pass): EntryDraft | 'sized' | null {
    const said = pipeSizeAlone(text);
    const last = this.entries.at(-1);
    if (!said || last?.kind !== 'material') return null;
    if (said.fromFt !== null)
      return {
        kind: 'material',
        material: last.material,
        side: last.side,
        pass,
        readingFt: said.fromFt,
        diameterIn: said.sizeIn,
      };
    if (last.diameterIn !== undefined) return null;
    this.entries = this.entries.map((entry) =>
      entry.id === last.id ? { ...last, diameterIn: said.sizeIn } : entry,
    );
    return 'sized';
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
  sizeLast(said: string, counterFt: number | null, pass: Pass): boolean {
    const last = this.entries.findLast((entry) => entry.kind === 'defect');
    const text = withoutNotSo(said);
    if (/\bdeep/i.test(text) && last?.defect !== 'standing-water') return false;
    const terms = readTerms(text);
    if (!last || hasHead(terms) || terms.some(({ senses }) => senses['not'])) return false;
    const size = terms.find(
      ({ amount, senses }) =>
        (amount !== null && (amount.unit === 'in' || amount.unit === '%')) ||
        senses['mark'] !== undefined,
    );
    const isAbout =
      PRONOUN.test(text) ||
      /\bmeasured?\b|\bdeepest\b/i.test(text) ||
      terms.every(
        (term) => term === size || isIdle(term) || term.senses['certainty'] !== undefined,
      );
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
