import type { Check } from '../check';

/** A decision over a finding whose evidence has changed since, or whose finding is gone. */
export const overrideStale: Check = {
  code: 'override-stale',
  level: 'warning',
  stand: 'desk',
  find: ({ all, orphans }) => [
    ...all.flatMap(({ number, stale, runIds, entryIds }) =>
      stale.map(({ said }) => ({
        message: `The inspector’s word on finding ${number} (${said}) was given over other evidence and is not in force.`,
        action: 'On Findings, say it again or let it go.',
        runIds,
        entryIds,
      })),
    ),
    ...orphans.map(({ said }) => ({
      message: `The inspector’s word (${said}) is on a finding that is gone.`,
      action: 'On Findings, let it go.',
      runIds: [],
      entryIds: [],
    })),
  ],
};
