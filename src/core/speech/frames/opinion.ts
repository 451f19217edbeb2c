import type { DefectKind } from '../../catalogue/defects/index';
import { type Frame, takeBase, takeCertainty, takeFootage, withRest } from './frame';

/** "clear to here", "clear 10 to 40", "no roots 10 to 40": looked at and found free of trouble. */
export const readClear: Frame = (sheet, context) => {
  if (!sheet.leads('act', 'clear')) return null;
  const isPlaced = sheet.amounts().length > 0 || sheet.has('noFootage') || sheet.has('defect');
  if (!isPlaced) return null;
  sheet.take('act');
  const base = takeBase(sheet, context);
  const kinds: DefectKind[] = [];
  for (let kind = sheet.take('defect'); kind !== null; kind = sheet.take('defect'))
    kinds.push(kind as DefectKind);
  const certainty = takeCertainty(sheet);
  const footage = takeFootage(sheet, context, true);
  return {
    drafts: [
      {
        kind: 'clear',
        ...base,
        readingFt: footage.readingFt,
        ...(footage.toFt === null ? {} : { toReadingFt: footage.toFt }),
        ...(footage.opens ? { open: true } : {}),
        ...(kinds.length > 0 ? { kinds } : {}),
        ...certainty,
        ...withRest(sheet, base),
      },
    ],
    missing: footage.opens ? ['where it ends'] : footage.missing,
  };
};

/** `advise "line it from 27 to 66" 27 to 66 does=liner`: the inspector's own recommendation. */
export const readAdvice: Frame = (sheet, context) => {
  if (!sheet.leads('act', 'advise')) return null;
  if (!sheet.terms.some(({ kind }) => kind === 'quote')) return null;
  const at = sheet.terms.findIndex(({ senses }) => senses['act'] === 'advise');
  sheet.take('act');
  const base = takeBase(sheet, context);
  const quoted = sheet.terms[at + 1]?.kind === 'quote' ? sheet.takeWordsAfter(at) : null;
  const footage = takeFootage(sheet, context, true);
  const rest = quoted === null ? sheet.rest() : '';
  const text = quoted ?? rest;
  return {
    drafts: [
      {
        kind: 'advice',
        ...(quoted === null ? base : withRest(sheet, base)),
        readingFt: footage.readingFt,
        ...(footage.toFt === null ? {} : { toReadingFt: footage.toFt }),
        does: 'other',
        text,
      },
    ],
    missing: text === '' ? ['what you advise'] : footage.missing,
  };
};
