import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { plainData, plainText } from './plain-text';

describe('hidden characters', () => {
  it.each<[string, string, string]>([
    ['a right-to-left override', 'R. \u202Eenod', 'R. [U+202E]enod'],
    ['an isolate', '\u2067x\u2069', '[U+2067]x[U+2069]'],
    ['a bell and an escape', 'a\u0007b\u001b[31m', 'a[U+0007]b[U+001B][31m'],
    ['an invisible space', 'a\u200bb', 'a[U+200B]b'],
    ['a lone return', 'a\rb\r\nc', 'a\nb\nc'],
  ])('%s are shown, not obeyed', (_, text, shown) => {
    expect(plainText(text)).toBe(shown);
    expect(plainText(shown)).toBe(shown);
  });

  it.each(['Nguyễn Thị Hồng', '王小明', 'Иван', 'שלום', 'محمد', '8 ft 3″', 'a\tb\nc', 'क्‍ष', '👩‍🔧'])(
    '“%s” has none',
    (text) => expect(plainText(text)).toBe(text),
  );

  it('are shown however deep they are, and plain data stays the very same', () => {
    const data = { a: [{ b: 'x\u202e' }], '\u0000k': 1, n: null };
    expect(plainData({ id: 'x\u202e', runIds: ['\u202e'] })).toEqual({
      id: 'x\u202e',
      runIds: ['\u202e'],
    });
    expect(plainData(data)).toEqual({ a: [{ b: 'x[U+202E]' }], '[U+0000]k': 1, n: null });
    fc.assert(
      fc.property(fc.jsonValue(), (value) => {
        const plain = plainData(value);
        expect(plainData(plain)).toBe(plain);
        // eslint-disable-next-line no-control-regex -- looked for in what was made of them
        expect(/[\u0000-\u0008\u202a-\u202e]/.test(JSON.stringify(plain).replace(/\\u/g, ''))).toBe(
          false,
        );
      }),
    );
  });
});
