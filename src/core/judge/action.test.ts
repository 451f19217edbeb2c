import { describe, expect, it } from 'vitest';
import { assessmentOf } from '../testing/build';

const ruleOf = (defect: string, extentRatio: number) => {
  const { findings } = assessmentOf([{ kind: 'defect', defect, extentRatio, readingFt: 20 }]);
  return findings[0]!.because.map(({ rule }) => rule);
};

describe('what blocks a pipe', () => {
  it('is what fills more than nine tenths of it, and not nine tenths', () => {
    for (const filling of ['roots', 'grease', 'debris', 'scale']) {
      expect(ruleOf(filling, 0.91)).toContain('urgent-blocked');
      expect(ruleOf(filling, 0.9)).not.toContain('urgent-blocked');
    }
  });
  it('is nothing that only hangs in or squashes it, however much is said of that', () => {
    expect(ruleOf('deformation', 0.95)).not.toContain('urgent-blocked');
  });
  it('is never water that stands', () => {
    const { findings } = assessmentOf([
      { kind: 'defect', defect: 'standing-water', fillRatio: 1, readingFt: 20, toReadingFt: 30 },
    ]);
    expect(findings[0]!.because.map(({ rule }) => rule)).not.toContain('urgent-blocked');
  });
});
