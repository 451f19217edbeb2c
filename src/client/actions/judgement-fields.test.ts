import { describe, expect, it } from 'vitest';
import { VALIDATION } from '#core/base/joi';
import { DEFAULT_JUDGEMENT, type Judgement } from '#core/model/job/judgement';
import { judgementSchema } from '#core/model/job/judgement.schema';
import { fromFields, toFields } from './judgement-fields';

const MINE: Judgement = {
  profile: 'renew-first',
  responsibility: 'to-property-line',
  settings: {
    trustPass: 'out',
    eyeSizeIn: 0.25,
    thresholds: { several: 4, waterMajorFrom: 0.3 },
    usualLives: { lead: { from: 50, to: 80 } },
  },
};

describe('fields of how jobs are judged', () => {
  it('come back as they were, and empty ones mean Chert’s own', () => {
    expect(fromFields(toFields(MINE))).toEqual(MINE);
    expect(fromFields(toFields())).toEqual(DEFAULT_JUDGEMENT);
    expect(toFields().thresholds.several).toBe('');
  });

  it('take a comma for a point', () => {
    const fields = toFields();
    const typed = { ...fields, thresholds: { ...fields.thresholds, lipMajorFrom: '0,2' } };
    expect(fromFields(typed).settings.thresholds).toEqual({ lipMajorFrom: 0.2 });
  });

  it.each([
    ['no number', { thresholds: { ...toFields().thresholds, several: 'many' } }],
    ['half a life', { lives: { ...toFields().lives, lead: { from: '50', to: '' } } }],
  ])('%s is refused and not dropped', (_, change) => {
    const judgement = fromFields({ ...toFields(), ...change });
    expect(judgementSchema.validate(judgement, VALIDATION).error).toBeDefined();
  });
});
