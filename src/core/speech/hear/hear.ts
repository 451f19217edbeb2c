import type { Pass } from '../../catalogue/vocabulary';
import type { EntryDraft } from '../../model/log/entry';
import type { Understood } from '../kept';
import { readLine } from '../read-line';
import { joinFacts, type ToldFacts } from '../statements/statement';
import { footageAlone, footageBeside } from './alone';
import { readCues } from './cues';
import { compareWithDraft } from './differences';
import type { Difference, Heard, RefusedOpening } from './heard';
import {
  beginsRun,
  comesFrom,
  facingIn,
  inOpeningParts,
  isGivenUp,
  openingIn,
  refusesOpening,
  saysSame,
  turnsRound,
} from './openings';
import { RunDraft } from './run-draft';
import {
  AFTER_ALL,
  GOES_OUT,
  HOME_WITHIN_FT,
  IS_CHEER,
  isListing,
  isOpeningItself,
  lastFtOf,
  NEVER_MIND,
  NUDGE_FT,
  placeAt,
  saidDrafts,
  STOPS_THERE,
  TAKES_BACK,
  TURNS_BACK,
  WRAPS_UP,
} from './said';
import { type Sentence, splitSentences } from './sentences';

/** What is remembered from one sentence to the next. */
type Memory = {
  run: RunDraft;
  pass: Pass;
  counterFt: number | null;
  /** A footage that was said by itself: the next thing is there. */
  aheadFt: number | null;
  /** Ids of what the last sentence said without a footage. */
  unplaced: readonly string[];
  isWrapUp: boolean;
  count: number;
};

/** Reads a narration: what was said while the camera went, as the draft of a log beside its sentences. */
export function hear(file: string): Heard {
  return new Listener().listen(splitSentences(readCues(file)));
}

class Listener {
  private readonly runs: RunDraft[] = [];
  private readonly refused: RefusedOpening[] = [];
  private readonly differences: Difference[] = [];
  private readonly unread: Sentence[] = [];
  private property: ToldFacts['property'];
  private memory: Memory = {
    run: new RunDraft(null, 'downstream'),
    pass: 'out',
    counterFt: null,
    aheadFt: null,
    unplaced: [],
    isWrapUp: false,
    count: 0,
  };

  listen(sentences: readonly Sentence[]): Heard {
    this.runs.push(this.memory.run);
    for (const sentence of sentences) this.hearSentence(sentence);
    const said = this.runs.filter(
      ({ entries, withdrawn, opening }) =>
        entries.length + withdrawn.length > 0 || opening !== null,
    );
    return {
      runs: said.map((run) => run.toRun()),
      facts: {
        ...(this.property === undefined ? {} : { property: this.property }),
        ...(this.refused.length > 0 ? { accessPoints: this.refused } : {}),
      },
      differences: this.differences,
      unread: this.unread,
    };
  }

  private hearSentence(whole: Sentence): void {
    const parts = inOpeningParts(whole.text).map((text) => ({ ...whole, text }));
    const refused = parts.flatMap((part) => refusesOpening(part) ?? []);
    this.refused.push(...refused);
    const rest = parts.filter((part) => refusesOpening(part) === null);
    if (refused.length === 0) this.hearRest(whole);
    else rest.forEach((part) => this.hearRest(part));
  }

  private hearRest(sentence: Sentence): void {
    if (WRAPS_UP.test(sentence.text)) this.memory.isWrapUp = true;
    const isBegun = this.beginRun(sentence);
    if (!isBegun && TURNS_BACK.test(sentence.text)) this.memory.pass = 'back';
    if (GOES_OUT.test(sentence.text))
      this.memory = { ...this.memory, pass: 'out', isWrapUp: false };
    if (isGivenUp(sentence.text)) this.memory.run.isGivenUp = true;
    if (NEVER_MIND.test(sentence.text) || IS_CHEER.test(sentence.text)) {
      this.unread.push(sentence);
      return;
    }
    if (this.addsToLast(sentence)) return;
    const own = sentence.text.replace(TAKES_BACK, '') || sentence.text;
    const text = this.memory.run.nameAgain(own) ?? own;
    const isTakenBack = own !== sentence.text && this.memory.run.entries.length > 0;
    const read = this.read(text);
    if (!read) return;
    this.keepFacts(read.facts);
    if (AFTER_ALL.test(sentence.text) && this.memory.run.withdrawDenied(text)) return;
    const drafts = saidDrafts(read, this.memory.counterFt, this.memory.pass)
      .filter((draft) => !(isBegun && isOpeningItself(draft)))
      .map((draft) => this.asHome(draft));
    if (isListing(sentence.text, drafts, this.memory.run.entries)) this.memory.isWrapUp = true;
    if (this.memory.isWrapUp) {
      const unplaced = this.unplacedOf(text, drafts);
      const told = drafts.map((draft, at) => (unplaced.has(at) ? placeAt(draft, null) : draft));
      this.differences.push(...compareWithDraft(told, this.memory.run.entries, sentence));
      this.keep(
        drafts.filter(({ kind }) => kind === 'advice'),
        sentence,
        text,
        false,
      );
      return;
    }
    const aheadFt = drafts.length === 0 ? (footageAlone(text) ?? footageBeside(text)) : null;
    if (drafts.length === 0) {
      if (aheadFt !== null) this.memory.counterFt = aheadFt;
      if (footageAlone(text) === null && Object.keys(read.facts).length === 0)
        this.unread.push(sentence);
      this.memory = { ...this.memory, aheadFt, unplaced: [] };
      return;
    }
    this.keep(drafts, sentence, text, isTakenBack);
    this.memory.aheadFt = null;
  }

  /** Where the last thing is or ends, or how large: said in a sentence of its own, or in each of its parts. */
  private addsToLast(sentence: Sentence): boolean {
    if (this.addsOne(sentence, sentence.text)) return true;
    const parts = sentence.text.split(/,\s+(?:and\s+)?/);
    if (parts.length < 2) return false;
    const before = { entries: this.memory.run.entries, memory: this.memory };
    if (parts.every((part) => this.addsOne(sentence, part))) return true;
    this.memory = before.memory;
    this.memory.run.entries = before.entries;
    return false;
  }

  private addsOne(sentence: Sentence, text: string): boolean {
    const { run, unplaced, counterFt, pass } = this.memory;
    const placedFt = run.placeLast(text, unplaced, pass);
    if (placedFt !== null) {
      this.memory = { ...this.memory, counterFt: placedFt, unplaced: [] };
      return true;
    }
    const more = run.closeLast(text, pass) ?? run.pipeSizeLast(text, pass);
    if (more === 'sized') return true;
    if (more === null) return run.sizeLast(text, counterFt, pass);
    this.memory = { ...this.memory, count: this.memory.count + 1, counterFt: more.readingFt };
    run.entries = [...run.entries, { ...more, id: `h${this.memory.count}`, sentence }];
    return true;
  }

  /** "now from the roof": another push, and what is said from here on is about it. */
  private beginRun(sentence: Sentence): boolean {
    const isFirst = this.memory.run.opening === null && this.memory.run.isUntold();
    const isTurned = turnsRound(sentence);
    const named =
      beginsRun(sentence) ??
      (isFirst ? comesFrom(sentence) : null) ??
      (isTurned ? (openingIn(sentence.text) ?? this.memory.run.opening) : null);
    const opening = named && saysSame(sentence.text) ? (this.memory.run.opening ?? named) : named;
    const { run } = this.memory;
    const turned = run.facing === 'downstream' ? 'upstream' : 'downstream';
    const facing = facingIn(sentence.text) ?? (isTurned ? turned : null);
    if (!opening) {
      if (facing && run.entries.length === 0) run.facing = facing;
      return false;
    }
    if (run.opening === null && run.isUntold()) {
      run.opening = opening;
      run.facing = facing ?? 'downstream';
      return true;
    }
    const next = new RunDraft(opening, facing ?? 'downstream');
    this.runs.push(next);
    this.memory = {
      ...this.memory,
      run: next,
      pass: 'out',
      counterFt: null,
      aheadFt: null,
      unplaced: [],
      isWrapUp: false,
    };
    return true;
  }

  private read(text: string): Understood | null {
    return readLine(text, this.memory.run.contextAt(this.memory.counterFt, this.memory.pass));
  }

  /** Which drafts took the counter for their footage: with another counter these read otherwise. */
  private unplacedOf(text: string, drafts: readonly EntryDraft[]): ReadonlySet<number> {
    const { run, counterFt, pass } = this.memory;
    if (counterFt === null) return new Set();
    const again = readLine(text, run.contextAt(counterFt + NUDGE_FT, pass));
    const others = again ? saidDrafts(again, counterFt, pass) : [];
    return new Set(
      drafts.flatMap(({ readingFt }, at) => (others[at]?.readingFt === readingFt ? [] : [at])),
    );
  }

  /** "right at that transition", "I'm going to stop there": the place of what was just said. */
  private pointedAtFt(draft: EntryDraft, text: string): number | null {
    const { run, counterFt } = this.memory;
    return draft.kind === 'end' && STOPS_THERE.test(text) ? counterFt : run.pointedAtFt(text);
  }

  /** Whether the camera has been where it could get to: once it is home nothing more is seen. */
  private isOver(): boolean {
    const { run, pass } = this.memory;
    return pass === 'back' || run.entries.some(({ kind }) => kind === 'end');
  }

  /** "reading zero point two at the cleanout again": the counter back where the camera went in. */
  private asHome(draft: EntryDraft): EntryDraft {
    const isHome =
      isOpeningItself(draft) &&
      this.isOver() &&
      draft.readingFt !== null &&
      draft.readingFt <= HOME_WITHIN_FT;
    return isHome ? { kind: 'home', pass: 'back', readingFt: draft.readingFt } : draft;
  }

  private keepFacts({ run, property }: ToldFacts): void {
    if (run) this.memory.run.facts = { ...this.memory.run.facts, ...run };
    this.property = joinFacts([
      this.property ? { property: this.property } : {},
      property ? { property } : {},
    ]).property;
  }

  private keep(
    drafts: readonly EntryDraft[],
    sentence: Sentence,
    text: string,
    isTakenBack: boolean,
  ): void {
    const { run, aheadFt } = this.memory;
    const unplaced = this.unplacedOf(text, drafts);
    const ids: string[] = [];
    drafts.forEach((draft, at) => {
      const old = draft.replaces ?? (draft.kind === 'retract' ? draft.retracts : undefined);
      if (old !== undefined) run.withdraw(old);
      if (draft.kind === 'retract') return;
      this.memory.count += 1;
      const id = `h${this.memory.count}`;
      const isUnplaced = unplaced.has(at) && old === undefined;
      const placed = isUnplaced
        ? (run.placeAdvice(draft, text) ?? placeAt(draft, aheadFt ?? this.pointedAtFt(draft, text)))
        : (run.placeAdvice(draft, text) ?? draft);
      if (run.isSaidAgain(placed, text)) return;
      const renamed = run.renameLast(placed, text);
      if (renamed) {
        run.entries.push({ ...renamed, id, sentence });
        return;
      }
      const named = run.settleCandidate(placed);
      if (isTakenBack && old === undefined) run.withdrawAlike(placed);
      const kept = named === null ? placed : { ...placed, readingFt: named };
      run.entries.push({ ...kept, id, sentence });
      if (kept.readingFt === null) ids.push(id);
      if (kept.readingFt !== null && kept.kind !== 'advice') this.memory.counterFt = lastFtOf(kept);
      if (kept.kind === 'home' && this.isOver()) this.memory.isWrapUp = true;
      if (kept.kind === 'end') this.memory.pass = 'back';
    });
    this.memory.unplaced = ids;
  }
}
