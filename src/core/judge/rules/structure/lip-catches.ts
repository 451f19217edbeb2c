import { adviceWith, reason } from '../conclusion';
import type { Rule } from '../rule';
import { findingsOf } from '../scene';

export const lipCatches: Rule = {
  number: 32,
  id: 'lip-catches',
  when: 'a lip stands where there should be none',
  then: 'it catches solids; it is a likely cause of repeated backups',
  because: 'paper hangs on an edge, and what hangs catches the next',
  conclude: (scene) => {
    const backedUp = (scene.inspection.property.history ?? []).some(
      ({ what }) => what === 'backup',
    );
    return findingsOf(scene, 'lip').flatMap((lip) => [
      reason(
        lip,
        backedUp
          ? 'it catches solids, and is a likely cause of the backups there have been'
          : 'it catches solids',
      ),
      ...(lip.severity === 'slight'
        ? []
        : [adviceWith(['ramp-lip'], lip, 'Have the edge ground down or ramped.')]),
    ]);
  },
};
