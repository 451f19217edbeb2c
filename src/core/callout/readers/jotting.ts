import { takeFootage } from '../quantities';
import { noteOf, type Reader, readingOr } from './reader';

/** "note gate code 44": kept as words, numbers in it are not footages. */
export const readNote: Reader = (scan, context) => {
  if (!/^note\b/.test(scan.whole)) return null;
  const at = scan.take(/\bnote\s+at\s+(\d+(?:\.\d+)?)\s*(?:ft|feet)?/);
  scan.take(/\bnote\b[:,]?/);
  const note = scan.rest();
  return {
    drafts: [
      {
        kind: 'note',
        pass: context.pass,
        readingFt: readingOr(context, at ? Number(at[1]) : null),
        note,
      },
    ],
    missing: note ? [] : ['the words of the note'],
  };
};

/** "flag", "flag 31": something here, to be settled. */
export const readFlag: Reader = (scan, context) => {
  if (!/^(?:flag|mark)\b/.test(scan.whole)) return null;
  scan.take(/\b(?:flag|mark)\b/);
  const { fromFt } = takeFootage(scan);
  return {
    drafts: [
      { kind: 'flag', pass: context.pass, readingFt: readingOr(context, fromFt), ...noteOf(scan) },
    ],
    missing: [],
  };
};

/** "retract 31", "undo": takes back the entry at that footage, or the last one. */
export const readRetract: Reader = (scan, context) => {
  const match = /^(?:retract|undo|take back|scratch that|strike)\b/.exec(scan.whole);
  if (!match) return null;
  scan.take(/\b(?:retract|undo|take back|scratch that|strike)\b/);
  const { fromFt } = takeFootage(scan);
  const nearest = [...context.standing]
    .reverse()
    .filter((entry) => fromFt === null || Math.abs((entry.readingFt ?? Infinity) - fromFt) <= 0.55)
    .sort((a, b) =>
      fromFt === null ? 0 : Math.abs(a.readingFt! - fromFt) - Math.abs(b.readingFt! - fromFt),
    )[0];
  if (!nearest) return { drafts: [], missing: ['a footage at which something is logged'] };
  return {
    drafts: [
      {
        kind: 'retract',
        pass: context.pass,
        readingFt: nearest.readingFt,
        retracts: nearest.id,
        ...noteOf(scan),
      },
    ],
    missing: [],
  };
};
