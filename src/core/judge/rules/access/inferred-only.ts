import { sayReading } from '../../check';
import { type Conclusion, question } from '../conclusion';
import type { Rule } from '../rule';
import { standingOf, usableCleanouts } from '../scene';

const CLEANOUTS = ['cleanout', 'property-line-cleanout', 'access-point'];

export const inferredOnly: Rule = {
  number: 5,
  id: 'inferred-only',
  when: 'a cleanout is only inferred and the advice hangs on it',
  then: 'confirm it before saying it: locate it, or look again',
  because: 'a buyer who is told of a cleanout that is not there plans upkeep that cannot be done',
  conclude: (scene) => {
    const hangs = scene.findings.some(({ action }) => action === 'upkeep' || action === 'repair');
    const isElsewhere = usableCleanouts(scene).length > 0;
    if (!hangs && isElsewhere) return [];
    return standingOf(scene, 'feature')
      .filter(({ entry }) => CLEANOUTS.includes(entry.feature))
      .filter(({ entry }) => (entry.certainty ?? 'confirmed') !== 'confirmed')
      .map(({ axis, entry }): Conclusion =>
        question(
          null,
          'surface',
          `The cleanout at ${sayReading(entry.readingFt)} of run ${axis.name} is only inferred, and upkeep would hang on it.`,
          'Locate it from above, or look again and log it as confirmed.',
          { runIds: [axis.run.id], entryIds: [entry.id] },
        ),
      );
  },
};
