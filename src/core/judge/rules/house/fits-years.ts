import { materialOf, nameMaterial } from '../../../catalogue/materials/kinds';
import { advice, type Conclusion } from '../conclusion';
import type { Rule } from '../rule';

/** What a history tells of new pipe. */
const RENEWED: readonly string[] = ['repaired', 'lined', 'permit'];
const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1);

export const fitsYears: Rule = {
  number: 52,
  id: 'fits-years',
  when: 'a pipe was not laid yet, or no longer, when the house was built',
  then: 'have it checked: the pipe or the year is not what it is taken for, or the pipe is newer',
  because:
    'what does not fit the years of a house tells of a repair that nobody spoke of, or of a wrong call',
  conclude: (scene) => {
    const { yearBuilt, history = [] } = scene.inspection.property;
    if (yearBuilt === undefined) return [];
    const isKnown = history.some(({ what }) => RENEWED.includes(what));
    const materials = new Set(
      scene.laterals.flatMap(({ segments }) =>
        segments
          .filter(
            ({ certainty, responsibleSide }) =>
              certainty === 'confirmed' && responsibleSide === 'owner',
          )
          .map(({ material }) => material),
      ),
    );
    return [...materials].flatMap((material): Conclusion[] => {
      const { laid } = materialOf(material).service ?? {};
      if (!laid) return [];
      const name = nameMaterial(material);
      if (laid.to !== null && laid.to < yearBuilt)
        return [
          advice(
            null,
            `${capital(name)} was hardly laid any more when this house was built (${yearBuilt}). Have the pipe, or the year, checked.`,
          ),
        ];
      return laid.from > yearBuilt && !isKnown
        ? [
            advice(
              null,
              `${capital(name)} is newer than this house (${yearBuilt}). Ask when that part was replaced, and for the permit.`,
            ),
          ]
        : [];
    });
  },
};
