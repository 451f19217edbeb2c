import { expect, it } from 'vitest';
import { MAYBE_NUMBER } from './settings-fields';

it.each([
  ['', undefined],
  [null, undefined],
  [undefined, undefined],
  ['62', 62],
  [0, 0],
  ['x', NaN],
])('a number that may be left empty: %j is %s', (said, number) => {
  expect(MAYBE_NUMBER.setValueAs(said)).toBe(number);
});
