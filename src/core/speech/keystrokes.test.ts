import { describe, expect, it } from 'vitest';
import { meanKeys, TYPED_SCOPE, withFootage } from '../testing/typed-scope';
import type { CalloutContext } from './draft';
import { parseCallout } from './parse';

describe('keys pressed for an observation', () => {
  it('are 14 or fewer on average with the footage from the counter, and are right', () => {
    expect(TYPED_SCOPE).toHaveLength(30);
    for (const [say, atFt, want] of TYPED_SCOPE) {
      const context: CalloutContext = {
        counterFt: Number(atFt),
        pass: 'out',
        boreHereIn: 4,
        standing: [],
        openIds: new Set(),
      };
      const fromCounter = parseCallout(say, context)!;
      expect([say, fromCounter.choices, fromCounter.drafts[0]]).toMatchObject([
        say,
        [],
        { ...want, readingFt: Number(atFt) },
      ]);
      // A locate takes a bare number for its depth: there the footage follows "at".
      const typed = parseCallout(withFootage(say, atFt), { ...context, counterFt: 120 })!;
      expect([say, typed.drafts[0]]).toMatchObject([say, { ...want, readingFt: Number(atFt) }]);
    }
    expect(meanKeys(TYPED_SCOPE.map(([say]) => say))).toBeLessThanOrEqual(14);
    expect(meanKeys(TYPED_SCOPE.map(([say, atFt]) => withFootage(say, atFt)))).toBeLessThanOrEqual(
      17,
    );
  });
});
