import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { isCanonicalPath, readTarget } from './request-path';

describe('a path', () => {
  it.each([
    '/',
    '/outbox',
    '/jobs/demo-alder-bend/scope',
    '/jobs/demo-alder-bend/scope/',
    '/r/abc_DEF-123',
    '/r/abc/still-a%20b',
    '/api/jobs/j/files/job.zip',
    '/_astro/Page.B1x2~.css',
    '/jobs/caf%C3%A9',
    "/jobs/it's",
    '/jobs/a:b@c',
  ])('%s is canonical', (path) => {
    expect(isCanonicalPath(path)).toBe(true);
  });

  it.each([
    '',
    '*',
    'outbox',
    'http://127.0.0.1:4870/outbox',
    '//evil.example/outbox',
    '/r//outbox',
    '/r/../outbox',
    '/r/./outbox',
    '/r/..',
    '/r/.',
    '/r/..;/outbox',
    '/r/..;x=1/outbox',
    '/r/..%20/outbox',
    '/r/%20..',
    '/r/%2e%2e/outbox',
    '/r/%2E./outbox',
    '/r/.%2e/outbox',
    '/r/..%2foutbox',
    '/r%2f..%2foutbox',
    '/r/x%2f..%2f..%2foutbox',
    '/r/%252e%252e/outbox',
    '/r/%25',
    '/r/..\\outbox',
    '/r/\\..\\outbox',
    '/r/..%5coutbox',
    '/r/..%5Coutbox',
    '/\\evil.example',
    '/%6futbox',
    '/out%62ox',
    '/outbox%00',
    '/out\tbox',
    '/out%0abox',
    '/outbox%7f',
    '/outbox%c2%85',
    '/%',
    '/%zz',
    '/%c3',
    '/a b',
    '/a"b',
    '/a<b',
    '/é',
  ])('%s is not', (path) => {
    expect(isCanonicalPath(path)).toBe(false);
  });

  it('that is canonical is served as it was judged, however it is resolved or decoded', () => {
    const piece = fc.constantFrom(
      '.',
      '..',
      '%2e',
      '%2E',
      '%2f',
      '%5c',
      '\\',
      '/',
      '//',
      '%25',
      'r',
      'a',
      '%c3%a9',
    );
    fc.assert(
      fc.property(fc.array(piece, { maxLength: 9 }), (pieces) => {
        const path = `/${pieces.join('')}`;
        if (!isCanonicalPath(path)) return;
        expect(new URL(path, 'http://x').pathname).toBe(path);
        const decoded = decodeURIComponent(path);
        expect(new URL(decoded, 'http://x').pathname.split('/')).toHaveLength(
          path.split('/').length,
        );
        expect(decoded).not.toMatch(/[\\%]|\/\/|\/\.{1,2}(\/|$)/);
      }),
      { numRuns: 2_000 },
    );
  });

  it('is read apart from its query, which may hold anything that a line can', () => {
    expect(readTarget('/jobs?q=%../..\\x?y')).toEqual({ path: '/jobs', search: '?q=%../..\\x?y' });
    expect(readTarget('/jobs?')).toEqual({ path: '/jobs', search: '?' });
    expect(readTarget('/jobs#x')).toBeNull();
    expect(readTarget('/jobs/..?x')).toBeNull();
  });
});
