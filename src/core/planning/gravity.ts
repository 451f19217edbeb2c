import { sayIn } from '../base/numbers';
import { isRunGrade } from './methods/families';
import type { Site } from './site';

/** The sum that says whether gravity can serve the house, for one line. */
export type GravitySum = {
  readonly lineId: string;
  readonly verdict: 'can' | 'cannot' | 'cannot-be-told';
  readonly availableIn: number | null;
  readonly requiredIn: number | null;
  readonly sigmaIn: number | null;
  readonly says: string;
};

/**
 * Gravity or pump: asked where a sag is to be cured or the grade of a run has failed. New pipe makes no
 * fall: where it is not there, only a pump lifts the water.
 */
export function sumsOfGravity({ beds, owned }: Site): GravitySum[] {
  return [...beds.values()].flatMap(({ lateral: { lineId, grade } }) => {
    const isAsked = owned.some(
      (one) => one.lineId === lineId && (one.kind === 'standing-water' || isRunGrade(one)),
    );
    if (!isAsked) return [];
    const { whole, verdict } = grade;
    const base = {
      lineId,
      verdict,
      availableIn: whole?.availableIn ?? null,
      requiredIn: whole?.requiredIn ?? null,
      sigmaIn: whole?.sigmaIn ?? null,
    };
    if (!whole)
      return [
        {
          ...base,
          says: 'The fall was not measured. Locate two places far apart, each with its ground level, before new pipe is bought to cure a sag.',
        },
      ];
    const fall = `Fall available ${sayIn(whole.availableIn)} in, fall required ${sayIn(whole.requiredIn)} in, ±${sayIn(2 * whole.sigmaIn)} in.`;
    const end = {
      can: `${fall} Gravity can serve: new pipe to grade will drain.`,
      cannot: `${fall} Gravity cannot serve by ${sayIn(whole.requiredIn - whole.availableIn)} in: new pipe would hold water again. A pump (ejector) must lift it.`,
      'cannot-be-told': `${fall} That is too close to tell: measure the levels again before new pipe is bought.`,
    };
    return [{ ...base, says: end[verdict] }];
  });
}
