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
