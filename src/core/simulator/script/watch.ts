import { roundTo } from '../../base/numbers';
import type { Pass, UnseenCause } from '../../catalogue/vocabulary';
import type { EntryDraft } from '../../model/log/entry';
import { BLIND_RATIO } from '../lens';
import { type PathThing, stationAt } from '../path';
import type { Rig, RigState } from '../rig';

/** Standing water shallower than this is a film, inches. */
export const FILM_IN = 0.2;

/** A pool shorter than this is not called one, feet. */
export const LEAST_POOL_FT = 0.5;

/** A counter is read to the tenth, and shows nothing below its zero. */
export const readCounter = (readingFt: number) => Math.max(0, roundTo(readingFt, 1));

/** Why nothing can be sworn to at the head, or `null` when the view is good. */
export function blindBy(state: RigState): UnseenCause | null {
  if (state.isUnder) return state.isMurky ? 'murky' : 'submerged';
  return state.lens.fouledRatio >= BLIND_RATIO ? 'dirty-lens' : null;
}

type Span = { readonly fromReadingFt: number };

/** An entry that a pass ended with, and when it could be said. */
export type Said = { readonly draft: EntryDraft; readonly atS: number };

/**
 * Watches one pass as an unhurried inspector with good eyes does: names what the head passes at the
 * counter's reading, each stretch by both its ends, and whatever could not be seen as unseen.
 */
export function watchPass(rig: Rig, pass: Pass) {
  const said: Said[] = [];
  const open = new Map<PathThing, Span>();
  let unseen: (Span & { readonly cause: UnseenCause }) | null = null;
  let pool: (Span & { deepestIn: number }) | null = null;
  const seenWhole = new Set<PathThing>();
  const say = (state: RigState, draft: EntryDraft) => said.push({ draft, atS: state.elapsedS });
  const base = (readingFt: number) => ({ pass, readingFt: readCounter(readingFt) });

  const closeUnseen = (state: RigState) => {
    if (unseen && Math.abs(unseen.fromReadingFt - state.readingFt) > 0.05) {
      say(state, {
        kind: 'unseen',
        cause: unseen.cause,
        ...ends(unseen.fromReadingFt, state.readingFt),
      });
    }
    unseen = null;
  };
  const ends = (oneFt: number, otherFt: number) => ({
    pass,
    readingFt: readCounter(Math.min(oneFt, otherFt)),
    toReadingFt: readCounter(Math.max(oneFt, otherFt)),
  });
  const closePool = (state: RigState) => {
    const was = pool;
    pool = null;
    if (!was || Math.abs(was.fromReadingFt - state.readingFt) < LEAST_POOL_FT) return;
    say(state, {
      kind: 'defect',
      defect: 'standing-water',
      sizeBasis: 'eye',
      depthIn: roundTo(was.deepestIn, 1),
      ...ends(was.fromReadingFt, state.readingFt),
    });
  };

  return {
    said,
    /** Looks at what lies between where the head was and where it is. */
    look: (before: RigState, state: RigState) => {
      const [lowFt, highFt] = [before.headFt, state.headFt].sort((a, b) => a - b) as [
        number,
        number,
      ];
      const readingAt = (atFt: number) => {
        const share = highFt > lowFt ? (atFt - before.headFt) / (state.headFt - before.headFt) : 1;
        return before.readingFt + share * (state.readingFt - before.readingFt);
      };
      const cause = blindBy(state);
      const inLine = stationAt(rig.path, state.headFt) !== null;
      if (unseen && (cause !== unseen.cause || !inLine)) closeUnseen(state);
      if (cause && inLine && !unseen) {
        unseen = { cause, fromReadingFt: before.readingFt };
      }
      // Under water the depth cannot be read, yet that water stands there can.
      const isPool = inLine && !state.running && state.depthIn >= FILM_IN;
      if (pool && !isPool) closePool(state);
      if (isPool) {
        pool ??= { fromReadingFt: before.readingFt, deepestIn: 0 };
        pool.deepestIn = Math.max(pool.deepestIn, state.depthIn);
      }
      for (const thing of rig.path.things) {
        const enterFt = pass === 'out' ? thing.fromFt : thing.toFt;
        const leaveFt = pass === 'out' ? thing.toFt : thing.fromFt;
        const passed = (atFt: number) => atFt >= lowFt && atFt <= highFt && highFt > lowFt;
        if (passed(enterFt) && cause === null && !seenWhole.has(thing)) {
          open.set(thing, { fromReadingFt: readingAt(enterFt) });
        }
        const began = open.get(thing);
        if (!began || !passed(leaveFt)) continue;
        open.delete(thing);
        seenWhole.add(thing);
        const endFt = readingAt(leaveFt);
        if (thing.kind === 'feature') {
          const { atFt: _at, radiusIn: _radius, ...what } = thing.what;
          if (what.feature === 'property-line' || what.feature === 'main-tap') continue;
          say(state, { kind: 'feature', ...base(endFt), ...what });
          continue;
        }
        const { atFt: _at, toFt, ...what } = thing.what;
        const place = toFt === undefined ? base(endFt) : ends(began.fromReadingFt, endFt);
        say(state, { kind: 'defect', sizeBasis: 'eye', ...place, ...what });
      }
    },
    /** Ends what is still open where the head stands. */
    finish: (state: RigState) => {
      closeUnseen(state);
      closePool(state);
      for (const thing of rig.path.things) {
        const began = open.get(thing);
        if (!began || thing.kind !== 'defect') continue;
        const { atFt: _at, toFt: _to, ...what } = thing.what;
        say(state, {
          kind: 'defect',
          sizeBasis: 'eye',
          ...ends(began.fromReadingFt, state.readingFt),
          ...what,
        });
      }
    },
  };
}
