import type { EntryOf } from '../../log/entry';
import type { UnseenCause } from '../../log/vocabulary';
import type { CalloutContext, Reading } from '../draft';
import { takeFootage } from '../quantities';
import { noteOf, type Reader, readingOr } from './reader';

/** "water on", "water off", "draining", "water drained", "drained 6 min". */
export const readWaterState: Reader = (scan, context) => {
  const said =
    scan.take(/\b(?:the )?water(?:'s| is)? (on|running|off|draining|drained|stopped)\b/) ??
    scan.take(/\b(?:line |pipe )?(drained|draining)\b/) ??
    scan.take(/\b(run|start|stop|turn on|turn off)(?:ning|ped)? (?:the )?water\b/);
  if (!said) return null;
  const word = said[1]!;
  const state =
    word === 'drained'
      ? ('drained' as const)
      : /off|stop|draining/.test(word)
        ? ('draining' as const)
        : ('running' as const);
  const source = scan.take(
    /\b(?:from|at)\s+(?:the\s+)?([a-z][a-z ]*?(?:sink|tub|shower|toilet|washer|hose|bib|faucet|tap))\b/,
  );
  const { fromFt } = takeFootage(scan);
  return {
    drafts: [
      {
        kind: 'water',
        pass: context.pass,
        readingFt: readingOr(context, fromFt),
        state,
        ...(source ? { source: source[1]!.trim() } : {}),
        ...noteOf(scan),
      },
    ],
    missing: [],
  };
};

const RESULTS: readonly (readonly [EntryOf<'flow-test'>['result'], RegExp])[] = [
  ['backs-up', /\b(?:backs? up|backed up|backing up|rises|rising|overflow(?:s|ed)?)\b/],
  ['slow', /\bslow(?:ly)?\b|\bsluggish\b/],
  ['not-seen', /\b(?:not seen|never came|nothing came|did ?n[o']t see)\b/],
  [
    'clears',
    /\b(?:clears?|cleared|runs? (?:clear|free|away|through)|fine|ok|okay|briskly|passes|passed)\b/,
  ],
];

/** "test kitchen sink clears", "flushed hall toilet, slow". */
export const readFlowTest: Reader = (scan, context) => {
  if (!scan.take(/\b(?:flow test|test(?:ed)?|flush(?:ed)?|ran)\b(?! tee)/)) return null;
  let result: EntryOf<'flow-test'>['result'] | null = null;
  for (const [candidate, pattern] of RESULTS) {
    if (scan.take(pattern)) {
      result = candidate;
      break;
    }
  }
  const { fromFt } = takeFootage(scan);
  const fixture = scan.rest();
  return {
    drafts: [
      {
        kind: 'flow-test',
        pass: context.pass,
        readingFt: readingOr(context, fromFt),
        fixture: fixture || 'a fixture',
        result: result ?? 'not-seen',
      },
    ],
    missing: [
      ...(fixture ? [] : ['which fixture']),
      ...(result === null ? ['clears, slow or backs up?'] : []),
    ],
  };
};

const CAUSES: readonly (readonly [UnseenCause, RegExp])[] = [
  ['submerged', /\b(?:under ?water|submerged|lens (?:is )?under)\b/],
  ['murky', /\b(?:murky|cloudy|muddy)(?: water)?\b/],
  ['dirty-lens', /\b(?:(?:dirty|fouled|foggy|greasy) lens|lens (?:is )?(?:dirty|fouled|fogged))\b/],
  ['too-fast', /\b(?:too fast|went past|passed too fast)\b/],
];
const BLIND =
  /\b(?:can't see|cannot see|can not see|could ?n[o']t see|no view|blind|unseen|not seen)\b/;

function seeAgain(context: CalloutContext, readingFt: number | null): Reading {
  const unseen = context.standing.filter(
    (entry): entry is EntryOf<'unseen'> => entry.kind === 'unseen',
  );
  const open = unseen.findLast((entry) => context.openIds.has(entry.id));
  const base = { pass: context.pass, readingFt } as const;
  if (open) return { drafts: [{ ...base, kind: 'close', closes: open.id }], missing: [] };
  const covering = unseen.findLast((entry) => {
    if (readingFt === null || entry.readingFt === null) return true;
    const toFt = entry.toReadingFt ?? entry.readingFt;
    return (
      readingFt >= Math.min(entry.readingFt, toFt) - 1 &&
      readingFt <= Math.max(entry.readingFt, toFt) + 1
    );
  });
  if (!covering) return { drafts: [], missing: ['a stretch here that was logged as not seen'] };
  return { drafts: [{ ...base, kind: 'retract', retracts: covering.id }], missing: [] };
}

/** "can't see from 43", "under water 43 to 52", "can see now". */
export const readUnseen: Reader = (scan, context) => {
  if (scan.take(/\b(?:can|could) see (?:it )?(?:now|again)\b|\b(?:clear|seen) (?:now|again)\b/)) {
    return seeAgain(context, readingOr(context, takeFootage(scan).fromFt));
  }
  const found = CAUSES.find(([, pattern]) => scan.has(pattern));
  const isBlind = scan.take(BLIND) !== null;
  if (!found && !isBlind) return null;
  if (found) scan.take(found[1]);
  const footage = takeFootage(scan);
  const readingFt = readingOr(context, footage.fromFt);
  if (footage.closes) {
    const open = context.standing.findLast(
      (entry) => entry.kind === 'unseen' && context.openIds.has(entry.id),
    );
    if (open) {
      return {
        drafts: [
          { kind: 'close', pass: context.pass, readingFt, closes: open.id, ...noteOf(scan) },
        ],
        missing: [],
      };
    }
  }
  return {
    drafts: [
      {
        kind: 'unseen',
        pass: context.pass,
        readingFt,
        cause: found?.[0] ?? 'other',
        ...(footage.toFt === null ? { open: true } : { toReadingFt: footage.toFt }),
        ...noteOf(scan),
      },
    ],
    missing: footage.toFt === null ? ['where it can be seen again'] : [],
  };
};
