import { placeStretches } from '../../measure/stretch';
import { type Check, perRun, sayReading } from '../check';

/** A stretch that was opened and never closed. */
export const stretchOpen: Check = {
  code: 'stretch-open',
  level: 'blocker',
  stand: 'reel',
  find: (context) => {
    // Another pass that saw both ends of the same thing settles it.
    const settled = new Set(
      context.findings.filter(({ stillOpen }) => !stillOpen).flatMap(({ entryIds }) => entryIds),
    );
    return perRun(context, (axis) =>
      [...placeStretches(axis, 'defect'), ...placeStretches(axis, 'unseen')]
        .filter(({ stillOpen, entry }) => stillOpen && !settled.has(entry.id))
        .map(({ entry }) => ({
          message: `Run ${axis.name}: ${entry.kind === 'defect' ? entry.defect : 'unseen'} open since ${sayReading(entry.readingFt)}: where does it end?`,
          action: 'Log its other end.',
          runIds: [axis.run.id],
          entryIds: [entry.id],
        })),
    );
  },
};
