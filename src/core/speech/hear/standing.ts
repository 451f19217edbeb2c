import { isPipeOf } from '../../catalogue/materials/kinds';
import type { Facing, Pass } from '../../catalogue/vocabulary';
import type { EntryDraft } from '../../model/log/entry';
import { type CalloutContext, openIdsOf } from '../draft';
import type { HeardEntry } from './heard';
import { ANOTHER } from './pointing';

/** Said twice so near, it is one thing, feet. */
const SAME_PLACE_FT = 0.5;
/** What stands of one push of the camera, and whether a draft says nothing new to it. */
export class Standing {
  entries: HeardEntry[] = [];
  readonly withdrawn: HeardEntry[] = [];

  constructor(public facing: Facing) {}

  /** Whether nothing of the line was said yet: what lies over it is spoken of before a run begins. */
  isUntold(): boolean {
    return this.entries.every(
      ({ kind, readingFt }) =>
        readingFt === null && ['zone', 'surface', 'note', 'flag'].includes(kind),
    );
  }

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
    const { diameterIn, joint, lipIn } = draft;
    const more = {
      ...(diameterIn === undefined ? {} : { diameterIn }),
      ...(joint === undefined ? {} : { joint }),
      ...(lipIn === undefined ? {} : { lipIn }),
    };
    this.entries = this.entries.map((entry) =>
      entry.id === last.id ? { ...last, ...more } : entry,
    );
    return true;
  }

  /** "it's plastic, so it settles a bit" of ABS: it is. */
  private isStillPlastic(draft: EntryDraft, text: string): boolean {
    const last = this.entries.findLast((entry) => entry.kind === 'material');
    return (
      draft.kind === 'material' &&
      last?.kind === 'material' &&
      isPipeOf('plastic', last.material) &&
      /\bplastic\b/i.test(text) &&
      !/\b(?:pvc|abs|hdpe|white|black|green)\b/i.test(text)
    );
  }

  /** "that's your bend under the slab": the one that was just called. */
  private isLastFeature(draft: EntryDraft, text: string): boolean {
    const last = this.entries.at(-1);
    return (
      draft.kind === 'feature' &&
      draft.readingFt === null &&
      last?.kind === 'feature' &&
      last.feature === draft.feature &&
      !ANOTHER.test(text)
    );
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
    if (this.isSamePipe(draft) || this.isStillPlastic(draft, text)) return true;
    if (this.isLastFeature(draft, text)) return true;
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
}
