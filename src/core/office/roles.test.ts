import { describe, expect, it } from 'vitest';
import { hasRight, type Right, RIGHTS, rightToSet, type Role, ROLES } from './roles';

/** By hand: what each may do on any job (●), on their own alone (○), or not. */
const TABLE = `
          owner office inspector reader
open      ●     ●      ●         ●
read      ●     ●      ●         ●
book      ●     ●      ●         ·
agree     ●     ●      ○         ·
log       ●     ·      ○         ·
send      ●     ●      ○         ·
mail      ●     ●      ○         ·
own       ●     ●      ●         ●
set       ●     ●      ●         ·
firm      ●     ●      ·         ·
people    ●     ·      ·         ·
`;
const [head = [], ...rows] = TABLE.trim()
  .split('\n')
  .map((line) => line.trim().split(/\s+/));
const cases = rows.flatMap(([right, ...marks]) =>
  marks.map((mark, index) => [head[index] as Role, right as Right, mark] as const),
);

describe('who may do what', () => {
  it('is said of every role and right', () => {
    expect(cases).toHaveLength(ROLES.length * RIGHTS.length);
  });
  it.each(cases)('%s, %s: %s', (role, right, mark) => {
    expect(hasRight(role, right, true)).toBe(mark !== '·');
    expect(hasRight(role, right, false)).toBe(mark === '●');
  });
  it('grades are the inspector’s, what was agreed the office’s', () => {
    const paths: readonly (readonly [string, 'agree' | 'log'])[] = [
      ['job client', 'agree'],
      ['job scheduledFor', 'agree'],
      ['job assignedTo', 'agree'],
      ['property yearBuilt', 'agree'],
      ['accessPoints A1', 'agree'],
      ['job profile', 'log'],
      ['job responsibility', 'log'],
      ['decisions D1', 'log'],
      ['runs R1 head', 'log'],
      ['settings thresholds', 'log'],
      ['lines L', 'log'],
      ['', 'log'],
    ];
    for (const [path, right] of paths) expect(rightToSet(path.split(' '))).toBe(right);
  });
});
