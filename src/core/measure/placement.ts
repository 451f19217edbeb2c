import { TOLERANCES } from '../base/tolerances';
import type { Run } from '../job/run';
import type { Settings } from '../job/settings';
import type { Entry } from '../log/entry';
import type { FoldedLog } from '../log/fold';
import type { Pass } from '../log/vocabulary';
import { correctReadingFt, type Homecoming, measureHomecoming, slipShare } from './homecoming';

/** A place along a line: its station, feet, and one standard deviation of it. */
export type Place = {
  /** Distance from the access along the pipe, feet; below 0 is in the riser. */
  readonly alongFt: number;
  readonly stationFt: number;
  readonly sigmaFt: number;
};

/** Where an entry lies when nobody said its footage: between its neighbours in time. */
export type Between = { readonly from: Place; readonly to: Place };

/** Turns the readings of one run into stations. */
export type RunAxis = {
  readonly run: Run;
  readonly log: FoldedLog;
  readonly home: Homecoming;
  /** Whether this run has a known origin on its line. */
  readonly placed: boolean;
  readonly originFt: number;
  readonly scale: number;
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
 * σ = 0.5 ft + 0.5% of d + half the misclosure that the reading carries.
 */
export function layRun(
  run: Run,
  log: FoldedLog,
  settings: Settings,
  origin: { readonly originFt: number; readonly scale: number } | null,
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
    const carriedFt = Math.abs(
      home.misclosureFt * slipShare(home, pass, readingFt, settings.slipOn),
    );
    return {
      alongFt,
      stationFt: placeAlong(alongFt),
      sigmaFt:
        TOLERANCES.readingSigmaFt +
        TOLERANCES.readingSigmaRatio * Math.max(0, alongFt) +
        carriedFt / 2,
    };
  };
  const reachFt = Math.max(0, alongOf('out', home.farthestFt));
  const unspoken = memoUnspoken(log.standing, placeOf, {
    start: placeOf('out', home.zeroFt),
    end: placeOf('out', home.farthestFt),
  });
  return {
    run,
    log,
    home,
    placed: origin !== null,
    originFt,
    scale,
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
