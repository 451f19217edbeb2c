import type { DefectKind } from '../../catalogue/defects/index';
import { takeBase, takeFootage, withRest } from '../frames/frame';
import { isIdle } from '../heads';
import { ASIDE, type Clause, has, spent, type Statement } from './statement';

/** Heads whose denial is no fact of the log: that a thing is not here does not say what is. */
const OTHER_HEADS = ['feature', 'material', 'zone', 'surface', 'end', 'unseen', 'water'];

const SUBJECTS: ReadonlySet<string> = new Set(
  "i we it it's that that's those they he she this i'm we're".split(' '),
);

/** "no roots", "31 no offset", "nothing 20 to 40": looked for and not there. */
export function readDenied({ words, terms, context, open }: Clause): Statement | null {
  const at = terms.findIndex(
    ({ senses, text }, index) =>
      senses['not'] !== undefined &&
      // "no, I don't …", "no that's …": an answer, and no denial of what follows.
      !(text === 'no' && SUBJECTS.has(terms[index + 1]?.text ?? '')),
  );
  if (at < 0) return null;
  const after = terms.slice(at + 1);
  if (
    terms[at]!.senses['result'] !== undefined &&
    (has(terms, 'act', 'test') || has(terms, 'fixture'))
  )
    return null;
  // "can't see from 43" is blind; "can't see a crack" looked, and found none.
  if (terms[at]!.senses['blind'] !== undefined && after[0]?.senses['defect'] === undefined)
    return null;
  const isAlone = (list: typeof terms) =>
    list.every((term) => isIdle(term) || term.amount !== null || term.senses['pass'] !== undefined);
  const kinds = [
    ...new Set(after.flatMap(({ senses }) => (senses['defect'] ? [senses['defect']] : []))),
  ] as DefectKind[];
  // "the roots at the last house, none of that here": of what was spoken of, and not of all.
  if (/\bnone of (?:that|this|it|those|them|these)\b/i.test(words) && kinds.length === 0)
    return ASIDE;
  const isAnything =
    has(after, 'anything') ||
    (['nothing', 'none'].includes(terms[at]!.text) &&
      isAlone(after) &&
      isAlone(terms.slice(0, at)));
  // "not a lot of grease", "not much": some of it is there.
  const next = after.find((term) => !isIdle(term) && term.senses['not'] === undefined);
  const isSome = next?.senses['degree'] !== undefined && !['trace'].includes(next.senses['degree']);
  if (isSome || next?.text === 'much') return ASIDE;
  if (kinds.length === 0 && !isAnything) return ASIDE;
  if (kinds.length > 0 && OTHER_HEADS.some((tag) => isFirstHead(after, tag))) return ASIDE;
  const sheet = open(
    terms.map((term, index) =>
      index === at ||
      (index > at && (term.senses['defect'] ?? term.senses['anything']) !== undefined)
        ? spent(term)
        : index > at &&
            ['either', 'degree', 'locus', 'good', 'not', 'certainty'].some(
              (tag) => term.senses[tag],
            )
          ? spent(term)
          : term,
    ),
  );
  const base = takeBase(sheet, context);
  const footage = takeFootage(sheet, context, true);
  return {
    drafts: [
      {
        kind: 'clear',
        ...base,
        readingFt: footage.readingFt,
        ...(footage.toFt === null ? {} : { toReadingFt: footage.toFt }),
        ...(kinds.length > 0 ? { kinds } : {}),
        ...withRest(sheet, base),
      },
    ],
    missing: footage.missing,
    isPlaced: sheet.isPlaced(),
  };
}

/** Whether the first thing named after a denial is of this table and no defect: "not the main, roots". */
function isFirstHead(after: Clause['terms'], tag: string): boolean {
  const first = after.find(({ senses }) =>
    ['defect', ...OTHER_HEADS].some((one) => senses[one] !== undefined),
  );
  return first?.senses[tag] !== undefined && first.senses['defect'] === undefined;
}
