import { gapBetweenFt, overlaps } from '../base/interval';
import { nearestLocate, type NearLocate } from '../lateral/near-locate';
import { type Segment, segmentAt } from '../lateral/segments';
import type { RunAxis } from '../measure/placement';
import { placeStretches } from '../measure/stretch';
import { sayEntry } from '../model/log/say-entry';
import type { Assessment } from './assessment';

/** What one run has to say of a place. */
export type RunAt = {
  readonly runId: string;
  /** What its counter would have read there on the way back, feet; `null` where it did not go. */
  readonly readingFt: number | null;
  readonly sigmaFt: number;
  /** Whether the run could see there; `null` where it did not go. */
  readonly saw: boolean | null;
  readonly sightings: readonly {
    readonly entryId: string;
    readonly text: string;
    readonly readingFt: number;
    readonly pass: 'out' | 'back';
    readonly stationFt: number;
    readonly sigmaFt: number;
  }[];
};

/** The answer to "what is at …?". */
export type WhatIsAt = {
  readonly stationFt: number;
  readonly segment: Segment | null;
  readonly findingNumbers: readonly number[];
  readonly runs: readonly RunAt[];
  readonly locate: NearLocate | null;
};

/** Things this near to the station asked for are at it, feet. */
const NEAR_FT = 1.5;

/** Tells everything that is known of a station of the house line, run by run. */
export function tellWhatIsAt(assessment: Assessment, stationFt: number): WhatIsAt {
  const { lateral } = assessment;
  const here = { fromFt: stationFt, toFt: stationFt };
  const isReached = lateral.reached.some((stretch) => overlaps(stretch, here));
  return {
    stationFt,
    segment: isReached ? segmentAt(lateral.segments, stationFt) : null,
    findingNumbers: assessment.findings
      .filter(({ placed, lineId }) => placed && lineId === lateral.lineId)
      .filter(({ span }) => gapBetweenFt(span, here) <= NEAR_FT)
      .map(({ number }) => number),
    runs: lateral.axes.map((axis) => runAt(axis, stationFt)),
    locate: nearestLocate(lateral.grade.located, stationFt),
  };
}

function runAt(axis: RunAxis, stationFt: number): RunAt {
  const here = { fromFt: stationFt, toFt: stationFt };
  const alongFt = (axis.direction * (stationFt - axis.originFt)) / axis.scale;
  const isIn = alongFt >= -0.05 && alongFt <= axis.reachFt + 0.05;
  const unseen = placeStretches(axis, 'unseen').some(({ span }) => overlaps(span, here));
  const spans = new Map(
    placeStretches(axis, 'defect').map(({ entry, span }) => [entry.id, span] as const),
  );
  const sightings = axis.log.standing.flatMap((entry) => {
    if (entry.readingFt === null || entry.kind === 'home' || entry.kind === 'water') return [];
    const place = axis.placeOf(entry.pass, entry.readingFt);
    if (place.alongFt < 0) return [];
    const span = spans.get(entry.id) ?? { fromFt: place.stationFt, toFt: place.stationFt };
    if (gapBetweenFt(span, here) > NEAR_FT) return [];
    const { title, facts } = sayEntry(entry);
    return [
      {
        entryId: entry.id,
        text: [title, ...facts].join(', '),
        readingFt: entry.readingFt,
        pass: entry.pass,
        stationFt: place.stationFt,
        sigmaFt: place.sigmaFt,
      },
    ];
  });
  return {
    runId: axis.run.id,
    readingFt: isIn ? readingAt(axis, alongFt) : null,
    sigmaFt: isIn ? axis.placeOf('back', readingAt(axis, alongFt)).sigmaFt : 0,
    saw: isIn ? !unseen : null,
    sightings,
  };
}

/**
 * The counter's reading on the back pass at a distance along the pipe: the inverse of the homecoming
 * correction, which is a straight line in the reading.
 */
export function readingAt(axis: RunAxis, alongFt: number): number {
  const [low, high] = [axis.home.zeroFt, axis.home.farthestFt];
  if (high <= low) return low;
  const [atLow, atHigh] = [axis.alongOf('back', low), axis.alongOf('back', high)];
  return low + ((alongFt - atLow) / (atHigh - atLow)) * (high - low);
}
