import type { Confirmation, EndReason } from '../../log/vocabulary';
import type { CalloutContext, Reading } from '../draft';
import { takeFootage } from '../quantities';
import type { Scan } from '../scan';
import { noteOf, type Reader, readingOr, wantFootage } from './reader';

/** "home 0.4": the head is back at the datum, the counter reads this. */
export const readHome: Reader = (scan, context) => {
  if (
    !scan.take(
      /\b(?:back )?(?:at )?home(?:coming)?\b|\bback at (?:the )?(?:access|zero|datum|cleanout)\b/,
    )
  ) {
    return null;
  }
  const footage = takeFootage(scan);
  return {
    drafts: [
      {
        kind: 'home',
        pass: 'back',
        readingFt: readingOr(context, footage.fromFt),
        ...noteOf(scan),
      },
    ],
    missing: wantFootage(context, footage),
  };
};

const REASONS: readonly (readonly [EndReason, RegExp])[] = [
  ['lost-push', /\b(?:lost push|no push|out of push|friction|out of rod)\b/],
  ['trap', /\btrap\b/],
  ['unsafe', /\bunsafe|not safe|danger(?:ous)?\b/],
  ['vent', /\bvent\b/],
  ['join', /\bjoins?(?: (?:the )?(?:other|next) line)?\b/],
  ['bend', /\b(?:bend|elbow)\b/],
  ['obstruction', /\b(?:obstruct(?:ed|ion)|block(?:ed|age)|stuck|plug(?:ged)?)\b/],
];

const NOT_REACHED =
  /\b(?:not reached|did ?n[o']t reach|never reached|stopped|(?:could ?n[o']t|could not|can't|cannot) (?:get|go|push)(?: (?:past|farther|further|through))?|end of (?:the )?run|ends? here|as far as (?:it|we|i) (?:goes|go|can))\b/;

function takeRemainder(scan: Scan): { remainderFt?: number } {
  const left = scan.take(
    /(?:about |around )?(\d+(?:\.\d+)?)\s*(?:ft|feet|')?\s+(?:left|remain(?:s|ing)?|to go|more)\b/,
  );
  return left ? { remainderFt: Number(left[1]) } : {};
}

function takeConfirmation(scan: Scan): Confirmation {
  if (scan.take(/\b(?:not confirmed|unconfirmed|not sure|maybe|i think|probably)\b|\?/))
    return 'none';
  if (scan.take(/\b(?:by |with (?:a )?)?locat(?:e|ed|or)\b/)) return 'locate';
  if (scan.take(/\b(?:seen|sight(?:ed)?|see it|in sight|visible|confirmed)\b/)) return 'sight';
  return 'none';
}

/** An end with its reason; takes how it was confirmed, then the footage, then the note. */
function endReading(
  scan: Scan,
  context: CalloutContext,
  reason: EndReason,
  remainder: { remainderFt?: number },
  missing: (confirmedBy: Confirmation) => string[],
): Reading {
  const confirmedBy = takeConfirmation(scan);
  const footage = takeFootage(scan);
  const readingFt = readingOr(context, footage.fromFt);
  return {
    drafts: [
      { kind: 'end', pass: 'out', readingFt, reason, confirmedBy, ...remainder, ...noteOf(scan) },
    ],
    missing: [...wantFootage(context, footage), ...missing(confirmedBy)],
  };
}

/** "main, seen", "tank, located". */
const readReached: Reader = (scan, context) => {
  const isTap = scan.has(/\b(?:main tap|tap at (?:the )?main|water main|gas main)\b/);
  if (isTap || !scan.has(/\b(?:main|tank)\b/)) return null;
  const reason = scan.take(/\b(?:septic )?tank\b/) ? 'tank' : 'main';
  scan.take(/\b(?:city |public )?(?:sewer )?main\b/);
  scan.take(/\b(?:reached|at|hit|in|into)\b/);
  return endReading(scan, context, reason, {}, (confirmedBy) =>
    confirmedBy === 'none' ? ['seen, or located?'] : [],
  );
};

/** "not reached, lost push, 12 ft left". */
const readStopped: Reader = (scan, context) => {
  if (!scan.take(NOT_REACHED)) return null;
  scan.take(/\bmain\b/);
  const remainder = takeRemainder(scan);
  const said = REASONS.find(([, pattern]) => scan.take(pattern))?.[0];
  // What stood in the way stays in the words and becomes the note.
  const isInTheWay = scan.has(/\b(?:roots?|collapse|grease|debris|offset)\b/);
  const reason = said ?? (isInTheWay ? 'obstruction' : 'other');
  return endReading(scan, context, reason, remainder, () => [
    ...(reason === 'other' ? ['why it stopped'] : []),
    ...(remainder.remainderFt === undefined ? ['how much is left'] : []),
  ]);
};

/** The end of a run, reached or not. */
export const readEnd: Reader = (scan, context) => {
  if (/^locate\b/.test(scan.whole)) return null;
  return readStopped(scan, context) ?? readReached(scan, context);
};

/** "skid on", "small head", "guide off". */
export const readSetup: Reader = (scan, context) => {
  const aid = scan.take(/\b(skid|guide)\s*(on|off|out|removed)?\b/);
  const head = aid
    ? null
    : scan.take(/\b(?:small|big|large|other|new|mini|self[- ]leveling) (?:camera )?head\b/);
  if (!aid && !head) return null;
  const off = aid?.[2] === 'off' || aid?.[2] === 'out' || aid?.[2] === 'removed';
  const { fromFt } = takeFootage(scan);
  return {
    drafts: [
      {
        kind: 'setup',
        pass: context.pass,
        readingFt: readingOr(context, fromFt),
        ...(aid ? { aid: off ? ('none' as const) : (aid[1] as 'skid' | 'guide') } : {}),
        ...(head ? { head: head[0].trim() } : {}),
        ...noteOf(scan),
      },
    ],
    missing: [],
  };
};
