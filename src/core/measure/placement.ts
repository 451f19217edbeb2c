import { TOLERANCES } from '../base/tolerances';
import type { Pass } from '../catalogue/vocabulary';
import { labelOf } from '../model/job/labels';
import type { Run } from '../model/job/run';
import type { Settings } from '../model/job/settings';
import type { Entry } from '../model/log/entry';
import type { EntryWords } from '../model/log/entry-words';
import type { FoldedLog } from '../model/log/fold';
import { correctReadingFt, type Homecoming, measureHomecoming, slipShare } from './homecoming';

/** A place along a line: its station, feet, and one standard deviation of it. */
export type Place = {
  /** Distance from the access along the pipe, feet; below 0 is in the riser. */
  readonly alongFt: number;
  readonly stationFt: number;
  readonly sigmaFt: number;
  /** The part of σ that is the reading's own, without that of the run's place on the line. */
  readonly readingSigmaFt: number;
};

/** Where a run's access lies on its line, and how sure that is. */
export type RunOrigin = {
  readonly originFt: number;
  readonly scale: number;
  /** What the run's place adds to the variance of a station, ft². */
  readonly varianceAt: (alongFt: number) => number;
  /** What both runs' places add to the variance of a distance between two of their stations, ft². */
  readonly varianceBetween: (alongFt: number, other: RunAxis, otherAlongFt: number) => number;
};

/** Where an entry lies when nobody said its footage: between its neighbours in time. */
export type Between = { readonly from: Place; readonly to: Place };

const NO_WORDS: EntryWords = { tieOf: () => null, bondsOf: () => [], riftsOf: () => [] };

/** Turns the readings of one run into stations. */
export type RunAxis = {
  readonly run: Run;
  /** The run and the access point it went in by, as people call them ("R2", "A"). */
  readonly name: string;
  readonly from: string;
  readonly log: FoldedLog;
  readonly home: Homecoming;
  /** Whether this run has a known origin on its line. */
  readonly placed: boolean;
  readonly originFt: number;
  readonly scale: number;
  readonly origin: RunOrigin | null;
  readonly words: EntryWords;
  /** +1 facing downstream, −1 facing upstream. */
  readonly direction: 1 | -1;
  /** Distance from the access to the end of the run along the pipe, feet. */
  readonly reachFt: number;
  readonly alongOf: (pass: Pass, readingFt: number) => number;
  readonly placeOf: (pass: Pass, readingFt: number) => Place;
  readonly placeAlong: (alongFt: number) => number;
  /** The place of a standing entry; an interval when its reading was not said. */
  readonly placeOfEntry: (entry: Entry) => Between;
};

/**
 * Lays one run on the axis of its line.
 *
 * `d = r' − r0 − v` with `v` the drop when the zero is at the rim; `station = o + δ·s·d`.
 * σ of a reading = 0.5 ft + 0.5% of d + half the misclosure that it carries; a station's σ adds, by
 * squares, how sure the run's own place on the line is.
 */
export function layRun(
  run: Run,
  log: FoldedLog,
  settings: Settings,
  origin: RunOrigin | null,
  words: EntryWords = NO_WORDS,
  from: string = run.accessPointId,
): RunAxis {
  const home = measureHomecoming(run, log.standing);
  const dropFt = run.zero.at === 'rim' ? run.zero.dropFt : 0;
  const direction = run.facing === 'downstream' ? 1 : -1;
  const originFt = origin?.originFt ?? 0;
  const scale = origin?.scale ?? 1;

  const alongOf = (pass: Pass, readingFt: number) =>
    correctReadingFt(home, pass, readingFt, settings.slipOn) - home.zeroFt - dropFt;
  const placeAlong = (alongFt: number) => originFt + direction * scale * alongFt;
  const placeOf = (pass: Pass, readingFt: number): Place => {
    const alongFt = alongOf(pass, readingFt);
    const carriedFt = Math.abs(home.sharedFt * slipShare(home, pass, readingFt, settings.slipOn));
    const readingSigmaFt =
      TOLERANCES.readingSigmaFt +
      TOLERANCES.readingSigmaRatio * Math.max(0, alongFt) +
      carriedFt / 2;
    return {
      alongFt,
      stationFt: placeAlong(alongFt),
      readingSigmaFt,
      sigmaFt: Math.sqrt(readingSigmaFt ** 2 + (origin?.varianceAt(alongFt) ?? 0)),
    };
  };
  const reachFt = Math.max(0, alongOf('out', home.farthestFt));
  const unspoken = memoUnspoken(log.standing, placeOf, {
    start: placeOf('out', home.zeroFt),
    end: placeOf('out', home.farthestFt),
  });
  return {
    run,
    name: labelOf(run),
    from,
    log,
    home,
    placed: origin !== null,
    originFt,
    scale,
    origin,
    words,
    direction,
    reachFt,
    alongOf,
    placeOf,
    placeAlong,
    placeOfEntry: (entry) => {
      if (entry.readingFt === null) return unspoken(entry);
      const place = placeOf(entry.pass, entry.readingFt);
      return { from: place, to: place };
    },
  };
}

/** Neighbours in time of each entry without a reading; worked out in one sweep each way. */
function memoUnspoken(
  standing: readonly Entry[],
  placeOf: (pass: Pass, readingFt: number) => Place,
  limits: { readonly start: Place; readonly end: Place },
): (entry: Entry) => Between {
  const between = new Map<string, Between>();
  const placed = (entry: Entry | null) =>
    entry === null ? null : placeOf(entry.pass, entry.readingFt!);
  let before: Entry | null = null;
  let waiting: Entry[] = [];
  const settle = (after: Entry | null) => {
    for (const entry of waiting) {
      const last = entry.pass === 'out' ? limits.end : limits.start;
      between.set(entry.id, {
        from: placed(before) ?? limits.start,
        to: placed(after) ?? last,
      });
    }
    waiting = [];
  };
  for (const entry of standing) {
    if (entry.readingFt === null) waiting.push(entry);
    else {
      settle(entry);
      before = entry;
    }
  }
  settle(null);
  return (entry) => between.get(entry.id) ?? { from: limits.start, to: limits.end };
}
