import type { Person } from '../../office/roles';
import type { Inspection } from './inspection';

/** One field of a job that was set, as its history tells it. */
export type Told = {
  readonly seq: number;
  readonly path: readonly string[];
  /** Absent: there was nothing. */
  readonly was?: unknown;
  /** Absent: it was taken out. */
  readonly value?: unknown;
  readonly device: string;
  /** By the device's own clock. */
  readonly saidAt: string;
  /** By the server's clock. */
  readonly at: string;
};

/** What two devices set without seeing each other: the later stands, and both are told. */
export type Overwritten = Told & {
  readonly over: { readonly value?: unknown; readonly device: string; readonly at: string };
};

/** A job as a page brings it to a device: what it shows, as of which revision, and by whom. */
export type StoredJob = {
  readonly inspection: Inspection;
  readonly rev: number;
  readonly installation: string;
  readonly era: string;
  /** What two devices set without seeing each other, the latest first. */
  readonly told: readonly Overwritten[];
  /** Who is signed in; `null` where Chert has no people. */
  readonly who: Person | null;
  /** Why nothing may be done to it here, as a sentence; `null` where something may. */
  readonly readOnly: string | null;
};
