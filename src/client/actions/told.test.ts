import { describe, expect, it } from 'vitest';
import { applyChanges } from '#client/change';
import { changesOf } from '#client/job-on-device';
import type { ToldFacts } from '#core/speech/statements/statement';
import { CLAY, inspectionOf, MAIN_AT_60, runOf } from '#core/testing/build';
import { toldDoing } from './told';

const after = (facts: ToldFacts, cleanedBefore: 'none' | 'cut' = 'none') => {
  const run = runOf([CLAY, MAIN_AT_60], {
    cleanedBefore,
    zero: { at: 'rim', readingFt: 1, dropFt: 3 },
  });
  const inspection = inspectionOf([run], {
    property: { history: [{ what: 'repaired', note: 'a dig' }] },
  });
  return applyChanges(inspection, changesOf(inspection, toldDoing(inspection, run, facts)));
};

describe('what is told on the line', () => {
  it('goes into the set-up of the run, and leaves what was not said', () => {
    const { runs } = after({ run: { zero: { readingFt: 0 }, waterAtStart: 'none' } });
    expect(runs[0]).toMatchObject({
      zero: { at: 'rim', readingFt: 0, dropFt: 3 },
      waterAtStart: 'none',
      cleanedBefore: 'none',
    });
  });

  it('does not undo what is known better', () => {
    expect(after({ run: { cleanedBefore: 'unknown' } }, 'cut').runs[0]!.cleanedBefore).toBe('cut');
    expect(after({ run: { cleanedBefore: 'unknown' } }).runs[0]!.cleanedBefore).toBe('unknown');
    expect(after({ run: { cleanedBefore: 'jetted' } }, 'cut').runs[0]!.cleanedBefore).toBe(
      'jetted',
    );
  });

  it('is added to the history of the house', () => {
    const { property } = after({
      property: { yearBuilt: 1952, history: [{ what: 'backup', note: 'in spring' }] },
    });
    expect(property).toMatchObject({
      yearBuilt: 1952,
      history: [
        { what: 'repaired', note: 'a dig' },
        { what: 'backup', note: 'in spring' },
      ],
    });
  });
});
