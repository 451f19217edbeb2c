import type { Pass } from '../../catalogue/vocabulary';

/** What a recording was made with. */
export const RECORDING_SOURCES = ['camera', 'rig', 'file'] as const;
/** Where its bytes are: on the server, or in a file that stays where the inspector has it. */
export const RECORDING_PLACES = ['server', 'file'] as const;

/** Bounds of what is kept with a run. */
export const MOST_MARKS = 2_000;
export const MOST_COUNTER_POINTS = 20_000;

/** A moment of a recording whose footage somebody set. */
export type SetMark = {
  readonly id: string;
  readonly atMs: number;
  readonly readingFt: number;
  readonly pass: Pass;
};

/** A reading of the counter, milliseconds into the recording. */
export type CounterPoint = readonly [atMs: number, readingFt: number];

/** A video of one run, whose bytes lie beside the log. */
export type Recording = {
  readonly id: string;
  /** The file's name, or what people call it. */
  readonly name: string;
  readonly source: (typeof RECORDING_SOURCES)[number];
  readonly place: (typeof RECORDING_PLACES)[number];
  /** When its first picture was taken; absent where nobody has said: a file may have been copied since. */
  readonly startedAt?: string;
  /** When its file was last written: a hint at the end of the recording, and no more. */
  readonly writtenAt?: string;
  readonly durationMs?: number;
  readonly bytes?: number;
  readonly marks?: readonly SetMark[];
  /** The reel's counter, thinned to what a straight line between two points does not tell. */
  readonly counter?: readonly CounterPoint[];
};
