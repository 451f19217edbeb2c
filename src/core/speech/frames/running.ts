import { roundTo } from '../../base/numbers';
import { kindsWith } from '../../catalogue/defects/kinds';
import type { Confirmation, EndReason } from '../../catalogue/vocabulary';
import type { CalloutContext, Reading } from '../draft';
import type { Sheet } from '../sheet';
import { type Frame, takeBase, takeFootage, withRest } from './frame';

/** "home 0.4": the head is back at the datum, the counter reads this. */
export const readHome: Frame = (sheet, context) => {
  if (!sheet.has('act', 'home')) return null;
  takeAct(sheet, 'home');
  const base = { ...takeBase(sheet, context), pass: 'back' } as const;
  // The counter is where it was last read, and home is not there: only a reading said is one.
  const tenths = sheet.takeAmount(({ unit, to }) => unit === 'part' && to === null);
  const footage = takeFootage(sheet, { ...context, counterFt: context.liveCounterFt ?? null });
  // "home reads three tenths": of a foot.
  const readingFt = tenths ? roundTo(tenths.value, 3) : footage.readingFt;
  const missing = readingFt === null ? ['what the counter reads'] : [];
  return { drafts: [{ kind: 'home', ...withRest(sheet, base), pass: 'back', readingFt }], missing };
};

function takeAct(sheet: Sheet, act: string): boolean {
  const index = sheet.terms.findIndex(({ senses }, at) => sheet.free(at) && senses['act'] === act);
  if (index >= 0) sheet.claim(index);
  return index >= 0;
}

/** "12 ft left", "about 20 to go". */
function takeRemainder(sheet: Sheet): { remainderFt?: number } {
  const left = sheet.takeAmount(
    ({ unit, to }, at) =>
      to === null && (unit === 'ft' || unit === null) && sheet.tailOf(at, 'left'),
    ['left'],
  );
  return left ? { remainderFt: roundTo(left.value, 3) } : {};
}

/** Doubt outweighs sight: "main, I think, seen" is not confirmed. */
function takeConfirmation(sheet: Sheet, inName?: string): Confirmation {
  const said: string[] = inName === undefined ? [] : [inName];
  for (let one = sheet.take('confirm'); one !== null; one = sheet.take('confirm')) said.push(one);
  return (['none', 'locate', 'sight'] as const).find((one) => said.includes(one)) ?? 'none';
}

/** An end with its reason; claims how it was confirmed, then the footage, then the note. */
function endReading(
  sheet: Sheet,
  context: CalloutContext,
  reason: EndReason,
  missing: (confirmedBy: Confirmation, isLeftSaid: boolean) => string[],
): Reading {
  const base = { ...takeBase(sheet, { ...context, pass: 'out' }) };
  const remainder = takeRemainder(sheet);
  // "I see the main" names it and says how it is known.
  const named = sheet.terms.find(
    ({ senses }, at) => !sheet.free(at) && senses['end'] === reason && senses['confirm'],
  );
  const confirmedBy = takeConfirmation(sheet, named?.senses['confirm']);
  const footage = takeFootage(sheet, context);
  return {
    drafts: [
      {
        kind: 'end',
        ...withRest(sheet, base),
        readingFt: footage.readingFt,
        reason,
        confirmedBy,
        ...remainder,
      },
    ],
    missing: [...footage.missing, ...missing(confirmedBy, remainder.remainderFt !== undefined)],
  };
}

/** "water stops here": the end of what is open, and not of the run. */
const endsWhatIsOpen = (sheet: Sheet, { standing, openIds }: CalloutContext): boolean =>
  sheet.has('closes') &&
  standing.some(
    (entry) =>
      entry.kind === 'defect' && openIds.has(entry.id) && sheet.has('defect', entry.defect),
  );

/** "not reached, lost push, 12 ft left", "as far as it goes 79.5". */
const readStopped: Frame = (sheet, context) => {
  if (endsWhatIsOpen(sheet, context)) return null;
  const reasonAt = sheet.indexOf('end');
  const said = reasonAt < 0 ? null : (sheet.terms[reasonAt]!.senses['end'] as EndReason);
  if (!takeAct(sheet, 'stopped')) {
    if (said !== 'lost-push') return null;
  }
  // "not reached" names the main only to say that it was not.
  const reasons = sheet.terms.flatMap(({ senses }, at) =>
    sheet.free(at) && senses['end'] ? [{ at, reason: senses['end'] as EndReason }] : [],
  );
  const why = reasons.find(({ reason }) => reason !== 'main');
  for (const { at, reason } of reasons) if (reason === 'main' || at === why?.at) sheet.claim(at);
  const isInTheWay = kindsWith('stops-camera').some((kind) => sheet.has('defect', kind));
  const reason = why?.reason ?? (isInTheWay ? 'obstruction' : 'other');
  return endReading(sheet, context, reason, (_, isLeftSaid) => [
    ...(reason === 'other' ? ['why it stopped'] : []),
    ...(isLeftSaid ? [] : ['how much is left']),
  ]);
};

/** "main, seen", "tank, located". */
const readReached: Frame = (sheet, context) => {
  const index = sheet.terms.findIndex(
    ({ senses }, at) => sheet.free(at) && (senses['end'] === 'main' || senses['end'] === 'tank'),
  );
  if (index < 0) return null;
  const reason = sheet.terms[index]!.senses['end'] as EndReason;
  sheet.claim(index);
  const reached = sheet.terms.findIndex(
    ({ text }, at) => sheet.free(at) && ['reached', 'hit'].includes(text),
  );
  if (reached >= 0) sheet.claim(reached);
  return endReading(sheet, context, reason, (confirmedBy) =>
    confirmedBy === 'none' ? ['seen, or located?'] : [],
  );
};

/** `run ends "reason"`: the exact form of any end. */
export const readEnd: Frame = (sheet, context) => {
  if (sheet.leads('act', 'locate')) return null;
  return readStopped(sheet, context) ?? readReached(sheet, context);
};

/** "skid on", "small head", "guide off". */
export const readSetup: Frame = (sheet, context) => {
  if (!sheet.has('aid') && !sheet.has('head') && !sheet.leads('act', 'setup')) return null;
  const base = takeBase(sheet, context);
  takeAct(sheet, 'setup');
  const aidAt = sheet.indexOf('aid');
  const aid = sheet.take('aid') as 'skid' | 'guide' | null;
  const isOff = aidAt >= 0 && sheet.take('off') !== null;
  const headAt = sheet.indexOf('head');
  const quotedAt = sheet.terms.findIndex(
    ({ text }, at) => text === 'head' && sheet.terms[at + 1]?.kind === 'quote',
  );
  const head =
    headAt >= 0 ? sheet.text.slice(sheet.terms[headAt]!.from, sheet.terms[headAt]!.to) : null;
  if (headAt >= 0) sheet.claim(headAt);
  if (quotedAt >= 0) sheet.claim(quotedAt);
  const named = quotedAt >= 0 ? sheet.takeWordsAfter(quotedAt) : head;
  // "we switch to 6 inch at 40": the pipe, and nothing of the camera.
  if (aid === null && named === null && sheet.amounts().some(({ amount }) => amount.unit === 'in'))
    return null;
  const { readingFt } = takeFootage(sheet, context);
  return {
    drafts: [
      {
        kind: 'setup',
        ...withRest(sheet, base),
        readingFt,
        ...(aid === null ? {} : { aid: isOff ? ('none' as const) : aid }),
        ...(named === null ? {} : { head: named }),
      },
    ],
    missing: aid === null && named === null ? ['the head, or skid on or off'] : [],
  };
};
