import { describe, expect, it } from 'vitest';
import { followPass, type PassState } from './follow-pass';

const walk = (heads: readonly number[]) => {
  let state: PassState = { pass: 'out', farthestFt: 0 };
  return heads.map((headFt) => (state = followPass(state, headFt)).pass);
};

describe('the pass', () => {
  it('turns when the camera is on its way home, not at a second look', () => {
    expect(walk([10, 20, 19, 20.5, 30, 28, 20])).toEqual([
      'out',
      'out',
      'out',
      'out',
      'out',
      'back',
      'back',
    ]);
  });
  it('stays back for a push that finds nothing new, and is out again on new ground', () => {
    expect(walk([30, 20, 25, 29, 31])).toEqual(['out', 'back', 'back', 'back', 'out']);
  });
});
