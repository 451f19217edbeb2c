import { describe, expect, it } from 'vitest';
import { sayFault } from './fault';
import { countJsonValues, FILE_LIMITS, findLimitFaults } from './limits';

const zeros = (length: number) => new Array<number>(length).fill(0);
const nested = (depth: number) => {
  let value: unknown = 0;
  for (let level = 0; level < depth; level += 1) value = [value];
  return value;
};
const said = (value: unknown) => findLimitFaults(value).map(sayFault);

describe('a value that is too large', () => {
  it.each<[string, unknown, string]>([
    ['a list', { x: zeros(10_001) }, 'x: expected a list of at most 10,000, got 10,001'],
    [
      'a list with a limit of its own',
      { property: { history: zeros(501) } },
      'property.history: expected a list of at most 500, got 501',
    ],
    [
      'a list inside a list',
      { runs: [{ entries: [{ photoIds: zeros(201) }] }] },
      'runs[0].entries[0].photoIds: expected a list of at most 200, got 201',
    ],
    [
      'depth',
      nested(FILE_LIMITS.depth + 1),
      'expected at most 24 lists and objects in one another, got more',
    ],
    [
      'a text',
      { job: { title: 'x'.repeat(100_001) } },
      'job.title: expected text of at most 100,000 characters, got 100,001',
    ],
    [
      'half a character',
      { job: { id: 'a\ud83d' } },
      'job.id: expected text of whole characters, got half of a character',
    ],
    [
      'a name',
      { ['n'.repeat(501)]: 1 },
      'expected names of at most 500 whole characters, got one of 501',
    ],
    [
      'half a character in a name',
      { 'a\udc00': 1 },
      'expected names of at most 500 whole characters',
    ],
    [
      'fields',
      Object.fromEntries(zeros(20_001).map((_, index) => [index, 0])),
      'expected an object of at most 20,000 fields, got 20,001',
    ],
    [
      'values',
      zeros(60).map(() => zeros(9_999).map(() => zeros(3))),
      'expected at most 1,500,000 values, got more',
    ],
  ])('%s is refused with its number', (_, value, expected) => {
    expect(said(value).join('\n')).toContain(expected);
  });

  it('and no other', () => {
    expect(said({ runs: [{ entries: zeros(100_000) }], later: nested(20) })).toEqual([]);
    expect(said(nested(FILE_LIMITS.depth - 1))).toEqual([]);
    expect(said('whole 😀 characters')).toEqual([]);
  });

  it.each<[unknown, number]>([
    [[1, 2, 3], 4],
    [{ a: [{}], 'b,[{"\\': 'c,,[{\\"' }, 5],
    ['x', 1],
  ])('is counted without being read: %j', (value, values) => {
    expect(countJsonValues(JSON.stringify(value))).toBe(values);
  });

  it('is told twenty times at most', () => {
    expect(said(zeros(9_000).map(() => '\ud800'))).toHaveLength(20);
  });
});
