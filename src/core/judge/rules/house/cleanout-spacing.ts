import { listCleanouts } from '../../../lateral/cleanouts';
import { advice } from '../conclusion';
import type { Rule } from '../rule';

/** Codes commonly want a cleanout at least so often, feet. */
const MOST_FT = 100;

export const cleanoutSpacing: Rule = {
  number: 68,
  id: 'cleanout-spacing',
  when: 'a long line has too few cleanouts, or only small ones',
  then: 'advise a cleanout where a tool needs one',
  because: 'a cable or hose reaches about a hundred feet, and a small opening takes no tool',
  conclude: (scene) =>
    scene.laterals.flatMap(({ lineId, reached }) => {
      const lastFt = reached.at(-1)?.toFt ?? 0;
      const found = listCleanouts(scene.inspection, scene.laterals).filter(
        (one) => one.state === 'usable' && one.lineId === lineId && one.stationFt !== null,
      );
      const stations = found.map(({ stationFt }) => stationFt!).toSorted((a, b) => a - b);
      if (stations.length === 0) return [];
      const ends = [...stations.slice(1), lastFt];
      const isFar = stations.some((at, index) => ends[index]! - at > MOST_FT);
      return isFar
        ? [
            advice(
              null,
              `More than ${MOST_FT} ft of this line lie beyond a cleanout. Ask a licensed plumber about another one.`,
            ),
          ]
        : [];
    }),
};
