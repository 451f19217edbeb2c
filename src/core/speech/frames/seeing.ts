import type { UnseenCause, WaterState } from '../../catalogue/vocabulary';
import type { EntryOf } from '../../model/log/entry';
import { SOME_FIXTURE } from '../../model/log/kinds/seeing';
import type { CalloutContext, Reading } from '../draft';
import type { Sheet } from '../sheet';
import { type Base, type Frame, takeBase, takeCertainty, takeFootage, withRest } from './frame';

/** "water on", "water off", "draining", "hose on", "drained". */
export const readWaterState: Frame = (sheet, context) => {
  if (!sheet.has('water')) return null;
  const base = takeBase(sheet, context);
  const index = sheet.indexOf('water');
  const state = sheet.terms[index]!.senses['water'] as WaterState;
  const said = sheet.text.slice(sheet.terms[index]!.from, sheet.terms[index]!.to);
  sheet.claim(index);
  const source = takeSource(sheet) ?? (/\bhose\b/i.test(said) ? 'hose' : null);
  const { readingFt } = takeFootage(sheet, context);
  return {
    drafts: [
      {
        kind: 'water',
        ...base,
        readingFt,
        state,
        ...(source === null ? {} : { source }),
        ...takeCertainty(sheet),
        ...withRest(sheet, base),
      },
    ],
    missing: [],
  };
};

/** "from the kitchen sink", `from "garden hose"`. */
function takeSource(sheet: Sheet): string | null {
  const at = sheet.terms.findIndex(
    ({ text, senses }, index) =>
      sheet.free(index) &&
      senses['from'] !== undefined &&
      text === 'from' &&
      sheet.terms[index + 1]?.kind !== 'amount',
  );
  if (at >= 0) {
    const words = sheet.takeWordsAfter(at);
    if (words !== null) sheet.claim(at);
    return words;
  }
  const fixture = sheet.indexOf('fixture');
  if (fixture < 0) return null;
  sheet.claim(fixture);
  return sheet.text.slice(sheet.terms[fixture]!.from, sheet.terms[fixture]!.to);
}

/** "test kitchen sink clears", "flushed hall toilet, slow", "kitchen sink backs up". */
export const readFlowTest: Frame = (sheet, context) => {
  const testing = sheet.terms.find(({ senses }) => senses['act'] === 'test');
  // "the second run" is no test, nor is "ran out of rod".
  const isRun = testing !== undefined && /^(?:run|ran|running|filled)$/.test(testing.text);
  const isTest = testing !== undefined && (!isRun || sheet.has('fixture'));
  const isFixture = sheet.has('fixture') && sheet.has('result');
  if (!isTest && !isFixture) return null;
  if (sheet.has('feature', 'test-tee')) return null;
  const base = takeBase(sheet, context);
  const testAt = sheet.terms.findIndex(
    ({ senses }, at) => senses['act'] === 'test' && sheet.free(at),
  );
  if (testAt >= 0) sheet.claim(testAt);
  const named =
    testAt >= 0 && sheet.terms[testAt + 1]?.kind === 'quote' ? sheet.takeWordsAfter(testAt) : null;
  const result = sheet.take('result') as EntryOf<'flow-test'>['result'] | null;
  const { readingFt } = takeFootage(sheet, context);
  const certainty = takeCertainty(sheet);
  const fixture = named ?? takeFixture(sheet);
  return {
    drafts: [
      {
        kind: 'flow-test',
        ...(named === null ? base : withRest(sheet, base)),
        readingFt,
        fixture: fixture ?? SOME_FIXTURE,
        result: result ?? 'not-seen',
        ...certainty,
        ...withRest(sheet, base),
      },
    ],
    missing: [
      ...(fixture === null ? ['which fixture'] : []),
      ...(result === null ? ['clears, slow or backs up?'] : []),
    ],
  };
};

/** The fixture named, else the first words nobody claimed. */
function takeFixture(sheet: Sheet): string | null {
  const index = sheet.indexOf('fixture');
  if (index >= 0) {
    sheet.claim(index);
    return sheet.text.slice(sheet.terms[index]!.from, sheet.terms[index]!.to).toLowerCase();
  }
  const first = sheet.terms.findIndex(
    ({ senses, kind, text }, at) =>
      sheet.free(at) &&
      kind !== 'mark' &&
      kind !== 'amount' &&
      !['once', 'twice', 'again'].includes(text) &&
      senses['idle'] === undefined,
  );
  return first < 0 ? null : sheet.takeWordsAfter(first - 1);
}

function seeAgain(context: CalloutContext, base: Base, readingFt: number | null): Reading {
  const unseen = context.standing.filter(
    (entry): entry is EntryOf<'unseen'> => entry.kind === 'unseen',
  );
  const open = unseen.findLast((entry) => context.openIds.has(entry.id));
  if (open)
    return { drafts: [{ ...base, readingFt, kind: 'close', closes: open.id }], missing: [] };
  const covering = unseen.findLast((entry) => {
    if (readingFt === null || entry.readingFt === null) return true;
    const toFt = entry.toReadingFt ?? entry.readingFt;
    return (
      readingFt >= Math.min(entry.readingFt, toFt) - 1 &&
      readingFt <= Math.max(entry.readingFt, toFt) + 1
    );
  });
  if (!covering) return { drafts: [], missing: ['a stretch here that was logged as not seen'] };
  return { drafts: [{ ...base, readingFt, kind: 'retract', retracts: covering.id }], missing: [] };
}

/** "can't see from 43", "under water 43 to 52", "can see now". */
export const readUnseen: Frame = (sheet, context) => {
  if (sheet.has('sees')) {
    sheet.take('sees');
    const base = takeBase(sheet, context);
    const { readingFt } = takeFootage(sheet, context);
    return seeAgain(context, withRest(sheet, base), readingFt);
  }
  if (!sheet.has('unseen') && !sheet.has('blind')) return null;
  const base = takeBase(sheet, context);
  const isBlind = sheet.take('blind') !== null;
  const cause = sheet.take('unseen') as UnseenCause | null;
  if (!isBlind && cause === null) return null;
  const certainty = takeCertainty(sheet);
  const footage = takeFootage(sheet, context, true);
  if (footage.closes) {
    const open = context.standing.findLast(
      (entry) => entry.kind === 'unseen' && context.openIds.has(entry.id),
    );
    if (open) {
      const close = { kind: 'close', closes: open.id, readingFt: footage.readingFt } as const;
      return { drafts: [{ ...close, ...withRest(sheet, base) }], missing: [] };
    }
  }
  return {
    drafts: [
      {
        kind: 'unseen',
        ...base,
        readingFt: footage.readingFt,
        cause: cause ?? 'other',
        ...(footage.toFt === null ? { open: true } : { toReadingFt: footage.toFt }),
        ...certainty,
        ...withRest(sheet, base),
      },
    ],
    missing: footage.toFt === null ? ['where it can be seen again'] : [],
  };
};
