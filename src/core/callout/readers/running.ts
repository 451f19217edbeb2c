import type { EntryOf } from '../../log/entry';
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

const REASONS: readonly (readonly [EntryOf<'end'>['reason'], RegExp])[] = [
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

function takeConfirmation(scan: Scan): EntryOf<'end'>['confirmedBy'] {
  if (scan.take(/\b(?:not confirmed|unconfirmed|not sure|maybe|i think|probably)\b|\?/))
    return 'none';
  if (scan.take(/\b(?:by |with (?:a )?)?locat(?:e|ed|or)\b/)) return 'locate';
  if (scan.take(/\b(?:seen|sight(?:ed)?|see it|in sight|visible|confirmed)\b/)) return 'sight';
  return 'none';
}

/** "main, seen", "tank, located", "not reached, lost push, 12 ft left". */
export const readEnd: Reader = (scan, context) => {
  const words = scan.whole;
  if (/^locate\b/.test(words)) return null;
  const isTap = /\b(?:main tap|tap at (?:the )?main|water main|gas main)\b/.test(words);
  if (
    !isTap &&
    !NOT_REACHED.test(words) &&
    /\b(?:city |public )?(?:main|sewer main)\b|\b(?:septic )?tank\b/.test(words)
  ) {
    const reason = scan.take(/\b(?:septic )?tank\b/) ? ('tank' as const) : ('main' as const);
    scan.take(/\b(?:city |public )?(?:sewer )?main\b/);
    scan.take(/\b(?:reached|at|hit|in|into)\b/);
    const confirmedBy = takeConfirmation(scan);
    const footage = takeFootage(scan);
    return {
      drafts: [
        {
          kind: 'end',
          pass: 'out',
          readingFt: readingOr(context, footage.fromFt),
          reason,
          confirmedBy,
          ...noteOf(scan),
        },
      ],
      missing: [
        ...wantFootage(context, footage),
        ...(confirmedBy === 'none' ? ['seen, or located?'] : []),
      ],
    };
  }
  if (!scan.take(NOT_REACHED)) return null;
  scan.take(/\bmain\b/);
  const remainder = takeRemainder(scan);
  let reason: EntryOf<'end'>['reason'] = 'other';
  for (const [candidate, pattern] of REASONS) {
    if (scan.has(pattern)) {
      reason = candidate;
      scan.take(pattern);
      break;
    }
  }
  if (reason === 'other' && scan.has(/\b(?:roots?|collapse|grease|debris|offset)\b/)) {
    reason = 'obstruction';
  }
  const confirmedBy = takeConfirmation(scan);
  const footage = takeFootage(scan);
  return {
    drafts: [
      {
        kind: 'end',
        pass: 'out',
        readingFt: readingOr(context, footage.fromFt),
        reason,
        confirmedBy,
        ...remainder,
        ...noteOf(scan),
      },
    ],
    missing: [
      ...wantFootage(context, footage),
      ...(reason === 'other' ? ['why it stopped'] : []),
      ...(remainder.remainderFt === undefined ? ['how much is left'] : []),
    ],
  };
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
