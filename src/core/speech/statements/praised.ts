import { SOME_FIXTURE } from '../../model/log/kinds/seeing';
import { isBeforeDefect } from '../clauses';
import type { CalloutContext } from '../draft';
import { takeBase, takeFootage, withRest } from '../frames/frame';
import { isIdle } from '../heads';
import { ASIDE, type Clause, has, spent, type Statement } from './statement';

/** What is at one place: it looks good there, and says nothing of the pipe before it. */
const POINTS =
  /\b(?:joint|coupling|connection|hub|tap|tee|wye|bend|cleanout|transition|here|there|one)\b/i;
const STRETCHES = /\b(?:to here|through here|so far|up to|pipe|line|all the way|along|since)\b/i;

/** The last place spoken of on this pass, feet; `null` when nothing was. */
function lastPlaceFt({ standing, pass, counterFt }: CalloutContext): number | null {
  const places = standing
    .filter((entry) => entry.pass === pass && entry.readingFt !== null)
    .map((entry) => ('toReadingFt' in entry ? entry.toReadingFt : entry.readingFt!));
  const isBehind = (ft: number) =>
    counterFt === null || (pass === 'out' ? ft <= counterFt : ft >= counterFt);
  return places.findLast(isBehind) ?? null;
}

/** Said of anything: praise of the pipe only where nothing else is spoken of. */
const LOOSE = ['good', 'great', 'fine', 'perfect', 'beautiful', 'nice', 'solid', 'okay', 'sound'];
/** Said alone, these are no word on the pipe. */
const CHEERS = ['great', 'fine', 'perfect', 'beautiful', 'nice', 'okay', 'solid'];

/** "good boy", "perfect": no word on the pipe. */
function isInterjection(terms: Clause['terms'], at: number): boolean {
  const praise = terms[at]!;
  if (!LOOSE.includes(praise.text) || praise.to - praise.from > praise.text.length) return false;
  const isUnknown = terms.some(
    ({ kind, senses }) => kind === 'word' && Object.keys(senses).length === 0,
  );
  return (
    isUnknown ||
    (CHEERS.includes(praise.text) && terms.every((term, index) => index === at || isIdle(term)))
  );
}

/** "that's a nice picture": said of what is no part of a line. */
const OTHER_THINGS =
  /^(?:picture|view|shot|image|video|light|signal|job|day|weather|dog|kid|guy|boy|man|question|catch|point|idea|thing|luck|morning|afternoon|evening|sign|yard|neighborhood|street|deal|price|agent|seller|buyer|time|news|start|work|eye|spot|angle|footage|camera)s?$/;
const isOfSomethingElse = (terms: Clause['terms'], at: number): boolean =>
  LOOSE.includes(terms[at]!.text) && OTHER_THINGS.test(terms[at + 1]?.text ?? '');

/** "a nice house": no word on the line. */
const isHouse = (terms: Clause['terms'], at: number): boolean =>
  LOOSE.includes(terms[at]!.text) && ['zone', 'surface'].some((tag) => has(terms.slice(at), tag));

/** "the pipe in the yard is in good condition": where the pipe is, and no change of the ground. */
const isSaidWithin = (terms: Clause['terms'], at: number): boolean =>
  terms
    .slice(0, at)
    .some(({ text }) => ['pipe', 'line', 'section', 'run', 'part'].includes(text)) &&
  terms.slice(0, at).some(({ text }) => ['in', 'under', 'of', 'through', 'within'].includes(text));

/** "looks good", "clean to here", "good from 40 to 55": looked at and found free of trouble. */
export function readPraise({ words, terms, context, open }: Clause): Statement | null {
  const at = terms.findIndex(
    (term) => term.senses['good'] !== undefined && !isBeforeDefect(terms, term),
  );
  if (at < 0) return null;
  if (isInterjection(terms, at)) return null;
  if (isOfSomethingElse(terms, at)) return ASIDE;
  if (isHouse(terms, at)) return ASIDE;
  const isPlace = (index: number) =>
    terms[index]!.senses['zone'] !== undefined && isSaidWithin(terms, index);
  const others = terms.filter((_, index) => !isPlace(index));
  const isOther = ['defect', 'unseen', 'blind', 'fixture', 'water', 'zone', 'surface', 'sees'].some(
    (tag) => has(others, tag),
  );
  const isEnd = has(terms, 'end') || has(terms, 'act', 'test') || has(terms, 'act', 'locate');
  if (isOther || isEnd) return null;
  const sheet = open(
    terms.map((term, index) =>
      index === at || term.senses['act'] === 'clear' || term.senses['good'] || term.senses['closes']
        ? spent(term)
        : isPlace(index) ||
            term.senses['feature'] ||
            term.senses['material'] ||
            term.senses['locus']
          ? spent(term)
          : term,
    ),
  );
  const base = takeBase(sheet, context);
  const footage = takeFootage(sheet, context, true);
  const isStretch = STRETCHES.test(words) || !POINTS.test(words);
  const fromFt = !sheet.isPlaced() && isStretch ? lastPlaceFt(context) : null;
  const closesFt = footage.closes && sheet.isPlaced() ? lastPlaceFt(context) : null;
  const startFt = closesFt ?? fromFt;
  const endFt = footage.readingFt;
  const isRange = startFt !== null && endFt !== null && startFt !== endFt;
  return {
    drafts: [
      {
        kind: 'clear',
        ...base,
        readingFt: isRange ? startFt : endFt,
        ...(isRange
          ? { toReadingFt: endFt }
          : footage.toFt === null
            ? {}
            : { toReadingFt: footage.toFt }),
        ...withRest(sheet, base),
      },
    ],
    missing: footage.missing,
    isPlaced: sheet.isPlaced(),
  };
}

/** "draining well", "water goes right by": a test of the flow, and no word on the pipe. */
export function readFlows({ text, terms, context, open }: Clause): Statement | null {
  const at = terms.findIndex(({ senses }) => senses['flows'] !== undefined);
  if (at < 0 || has(terms, 'not') || has(terms, 'defect')) return null;
  const sheet = open(terms.map((term, index) => (index === at ? spent(term) : term)));
  const base = takeBase(sheet, context);
  const fixtureAt = sheet.indexOf('fixture');
  if (fixtureAt >= 0) sheet.claim(fixtureAt);
  const term = terms[fixtureAt];
  const { readingFt, missing } = takeFootage(sheet, context);
  return {
    drafts: [
      {
        kind: 'flow-test',
        ...base,
        readingFt,
        fixture: term ? text.slice(term.from, term.to).toLowerCase() : SOME_FIXTURE,
        result: 'clears',
        ...withRest(sheet, base),
      },
    ],
    missing,
    isPlaced: sheet.isPlaced(),
  };
}
