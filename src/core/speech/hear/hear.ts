import type { Facing, Pass } from '../../catalogue/vocabulary';
import type { Entry, EntryDraft } from '../../model/log/entry';
import { isIdle } from '../clauses';
import type { CalloutContext } from '../draft';
import type { Understood } from '../kept';
import { readLine } from '../read-line';
import { readTerms } from '../sheet';
import type { ToldFacts } from '../statements/statement';
import type { Term } from '../terms';
import { readCues } from './cues';
import { compareWithDraft } from './differences';
import type { Difference, Heard, HeardEntry, HeardRun, RefusedOpening } from './heard';
import { beginsRun, comesFrom, facingIn, type Opening, refusesOpening } from './openings';
import { type Sentence, splitSentences } from './sentences';

/** From here on everything is said again. */
const WRAPS_UP =
  /\b(?:overall|in summary|to (?:summarize|sum up|recap|wrap up)|all in all|bottom line|in conclusion|so what we(?:'ve| have)? (?:got|have|found|saw)|final thoughts|that's about it|to go over)\b/i;
const TURNS_BACK =
  /\b(?:(?:coming|come|pulling|pull|heading|head|going|backing|on (?:my|our|the) way) (?:on )?(?:back|out of here|home)|on the way back|way back|pulling out|retrieving)\b/i;
const GOES_OUT = /\b(?:on the way out|going back (?:out|in)|pushing (?:back )?out)\b/i;
/** Before what is meant in place of what was just said. */
const TAKES_BACK =
  /^(?:(?:no(?=[,.])|no wait|oh no|wait|sorry|actually|correction|excuse me|or rather|rather|my mistake|scratch that)[\s,.-]+)+/i;
const AFTER_ALL = /\b(?:after all|it turns out|turns out|actually|on second (?:look|thought))\b/i;
const PRONOUN =
  /^(?:and |so |yeah |okay |ok )*(?:it|you can|i can|and you can|it's|its|that|that's|thats|this|they|they're|those|looks like it's|i'd call (?:it|that)|i'd say|call it|make it|about|maybe)\b/i;
/** Said twice so near, it is one thing, feet. */
const SAME_PLACE_FT = 0.5;
/** Two counters this far apart tell a footage that was said from one that was not, feet. */
const NUDGE_FT = 0.01;

type Open = {
  opening: Opening | null;
  facing: Facing;
  facts: NonNullable<ToldFacts['run']>;
  entries: HeardEntry[];
  withdrawn: HeardEntry[];
};

/** What is remembered from one sentence to the next. */
type Memory = {
  run: Open;
  pass: Pass;
  counterFt: number | null;
  /** A footage that was said by itself: the next thing is there. */
  aheadFt: number | null;
  /** Ids of what the last sentence said without a footage. */
  unplaced: readonly string[];
  isWrapUp: boolean;
  count: number;
};

const HEADS = ['defect', 'feature', 'material', 'zone', 'end', 'surface', 'unseen', 'water', 'act'];
const hasHead = (terms: readonly Term[]) =>
  terms.some(({ senses }) => HEADS.some((tag) => senses[tag] !== undefined));

const saysNothingElse = (terms: readonly Term[]) =>
  terms.every((term) => term.amount !== null || isIdle(term));

/** The footage that a sentence says and nothing else with it: "that's at fifty seven feet". */
function footageAlone(text: string): number | null {
  const terms = readTerms(text);
  if (!saysNothingElse(terms)) return null;
  const feet = terms.filter(
    ({ amount }) =>
      amount !== null &&
      amount.to === null &&
      (amount.unit === 'ft' || (amount.unit === null && amount.link === 'at')),
  );
  return feet.length === 1 ? feet[0]!.amount!.value : null;
}

/** The stretch that a sentence says and nothing else with it: "that's from eight to fifteen". */
function stretchAlone(text: string): { from: number; to: number } | null {
  const terms = readTerms(text);
  if (hasHead(terms)) return null;
  const range = terms.find(
    ({ amount }) =>
      amount !== null && amount.to !== null && (amount.unit === null || amount.unit === 'ft'),
  )?.amount;
  return range && range.to !== null ? { from: range.value, to: range.to } : null;
}

const newRun = (opening: Opening | null, facing: Facing): Open => ({
  opening,
  facing,
  facts: {},
  entries: [],
  withdrawn: [],
});

/** Reads a narration: what was said while the camera went, as the draft of a log beside its sentences. */
export function hear(file: string): Heard {
  return new Listener().listen(splitSentences(readCues(file)));
}

class Listener {
  private readonly runs: Open[] = [];
  private readonly refused: RefusedOpening[] = [];
  private readonly differences: Difference[] = [];
  private readonly unread: Sentence[] = [];
  private property: ToldFacts['property'];
  private memory: Memory = {
    run: newRun(null, 'downstream'),
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
    const said = this.runs.filter(({ entries, opening }) => entries.length > 0 || opening !== null);
    return {
      runs: said.map(toRun),
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
    if (this.placeLast(sentence) || this.sizeLast(sentence)) return;
    const text = sentence.text.replace(TAKES_BACK, '');
    const isTakenBack = text !== sentence.text && this.memory.run.entries.length > 0;
    const read = this.read(text);
    if (!read) return;
    this.keepFacts(read.facts);
    if (AFTER_ALL.test(text) && this.withdrawDenied(text)) return;
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

  /** "now from the roof": another push, and what is said from here on is about it. */
  private beginRun(sentence: Sentence): boolean {
    const isFirst = this.memory.run.opening === null && this.memory.run.entries.length === 0;
    const opening = beginsRun(sentence) ?? (isFirst ? comesFrom(sentence) : null);
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
    const next = newRun(opening, facing ?? 'downstream');
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

  private contextAt(counterFt: number | null): CalloutContext {
    const { run, pass } = this.memory;
    const standing = run.entries.map(({ sentence: _sentence, ...entry }) => ({
      ...entry,
      at: '2026-01-01T00:00:00Z',
    }));
    const closed = new Set(standing.flatMap((one) => (one.kind === 'close' ? [one.closes] : [])));
    const openIds = standing
      .filter((one) => 'open' in one && one.open && !closed.has(one.id))
      .map(({ id }) => id);
    return { counterFt, pass, boreHereIn: this.boreIn(), standing, openIds: new Set(openIds) };
  }

  private boreIn(): number | null {
    const pipe = this.memory.run.entries.findLast(
      (entry) => entry.kind === 'material' && entry.diameterIn !== undefined,
    );
    return pipe?.kind === 'material' ? (pipe.diameterIn ?? null) : null;
  }

  private read(text: string): Understood | null {
    return readLine(text, this.contextAt(this.memory.counterFt));
  }

  /** Which drafts took the counter for their footage: with another counter these read otherwise. */
  private unplacedOf(text: string, drafts: readonly EntryDraft[]): ReadonlySet<number> {
    const { counterFt } = this.memory;
    if (counterFt === null) return new Set();
    const again = readLine(text, this.contextAt(counterFt + NUDGE_FT));
    const others = again ? saidDrafts(again) : [];
    return new Set(
      drafts.flatMap(({ readingFt }, at) => (others[at]?.readingFt === readingFt ? [] : [at])),
    );
  }

  private keepFacts({ run, property }: ToldFacts): void {
    if (run) this.memory.run.facts = { ...this.memory.run.facts, ...run };
    if (!property) return;
    const history = [...(this.property?.history ?? []), ...(property.history ?? [])];
    this.property = {
      ...this.property,
      ...property,
      ...(history.length > 0 ? { history } : {}),
    };
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
      if (old !== undefined) this.withdraw(old);
      if (draft.kind === 'retract') return;
      this.memory.count += 1;
      const id = `h${this.memory.count}`;
      const isUnplaced = unplaced.has(at) && old === undefined;
      const placed = isUnplaced ? placeAt(draft, aheadFt) : draft;
      if (this.isSaidAgain(placed)) return;
      const named = this.settleCandidate(placed);
      if (isTakenBack && old === undefined) this.withdrawAlike(placed);
      const kept = named === null ? placed : { ...placed, readingFt: named };
      run.entries.push({ ...kept, id, sentence });
      if (kept.readingFt === null) ids.push(id);
      if (kept.readingFt !== null && kept.kind !== 'advice') this.memory.counterFt = lastFtOf(kept);
      if (kept.kind === 'end') this.memory.pass = 'back';
    });
    this.memory.unplaced = ids;
  }

  /** "yeah, those are roots": what was one of several is named, where it was. */
  private settleCandidate(draft: EntryDraft): number | null {
    const last = this.memory.run.entries.at(-1);
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
  private isSaidAgain(draft: EntryDraft): boolean {
    if (draft.kind !== 'defect' || draft.readingFt === null || draft.replaces !== undefined)
      return false;
    const isSized = ['extentRatio', 'fillRatio', 'depthIn', 'offsetIn', 'gapIn', 'lipIn'].some(
      (field) => field in draft,
    );
    return (
      !isSized &&
      draft.toReadingFt === undefined &&
      this.memory.run.entries.some(
        (entry) =>
          entry.kind === 'defect' &&
          entry.defect === draft.defect &&
          entry.pass === draft.pass &&
          entry.readingFt !== null &&
          Math.abs(entry.readingFt - draft.readingFt!) <= SAME_PLACE_FT,
      )
    );
  }

  private withdraw(id: string): void {
    const { run } = this.memory;
    const at = run.entries.findIndex((entry) => entry.id === id);
    if (at >= 0) run.withdrawn.push(...run.entries.splice(at, 1));
  }

  /** "no, that's clay": what was said a moment ago of the same sort gives way. */
  private withdrawAlike(draft: EntryDraft): void {
    const last = this.memory.run.entries.at(-1);
    const isNear =
      last?.kind === draft.kind &&
      (last.readingFt === null ||
        draft.readingFt === null ||
        Math.abs(last.readingFt - draft.readingFt) <= 1);
    if (last && isNear) this.withdraw(last.id);
  }

  /** "that's not concrete after all": what was said so is taken back. */
  private withdrawDenied(text: string): boolean {
    const terms = readTerms(text);
    const at = terms.findIndex(({ senses }) => senses['not'] !== undefined);
    if (at < 0) return false;
    const named = terms.slice(at + 1).flatMap(({ senses }) => Object.values(senses));
    const said = this.memory.run.entries.findLast(
      (entry) =>
        (entry.kind === 'material' && named.includes(entry.material)) ||
        (entry.kind === 'feature' && named.includes(entry.feature)) ||
        (entry.kind === 'defect' && named.includes(entry.defect)),
    );
    if (said) this.withdraw(said.id);
    return said !== undefined;
  }

  /** "that's at fifty seven": the footage of what was just said without one. */
  private placeLast({ text }: Sentence): boolean {
    const { unplaced, run } = this.memory;
    if (unplaced.length === 0) return false;
    const stretch = stretchAlone(text);
    const readingFt = stretch?.from ?? footageAlone(text);
    if (readingFt === null) return false;
    run.entries = run.entries.map((entry) => {
      if (!unplaced.includes(entry.id)) return entry;
      const isStretch = stretch !== null && (entry.kind === 'defect' || entry.kind === 'unseen');
      const { open: _open, ...closed } = entry as HeardEntry & { open?: boolean };
      return isStretch
        ? ({ ...closed, readingFt, toReadingFt: stretch.to } as HeardEntry)
        : { ...entry, readingFt };
    });
    this.memory = { ...this.memory, counterFt: stretch?.to ?? readingFt, unplaced: [] };
    if (stretch !== null) this.sizeLast({ text, fromMs: null, toMs: null });
    return true;
  }

  /** "it's about an inch and a half deep": more of what was just said. */
  private sizeLast({ text }: Sentence): boolean {
    const { run } = this.memory;
    const last = run.entries.findLast((entry) => entry.kind === 'defect');
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
    const read = readLine(`correct #${last.id} ${words}`, this.contextAt(this.memory.counterFt));
    const [draft] = read?.drafts ?? [];
    if (draft?.kind !== 'defect') return false;
    const { replaces: _replaces, note: _note, ...more } = draft;
    run.entries = run.entries.map((entry) => {
      if (entry.id !== last.id) return entry;
      // A number is better than a word.
      const { sizeWord: _word, ...known } = entry as typeof last;
      return { ...known, ...more, id: entry.id };
    });
    return true;
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

const toRun = ({ opening, facing, facts, entries, withdrawn }: Open): HeardRun => ({
  access: opening?.kind ?? null,
  accessWords: opening?.words ?? '',
  facing,
  ...facts,
  entries,
  withdrawn,
});
