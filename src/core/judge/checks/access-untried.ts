import { labelOf } from '../../model/job/labels';
import type { Check } from '../check';

/** A way in that nobody tried, on a line that was not seen to its end. */
export const accessUntried: Check = {
  code: 'access-untried',
  level: 'warning',
  stand: 'reel',
  find: ({ inspection, laterals }) => {
    const main = laterals[0];
    if (!main || main.axes.length === 0 || main.reachedMain) return [];
    const tried = new Set(inspection.runs.map(({ accessPointId }) => accessPointId));
    return inspection.accessPoints
      .filter(({ id, usable }) => usable && !tried.has(id))
      .map((access) => ({
        message: `The line was not seen to its end, and nobody went in by access ${labelOf(access)} (${access.place}).`,
        action: 'Make a run from it, or mark it as not usable and say why.',
        runIds: [],
        entryIds: [],
      }));
  },
};
