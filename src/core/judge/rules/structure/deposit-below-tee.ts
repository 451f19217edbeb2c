import { advice, type Conclusion, question, reason } from '../conclusion';
import type { Rule } from '../rule';
import { findingsOf, lineOf, standingOf } from '../scene';

/** Whether a fixture that was run is the one that a tee serves. */
function isSameFixture(fixture: string, serves: string | null): boolean {
  return serves !== null && fixture.trim().toLowerCase() === serves.trim().toLowerCase();
}

export const depositBelowTee: Rule = {
  number: 43,
  id: 'deposit-below-tee',
  when: 'a deposit begins just below a tee',
  then: 'run that fixture to prove the source; then it is the branch’s upkeep and not the main line’s fault',
  because: 'grease and paper settle where they come in',
  conclude: (scene) =>
    findingsOf(scene, 'grease', 'debris', 'mineral', 'scale')
      .filter(({ placed }) => placed)
      .flatMap((deposit): Conclusion[] => {
        const tee = lineOf(scene, deposit.lineId).features.findLast(
          ({ feature, stationFt }) =>
            (feature === 'tee' || feature === 'wye') &&
            stationFt <= deposit.span.fromFt + 1e-9 &&
            deposit.span.fromFt - stationFt <= scene.thresholds.closeTogetherFt + 1e-9,
        );
        if (!tee) return [];
        const tested = standingOf(scene, 'flow-test').filter(
          ({ entry }) => isSameFixture(entry.fixture, tee.serves) && entry.result !== 'not-seen',
        );
        if (tested.length > 0)
          return [
            reason(
              deposit,
              `it begins just below a ${tee.feature}, and running the ${tee.serves} showed that it comes in there`,
            ),
            advice(deposit, 'It is the upkeep of that branch, and no fault of this line.'),
          ];
        const serves = tee.serves ?? 'whatever that tee serves';
        return [
          reason(
            deposit,
            `it begins just below a ${tee.feature}${tee.serves ? ` from the ${tee.serves}` : ''}`,
          ),
          advice(
            deposit,
            'If that branch proves to be its source, the branch is what needs upkeep.',
          ),
          question(
            deposit,
            'fixture',
            `The ${deposit.kind} begins just below a ${tee.feature}: is that its source?`,
            `Run ${tee.serves ? `the ${serves}` : serves} and watch the ${tee.feature}.`,
          ),
        ];
      }),
};
