/** Work that came in after somebody had lost the job, the right or the account, as it is told. */
export type LateWork = {
  readonly kind: 'entries' | 'facts' | 'media';
  readonly count: number;
  /** Who made it; empty where Chert has no people. */
  readonly person: string;
  /** The end of "came in after …". */
  readonly after: string;
};

const NAMES = {
  entries: ['line', 'lines'],
  facts: ['change', 'changes'],
  media: ['still', 'stills'],
} as const;

/** Says what came in late: "5 lines by Ann came in after the job was given to Bo." */
export function sayLate({ kind, count, person, after }: LateWork): string {
  const what = `${count} ${NAMES[kind][count === 1 ? 0 : 1]}`;
  return `${what}${person ? ` by ${person}` : ''} came in after ${after}.`;
}
