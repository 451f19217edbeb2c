import type { DefectKind } from '../../catalogue/defects/index';
import type { Material } from '../../catalogue/materials/index';
import { takeBase, takeFootage, withRest } from '../frames/frame';
import { isIdle } from '../heads';
import { type Clause, has, masked, type Statement } from './statement';

/** "can't tell whether it's roots or hair", "clay or concrete": what it may be, and none of them for sure. */
export function readCandidates({ terms, context, open }: Clause): Statement | null {
  if (!has(terms, 'either') || has(terms, 'not')) return null;
  const tag = (['defect', 'material'] as const).find(
    (one) => terms.filter(({ senses }) => senses[one] !== undefined).length >= 2,
  );
  if (!tag) return null;
  const heads = terms.flatMap(({ senses }, at) => (senses[tag] === undefined ? [] : [at]));
  const isParted = heads
    .slice(1)
    .every((at, index) =>
      terms.slice(heads[index]! + 1, at).some(({ senses }) => senses['either'] !== undefined),
    );
  const kinds = [...new Set(heads.map((at) => terms[at]!.senses[tag]!))];
  if (!isParted || kinds.length < 2) return null;
  const sheet = open(
    terms.map((term) =>
      isIdle(term) || term.amount !== null || term.senses['pass'] || term.senses['opens']
        ? term
        : masked(term),
    ),
  );
  terms.forEach((_, at) => sheet.free(at) && terms[at]!.amount === null && sheet.claim(at));
  const base = takeBase(sheet, context);
  const footage = takeFootage(sheet, context);
  const isAhead = base.pass === 'out';
  const at = { ...base, readingFt: footage.readingFt } as const;
  return {
    drafts: [
      tag === 'defect'
        ? {
            kind: 'defect',
            defect: 'unidentified',
            ...at,
            candidates: kinds as DefectKind[],
            certainty: 'cannot-tell',
            ...withRest(sheet, base),
          }
        : {
            kind: 'material',
            material: 'unknown',
            side: isAhead ? 'far' : 'near',
            ...at,
            candidates: kinds as Material[],
            certainty: 'cannot-tell',
            ...withRest(sheet, base),
          },
    ],
    missing: footage.missing,
    isPlaced: sheet.isPlaced(),
  };
}
