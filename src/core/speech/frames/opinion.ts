import type { DefectKind } from '../../catalogue/defects/index';
import { type Frame, takeBase, takeCertainty, takeFootage, withRest } from './frame';

/** "clear 10 to 40", "clear roots 10 to 40": looked at and found free of trouble, with the place said. */
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
  const at = sheet.terms.findIndex(({ senses }) => senses['act'] === 'advise');
  // Said in plain words it is read as such.
  if (sheet.terms[at + 1]?.kind !== 'quote') return null;
  sheet.take('act');
  const base = takeBase(sheet, context);
  const text = sheet.takeWordsAfter(at) ?? '';
  const footage = takeFootage(sheet, context, true);
  return {
    drafts: [
      {
        kind: 'advice',
        ...withRest(sheet, base),
        readingFt: footage.readingFt,
        ...(footage.toFt === null ? {} : { toReadingFt: footage.toFt }),
        does: 'other',
        text,
      },
    ],
    missing: text === '' ? ['what you advise'] : footage.missing,
  };
};
