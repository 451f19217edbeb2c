import { describe, expect, it } from 'vitest';
import { tellAge } from './kept-page';

const HTML = '<html><body class="a"><main>Jobs</main></body></html>';
const kept = (headers: Record<string, string> = { date: 'Tue, 03 Nov 2026 17:05:00 GMT' }) =>
  new Response(HTML, { headers: { 'content-length': '53', 'x-other': 'stays', ...headers } });

describe('a page that was kept', () => {
  it.each(['/', '/jobs/a/report', '/jobs/a/issued/2'])('%s says of when it is', async (path) => {
    const shown = await tellAge(path, kept());
    const html = await shown.text();
    expect(html).toMatch(
      /^<html><body class="a"><p class="kept-page" role="status">The server does not answer\. This page is from Tue 3 Nov, \d+:\d\d [ap]m: /,
    );
    expect(html).toContain('</p><main>Jobs</main>');
    expect(shown.headers.get('content-length')).toBeNull();
    expect(shown.headers.get('x-other')).toBe('stays');
  });
  it.each(['/jobs/a/scope', '/jobs/a/site', '/jobs/a/findings'])(
    '%s is brought up to date by the device, and says nothing',
    async (path) => {
      expect(await (await tellAge(path, kept())).text()).toBe(HTML);
    },
  );
  it('says nothing where nobody knows of when it is', async () => {
    expect(await (await tellAge('/', kept({}))).text()).toBe(HTML);
  });
});
