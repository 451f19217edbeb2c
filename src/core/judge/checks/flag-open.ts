import { type Check, perRun, sayWhere } from '../check';

/** A flag that nobody settled. */
export const flagOpen: Check = {
  code: 'flag-open',
  level: 'blocker',
  stand: 'reel',
  find: (context) =>
    perRun(context, (axis) =>
      axis.log.of('flag').map((entry) => ({
        message: `A flag at ${sayWhere(axis, entry)} is not settled${entry.note ? `: "${entry.note}"` : '.'}`,
        action: 'Say what was there, or retract the flag.',
        runIds: [axis.run.id],
        entryIds: [entry.id],
      })),
    ),
};
