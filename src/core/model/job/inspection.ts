import { type AccessPoint } from './access-point';
import { type Job } from './job';
import { type Property } from './property';
import { type Run } from './run';
import { type Settings } from './settings';

export const FORMAT = 'chert-inspection';
export const FORMAT_VERSION = 1;

/** One path of pipe. A line that `joins` another is measured on its own axis. */
export type Line = { readonly id: string; readonly label: string; readonly joins?: string };

/** One thing seen in more than one run. */
export type Tie = {
  readonly id: string;
  readonly label: string;
  readonly sightings: readonly { readonly runId: string; readonly entryId: string }[];
};

/** The taped distance between two access points; positive: `to` lies downstream of `from`. */
export type Span = {
  readonly fromAccessPointId: string;
  readonly toAccessPointId: string;
  readonly alongFt: number;
  readonly basis: 'taped' | 'seen';
};

/** The inspector's last word over a computed result. */
export type Decision = {
  readonly id: string;
  readonly kind: string;
  readonly reason: string;
  readonly [key: string]: unknown;
};

/** Everything that is stored as fact about one job. */
export type Inspection = {
  readonly format: typeof FORMAT;
  readonly version: typeof FORMAT_VERSION;
  readonly job: Job;
  readonly property: Property;
  readonly accessPoints: readonly AccessPoint[];
  readonly lines?: readonly Line[];
  readonly runs: readonly Run[];
  readonly ties: readonly Tie[];
  readonly spans?: readonly Span[];
  readonly decisions: readonly Decision[];
  readonly settings: Partial<Settings>;
};
