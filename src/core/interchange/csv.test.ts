import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { readCsv, readNumber, writeCsv } from './csv';

const cell = fc
  .string({ maxLength: 12, unit: fc.constantFrom(...Array.from('ab,;"\n\t\'=+-@ 1€')) })
  .map((text) => text.trim());

describe('CSV', () => {
  it('reads back what it wrote, whatever is in the cells', () => {
    fc.assert(
      fc.property(fc.array(fc.tuple(cell, cell, cell), { minLength: 1, maxLength: 6 }), (rows) => {
        const whole = rows.map(([a, b, c]) => ({ key: 'k', a, b, c }));
        const read = readCsv(writeCsv(['key', 'a', 'b', 'c'], whole));
        expect(read).toEqual({ ok: true, value: { columns: ['key', 'a', 'b', 'c'], rows: whole } });
      }),
      { numRuns: 500 },
    );
  });

  it.each(['=1+1', '+1', '-1', '@sum', "'=1"])(
    'lets no spreadsheet run %s, and leaves numbers alone',
    (text) => {
      const written = writeCsv(['a', 'n'], [{ a: text, n: -2.5 }]);
      expect(written.split('\r\n')[1]).toBe(`"'${text}",-2.5`);
    },
  );

  it.each<[string, string, RegExp]>([
    ['an empty file', ' \n', /an empty file/],
    ['two columns of one name', 'a,a\n1,2', /"a" twice/],
    ['an open quote', 'a,b\n"1,2', /quote/],
  ])('refuses %s', (_, text, got) => {
    const read = readCsv(text);
    expect(read.ok).toBe(false);
    if (!read.ok) expect(read.faults[0]!.got).toMatch(got);
  });

  it('takes semicolons, tabs and a byte order mark', () => {
    for (const text of ['\uFEFFa;b\n1;2', 'a\tb\n1\t2', 'a,b\r\n1,2\r\n'])
      expect(readCsv(text)).toMatchObject({ ok: true, value: { rows: [{ a: '1', b: '2' }] } });
  });
});

it.each([
  ['1,234.5', 1234.5],
  ['$90', 90],
  ['−2', -2],
  ['.5', 0.5],
  ['', null],
  ['1e5', null],
  ['ten', null],
])('%s is %s', (text, value) => {
  expect(readNumber(text)).toBe(value);
});
