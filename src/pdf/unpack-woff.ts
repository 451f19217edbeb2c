import { inflateSync } from 'node:zlib';

/** Sizes of WOFF 1.0 (W3C, 2012) and of the OpenType font that it packs, bytes. */
const WOFF_HEAD = 44;
const WOFF_ENTRY = 20;
const SFNT_HEAD = 12;
const SFNT_ENTRY = 16;

const padded = (length: number) => Math.ceil(length / 4) * 4;

type Table = { readonly tag: number; readonly checksum: number; readonly bytes: Buffer };

/** The tables of a WOFF file, each inflated. */
function tablesOf(woff: Buffer): Table[] {
  const count = woff.readUInt16BE(12);
  return Array.from({ length: count }, (_, index) => {
    const at = WOFF_HEAD + index * WOFF_ENTRY;
    const offset = woff.readUInt32BE(at + 4);
    const packedLength = woff.readUInt32BE(at + 8);
    const length = woff.readUInt32BE(at + 12);
    const packed = woff.subarray(offset, offset + packedLength);
    // A table that did not get smaller is stored as it is.
    const bytes = packedLength < length ? inflateSync(packed) : packed;
    return { tag: woff.readUInt32BE(at), checksum: woff.readUInt32BE(at + 16), bytes };
  });
}

/**
 * The OpenType font in a WOFF file. The printer looks glyphs up one by one, and inflates the whole table for each
 * while the file is packed.
 *
 * @throws when the file is no WOFF 1.0.
 */
export function unpackWoff(woff: Buffer): Buffer {
  if (woff.toString('latin1', 0, 4) !== 'wOFF')
    throw new Error('expected a WOFF 1.0 font, got another file');
  const tables = tablesOf(woff).toSorted((a, b) => a.tag - b.tag);
  const selector = Math.floor(Math.log2(tables.length));
  const range = 2 ** selector * 16;
  const head = Buffer.alloc(SFNT_HEAD + tables.length * SFNT_ENTRY);
  woff.copy(head, 0, 4, 8);
  head.writeUInt16BE(tables.length, 4);
  head.writeUInt16BE(range, 6);
  head.writeUInt16BE(selector, 8);
  head.writeUInt16BE(tables.length * 16 - range, 10);
  let offset = head.length;
  const bodies = tables.map(({ tag, checksum, bytes }, index) => {
    const at = SFNT_HEAD + index * SFNT_ENTRY;
    head.writeUInt32BE(tag, at);
    head.writeUInt32BE(checksum, at + 4);
    head.writeUInt32BE(offset, at + 8);
    head.writeUInt32BE(bytes.length, at + 12);
    offset += padded(bytes.length);
    return Buffer.concat([bytes], padded(bytes.length));
  });
  return Buffer.concat([head, ...bodies]);
}
