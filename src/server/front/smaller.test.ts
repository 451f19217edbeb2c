import { brotliDecompressSync, gunzipSync } from 'node:zlib';
import { describe, expect, it } from 'vitest';
import type { Done } from './pool';
import { smaller } from './smaller';

const page = (text: string, headers: Done['headers'] = {}): Done => ({
  status: 200,
  headers: { 'content-type': 'text/html', 'content-length': '9', ...headers },
  body: new TextEncoder().encode(text),
});
const LONG = 'what lies near '.repeat(500);

describe('an answer as it is sent', () => {
  it.each<[string, string, (bytes: Uint8Array) => Buffer]>([
    ['gzip, br', 'br', brotliDecompressSync],
    ['gzip', 'gzip', gunzipSync],
  ])('is made smaller where the browser takes %s', async (accepted, encoding, open) => {
    const { headers, body } = await smaller(page(LONG), accepted);
    expect(headers).toMatchObject({ 'content-encoding': encoding, vary: 'accept-encoding' });
    expect(headers).not.toHaveProperty('content-length');
    expect(body.byteLength).toBeLessThan(LONG.length / 5);
    expect(open(body).toString('utf8')).toBe(LONG);
  });

  it.each<[string, Done, string]>([
    ['nobody takes it', page(LONG), ''],
    ['it is short', page('short'), 'br'],
    ['it is small already', page(LONG, { 'content-type': 'application/pdf' }), 'br'],
    ['somebody packed it', page(LONG, { 'content-encoding': 'gzip' }), 'br'],
  ])('stays as it is where %s', async (_, done, accepted) => {
    expect(await smaller(done, accepted)).toBe(done);
  });
});
