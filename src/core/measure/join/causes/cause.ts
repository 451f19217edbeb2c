import type { Entry } from '../../../model/log/entry';
import type { RunAxis } from '../../placement';
import type { Network } from '../network';

/** What the inspector may do about a tie that does not fit. */
export type Remedy =
  | {
      readonly do: 'tie-instead';
      readonly runId: string;
      readonly from: string;
      readonly to: string;
    }
  | {
      readonly do: 'correct-reading';
      readonly runId: string;
      readonly entryId: string;
      readonly readingFt: number;
    }
  | { readonly do: 'turn-run'; readonly runId: string; readonly facing: 'downstream' | 'upstream' }
  | { readonly do: 'set-drop'; readonly runId: string; readonly dropFt: number };

/** What one sighting could have been instead. */
export type Alternative = {
  readonly alongFt: number;
  /** σ of that reading, feet. */
  readonly sigmaFt: number;
  /** What must have happened, as a sentence. */
  readonly text: string;
  readonly remedy: Remedy;
};

/** A sighting with its run. */
export type Seen = { readonly axis: RunAxis; readonly entry: Entry };

/** A cause that one sighting of a tie may have: a name, and what it would have been instead. */
export type SightingCause = {
  readonly cause: string;
  /** @param partners the other sightings of the tie. */
  readonly alternatives: (
    axis: RunAxis,
    entry: Entry,
    partners: readonly Seen[],
  ) => readonly Alternative[];
};

/** What a whole run could have been instead: the network with it, and how to say it once it is fitted. */
export type RunAlternative = {
  readonly network: Network;
  /** Reads the answer off the fitted alternative; `null` when it is not a likely one. */
  readonly tell: (originFtOf: (accessId: string) => number | null) => {
    readonly text: string;
    readonly remedy: Remedy;
  } | null;
};

/** A cause that a whole run may have. */
export type RunCause = {
  readonly cause: string;
  readonly alternative: (network: Network, axis: RunAxis) => RunAlternative | null;
};

/** A sighting at another reading of its run, if the run went that far. */
export function atReading(
  axis: RunAxis,
  entry: Entry,
  readingFt: number,
  text: string,
): Alternative[] {
  const beyond = readingFt > axis.home.farthestFt + 0.5 || readingFt < axis.home.zeroFt;
  if (beyond || readingFt === entry.readingFt) return [];
  const place = axis.placeOf(entry.pass, readingFt);
  if (place.alongFt < 0) return [];
  return [
    {
      alongFt: place.alongFt,
      sigmaFt: place.readingSigmaFt,
      text,
      remedy: { do: 'correct-reading', runId: axis.run.id, entryId: entry.id, readingFt },
    },
  ];
}

/** A reading as the counter shows it, its two parts apart: "27" and "5". */
export function digitsOf(readingFt: number): readonly [whole: string, tenth: string] {
  const [whole = '0', tenth = '0'] = readingFt.toFixed(1).split('.');
  return [whole, tenth];
}
