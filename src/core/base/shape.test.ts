import { describe, expect, it } from 'vitest';
import {
  key,
  listOf,
  mapOf,
  number,
  object,
  oneOf,
  optional,
  orNull,
  type Shape,
  text,
  whole,
} from './shape';

describe('a shape', () => {
  it.each<[string, Shape, readonly unknown[], readonly unknown[]]>([
    ['text', text, ['', 'a'], [1, null, undefined, ['a']]],
    ['key', key, ['a'], ['', 0, null]],
    ['number', number(0, 10), [0, 2.5, 10], [-0.1, 10.1, NaN, Infinity, '3', null]],
    ['whole', whole(1, 3), [1, 3], [0, 4, 1.5, '2']],
    ['one of', oneOf(['in', 'ft']), ['in'], ['IN', null]],
    ['or null', orNull(text), [null, 'a'], [undefined, 1]],
    ['optional', optional(text), [undefined, 'a'], [null, 1]],
    ['list', listOf(key, 1, 2), [['a'], ['a', 'b']], [[], ['a', 'b', 'c'], ['a', ''], 'a', null]],
    ['map', mapOf(whole(1, 9)), [{}, { a: 1 }], [{ a: 0 }, [1], null]],
    ['object', object({ a: key }), [{ a: 'x' }, { a: 'x', b: 1 }], [{}, { a: '' }, [], null, 'a']],
  ])('%s takes what it should and nothing else', (_, shape, good, bad) => {
    expect(good.filter((value) => !shape(value))).toEqual([]);
    expect(bad.filter((value) => shape(value))).toEqual([]);
  });
});
