export const PAPERS = ['letter', 'a4'] as const;
export type Paper = (typeof PAPERS)[number];

/** What a job's report shows. */
export type ReportOptions = {
  /** Planning prices, of the plan that the report goes by. */
  readonly prices: boolean;
  /** The judgement profile, by name. */
  readonly nameProfile: boolean;
  /** A line that the sewer passes: printed only when nothing is open, unseen or adverse. */
  readonly passLine: boolean;
  readonly paper: Paper;
  /** An earlier job on the same property that this look is held against; `null`: none. */
  readonly comparedWith: string | null;
};

export const DEFAULT_REPORT_OPTIONS: ReportOptions = {
  prices: true,
  nameProfile: true,
  passLine: false,
  paper: 'letter',
  comparedWith: null,
};

/** Days that are kept otherwise than the federal calendar says. */
export type Holidays = {
  /** Further days on which nobody works. */
  readonly added: readonly string[];
  /** Federal holidays on which people do work. */
  readonly removed: readonly string[];
};

export const NO_HOLIDAYS: Holidays = { added: [], removed: [] };
