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
  /** Who was signed in there; absent where Chert had no people. */
  readonly person?: string;
  /** Set where it does not stand: another device had set the field later, and was heard first. */
  readonly isUnder?: boolean;
};

type Signed = { readonly at: string; readonly person?: string; readonly device?: string };

/** One thing that happened to a job: a field that was set, what was logged in an hour, or what else was done. */
export type Happened =
  | ({ readonly kind: 'edit' } & Told)
  | (Signed & { readonly kind: 'logged'; readonly runId: string; readonly count: number })
  | (Signed & { readonly kind: 'deed'; readonly says: string });

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
  /** What came in after somebody had lost the job, as sentences, until it was looked at. */
  readonly late: readonly string[];
  /** Who is signed in; `null` where Chert has no people. */
  readonly who: Person | null;
  /** Why nothing may be done to it here, as a sentence; `null` where something may. */
  readonly readOnly: string | null;
};
