import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import * as fontkit from 'fontkit';
import { describe, expect, it } from 'vitest';
import { unpackWoff } from './unpack-woff';

const require = createRequire(import.meta.url);
const fileOf = (pack: string, set: string) =>
  require.resolve(`@fontsource/${pack}/files/${pack}-${set}-400-normal.woff`);

/** What a printer asks of a font. */
type Face = {
  readonly postscriptName: string;
  readonly unitsPerEm: number;
  readonly numGlyphs: number;
  readonly layout: (text: string) => { readonly advanceWidth: number };
  readonly glyphForCodePoint: (point: number) => { readonly path: { toSVG: () => string } };
};
const open = (bytes: Buffer) => fontkit.create(bytes) as unknown as Face;

describe('a font that is unpacked', () => {
  it.each([
    ['atkinson-hyperlegible-next', 'latin'],
    ['atkinson-hyperlegible-mono', 'latin'],
    ['noto-sans-arabic', 'arabic'],
  ])('is the same font: %s, %s', (pack, set) => {
    const packed = readFileSync(fileOf(pack, set));
    const [was, is] = [open(packed), open(unpackWoff(packed))];
    expect([is.postscriptName, is.unitsPerEm, is.numGlyphs]).toEqual([
      was.postscriptName,
      was.unitsPerEm,
      was.numGlyphs,
    ]);
    const text = set === 'arabic' ? 'سلام' : 'Roots at 57 ft';
    expect(is.layout(text).advanceWidth).toBe(was.layout(text).advanceWidth);
    const point = text.codePointAt(0)!;
    expect(is.glyphForCodePoint(point).path.toSVG()).toBe(
      was.glyphForCodePoint(point).path.toSVG(),
    );
  });

  it('must be a font of that kind', () => {
    expect(() => unpackWoff(Buffer.from('OTTO and more'))).toThrow(/expected a WOFF 1.0 font/);
  });
});
