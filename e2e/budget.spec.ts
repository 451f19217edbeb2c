import { existsSync, readFileSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { expect } from '@playwright/test';
import { test } from './test';

const CLIENT = 'dist/client';
const KB = 1024;

/** Scripts that a page asks for before it is alive: its parts, and all that these import by themselves. */
function scriptsOf(html: string): Set<string> {
  const scripts = new Set<string>();
  const add = (path: string) => {
    if (scripts.has(path)) return;
    scripts.add(path);
    const source = readFileSync(join(CLIENT, path), 'utf8');
    for (const [, name] of source.matchAll(/(?:from|import)\s*"\.\/([^"]+\.js)"/g))
      add(`/_astro/${name}`);
  };
  for (const [, path] of html.matchAll(/"(\/_astro\/[^"]+\.js)"/g)) add(path!);
  return scripts;
}

/** What may be sent of script before a page is alive, kB as gzip; what is over it has to be earned or left out. */
const BUDGETS: readonly (readonly [string, number])[] = [
  ['scope', 273],
  ['look', 290],
  ['report', 276],
  ['repairs', 250],
  ['lateral', 230],
  ['findings', 251],
  ['site', 218],
  ['observations', 242],
];

for (const [page, mostKb] of BUDGETS)
  test(`the script of ${page} is no more than ${mostKb} kB`, async ({ request }) => {
    const answer = await request.get(`/jobs/demo-alder-bend/${page}`);
    const html = await answer.text();
    expect(answer.headers()['content-encoding']).toMatch(/^(br|gzip)$/);
    const sizes = [...scriptsOf(html)].map((path) => {
      const file = join(CLIENT, path);
      // What is small already is sent as it is.
      return statSync(existsSync(`${file}.gz`) ? `${file}.gz` : file).size;
    });
    expect(sizes.length).toBeGreaterThan(3);
    expect(Math.round(sizes.reduce((sum, size) => sum + size, 0) / KB)).toBeLessThanOrEqual(mostKb);
  });

test('files are sent as small as the browser takes them', async ({ request }) => {
  const html = await (await request.get('/jobs/demo-alder-bend/scope')).text();
  const [script] = scriptsOf(html);
  for (const encoding of ['br', 'gzip']) {
    const answer = await request.get(script!, { headers: { 'accept-encoding': encoding } });
    expect(answer.headers()['content-encoding']).toBe(encoding);
  }
  const plain = await request.get(script!, { headers: { 'accept-encoding': 'identity' } });
  expect(plain.headers()['content-encoding']).toBeUndefined();
});
