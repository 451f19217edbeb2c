import type { Pass } from '../../catalogue/vocabulary';
import type { EntryDraft } from '../../model/log/entry';
import type { Understood } from '../kept';
import { readLine } from '../read-line';
import { joinFacts, type ToldFacts } from '../statements/statement';
import { footageAlone } from './alone';
import { readCues } from './cues';
import { compareWithDraft } from './differences';
import type { Difference, Heard, RefusedOpening } from './heard';
import { beginsRun, comesFrom, facingIn, isGivenUp, refusesOpening, saysSame } from './openings';
import { RunDraft } from './run-draft';
import { type Sentence, splitSentences } from './sentences';

/** From here on everything is said again. */
const WRAPS_UP =
  /\b(?:overall|in summary|to (?:summarize|sum (?:(?:it|this|that|things|everything) )?up|recap|wrap (?:(?:it|this|things) )?up)|all in all|bottom line|in conclusion|so what we(?:'ve| have)? (?:got|have|found|saw)|final thoughts|that's about it|to go over)\b/i;
const TURNS_BACK =
  /\b(?:(?:coming|come|pulling|pull|heading|head|going|backing|on (?:my|our|the) way) (?:on )?(?:back|out of here|home)|on the way back|way back|pulling out|retrieving)\b/i;
const GOES_OUT = /\b(?:on the way out|going back (?:out|in)|pushing (?:back )?out)\b/i;
/** Before what is meant in place of what was just said. */
const TAKES_BACK =
  /^(?:(?:no(?=[,.])|no wait|oh no|wait|sorry|actually|correction|excuse me|or rather|rather|my mistake|scratch that)[\s,.-]+)+/i;
const AFTER_ALL = /\b(?:after all|it turns out|turns out|actually|on second (?:look|thought))\b/i;
/** Two counters this far apart tell a footage that was said from one that was not, feet. */
const NUDGE_FT = 0.01;

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

  private hearSentence(sentence: Sentence): void {
    const refused = refusesOpening(sentence);
    if (refused) {
      this.refused.push(refused);
      return;
    }
    if (WRAPS_UP.test(sentence.text)) this.memory.isWrapUp = true;
    const isBegun = this.beginRun(sentence);
    if (TURNS_BACK.test(sentence.text)) this.memory.pass = 'back';
    if (GOES_OUT.test(sentence.text)) this.memory.pass = 'out';
    if (isGivenUp(sentence.text)) this.memory.run.isGivenUp = true;
    if (this.addsToLast(sentence)) return;
    const text = sentence.text.replace(TAKES_BACK, '') || sentence.text;
    const isTakenBack = text !== sentence.text && this.memory.run.entries.length > 0;
    const read = this.read(text);
    if (!read) return;
    this.keepFacts(read.facts);
    if (AFTER_ALL.test(sentence.text) && this.memory.run.withdrawDenied(text)) return;
    const drafts = saidDrafts(read).filter((draft) => !(isBegun && isOpeningItself(draft)));
    if (this.memory.isWrapUp) {
      this.differences.push(...compareWithDraft(drafts, this.memory.run.entries, sentence));
      this.keep(
        drafts.filter(({ kind }) => kind === 'advice'),
        sentence,
        text,
        false,
      );
      return;
    }
    const aheadFt = footageAlone(text);
    if (drafts.length === 0) {
      if (aheadFt !== null) this.memory.counterFt = aheadFt;
      else if (Object.keys(read.facts).length === 0) this.unread.push(sentence);
      this.memory = { ...this.memory, aheadFt, unplaced: [] };
      return;
    }
    this.keep(drafts, sentence, text, isTakenBack);
    this.memory.aheadFt = null;
  }

  /** Where the last thing is, or how large: said in a sentence of its own. */
  private addsToLast({ text }: Sentence): boolean {
    const { run, unplaced, counterFt, pass } = this.memory;
    const placedFt = run.placeLast(text, unplaced, pass);
    if (placedFt === null) return run.sizeLast(text, counterFt, pass);
    this.memory = { ...this.memory, counterFt: placedFt, unplaced: [] };
    return true;
  }

  /** "now from the roof": another push, and what is said from here on is about it. */
  private beginRun(sentence: Sentence): boolean {
    const isFirst = this.memory.run.opening === null && this.memory.run.entries.length === 0;
    const named = beginsRun(sentence) ?? (isFirst ? comesFrom(sentence) : null);
    const opening = named && saysSame(sentence.text) ? (this.memory.run.opening ?? named) : named;
    const facing = facingIn(sentence.text);
    const { run } = this.memory;
    if (!opening) {
      if (facing && run.entries.length === 0) run.facing = facing;
      return false;
    }
    if (run.opening === null && run.entries.length === 0) {
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
    const others = again ? saidDrafts(again) : [];
    return new Set(
      drafts.flatMap(({ readingFt }, at) => (others[at]?.readingFt === readingFt ? [] : [at])),
    );
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
        ? (run.placeAdvice(draft, text) ?? placeAt(draft, aheadFt))
        : (run.placeAdvice(draft, text) ?? draft);
      if (run.isSaidAgain(placed, text)) return;
      const named = run.settleCandidate(placed);
      if (isTakenBack && old === undefined) run.withdrawAlike(placed);
      const kept = named === null ? placed : { ...placed, readingFt: named };
      run.entries.push({ ...kept, id, sentence });
      if (kept.readingFt === null) ids.push(id);
      if (kept.readingFt !== null && kept.kind !== 'advice') this.memory.counterFt = lastFtOf(kept);
      if (kept.kind === 'end') this.memory.pass = 'back';
    });
    this.memory.unplaced = ids;
  }
}

/** What a sentence says for the log: of two readings the likelier; of a bare "home" nothing. */
function saidDrafts({ choices, drafts, kept }: Understood): readonly EntryDraft[] {
  if (kept !== null) return [];
  const said = choices[0]?.drafts ?? drafts;
  return choices.length === 1 && said.some(({ kind }) => kind === 'home') ? [] : said;
}

/** The opening that a run goes in by is no feature of the line. */
const isOpeningItself = (draft: EntryDraft): boolean =>
  draft.kind === 'feature' &&
  ['cleanout', 'property-line-cleanout', 'riser', 'vent', 'access-point'].includes(draft.feature);

/** A draft at a footage that was said in the same breath; without one its place stays unknown. */
function placeAt(draft: EntryDraft, readingFt: number | null): EntryDraft {
  const { toReadingFt: _to, ...rest } = draft as EntryDraft & { toReadingFt?: number };
  return { ...rest, readingFt };
}

const lastFtOf = (draft: EntryDraft): number | null =>
  'toReadingFt' in draft && draft.kind !== 'advice'
    ? (draft.toReadingFt ?? draft.readingFt)
    : draft.readingFt;
