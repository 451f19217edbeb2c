import type { EndReason } from '../../../catalogue/vocabulary';
import { question } from '../conclusion';
import type { Rule } from '../rule';
import { lineOf, standingOf } from '../scene';

const STOPPED: readonly EndReason[] = ['bend', 'lost-push'];

export const headTooBig: Rule = {
  number: 6,
  id: 'head-too-big',
  when: 'the head was too big for a bend, or friction ate the push',
  then: 'try a small head, running water, the skid on or off; log it as a new set-up',
  because: 'most lines that stop a head let a smaller or wetter one through',
  conclude: (scene) =>
    standingOf(scene, 'end')
      .filter(({ entry }) => STOPPED.includes(entry.reason))
      .filter(({ axis, entry }) => {
        const atMs = Date.parse(entry.at);
        const lateral = scene.laterals.find(({ axes, unplaced }) =>
          [...axes, ...unplaced].includes(axis),
        )!;
        // Tried already: a new set-up in the run, or another run that went on to the main.
        const wasTried = axis.log.of('setup').some((other) => Date.parse(other.at) <= atMs);
        return !wasTried && !lineOf(scene, lateral.lineId).reachedMain;
      })
      .map(({ axis, entry }) =>
        question(
          null,
          'reel',
          `Run ${axis.name} stopped at ${entry.reason === 'bend' ? 'a bend' : 'the end of its push'}.`,
          'Try a smaller head, running water, the skid on or off, and log the change of set-up.',
          { runIds: [axis.run.id], entryIds: [entry.id] },
        ),
      ),
};
