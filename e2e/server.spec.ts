import { readFileSync } from 'node:fs';
import { createConnection } from 'node:net';
import { type APIRequestContext, expect } from '@playwright/test';
import { ownServer } from './own-server';
import { OWN_PORT } from './server-env';
import { test } from './test';

const JSON_TYPE = { 'content-type': 'application/json' };
const note = (id: string, changes: Record<string, unknown> = {}) => ({
  id,
  at: '2026-11-03T09:00:00-08:00',
  pass: 'out',
  readingFt: 1,
  kind: 'note',
  note: 'x',
  ...changes,
});
type Faults = {
  error: {
    code: string;
    message: string;
    faults: { path: string; expected: string; got: string }[];
  };
};

test.describe('bad input', () => {
  const ENTRIES = '/api/jobs/demo-alder-bend/runs/R1/entries';
  const cases: [string, string, string | Buffer, number, string][] = [
    ['wrong JSON', ENTRIES, '{"entries":', 400, ''],
    ['no list', ENTRIES, '{}', 400, 'entries: expected a list of 1 to 1000 entries, got nothing'],
    [
      'an unknown kind',
      ENTRIES,
      JSON.stringify({ entries: [note('x', { kind: 'blob' })] }),
      400,
      'entries[0].kind: expected one of flag',
    ],
    [
      'a negative reading',
      ENTRIES,
      JSON.stringify({ entries: [note('x', { readingFt: -2 })] }),
      400,
      'entries[0].readingFt: expected a number of 0 or more, got -2',
    ],
    [
      'a ratio below 0',
      ENTRIES,
      JSON.stringify({
        entries: [note('x', { kind: 'defect', defect: 'roots', extentRatio: -3 })],
      }),
      400,
      'entries[0].extentRatio: expected a number of 0 or more, got -3',
    ],
    [
      'text where a number goes',
      ENTRIES,
      JSON.stringify({ entries: [note('x', { readingFt: '9' })] }),
      400,
      'entries[0].readingFt: expected a number, got "9"',
    ],
    [
      'a correction of nothing',
      ENTRIES,
      JSON.stringify({ entries: [note('x', { replaces: 'nix' })] }),
      400,
      'entries[0].replaces: expected the id of another entry of this run, got "nix"',
    ],
    [
      'a run that is not there',
      '/api/jobs/demo-alder-bend/runs/R9/entries',
      JSON.stringify({ entries: [note('x')] }),
      404,
      '',
    ],
    ['a job that is not there', '/api/jobs/nix/runs', '{}', 404, ''],
    ['a booking of nothing', '/api/jobs', '{}', 400, 'address: expected a value here, got nothing'],
    ['a booking of null', '/api/jobs', 'null', 400, ''],
    [
      'a file of a later version',
      '/api/jobs/import',
      '{"format":"chert-inspection","version":7}',
      400,
      'version: expected 1, got 7',
    ],
    ['20 MB', '/api/jobs/import', Buffer.alloc(20 * 1024 * 1024, 0x20), 413, ''],
    ['20 MB of entries', ENTRIES, Buffer.alloc(20 * 1024 * 1024, 0x20), 413, ''],
    ['an address that is not there', '/api/nix', '{}', 404, ''],
  ];
  for (const [name, path, data, status, fault] of cases) {
    test(`${name}: ${status}, in the one shape, without a trace of the inside`, async ({
      request,
    }) => {
      const response = await request.post(path, { headers: JSON_TYPE, data });
      expect(response.status()).toBe(status);
      const { error } = (await response.json()) as Faults;
      expect(error.message.length).toBeGreaterThan(10);
      expect(
        error.faults
          .map(({ path: at, expected, got }) => `${at}: expected ${expected}, got ${got}`)
          .join('\n'),
      ).toContain(fault);
      expect(JSON.stringify(error)).not.toMatch(/node_modules|\bat \w+ \(|\.ts:\d/);
      expect(response.headers()['x-content-type-options']).toBe('nosniff');
    });
  }

  test('edits of a job are refused by path; nothing is stored', async ({ request }) => {
    const edits = [{ path: ['property', 'yearBuilt'], value: 'old' }];
    const saidAt = '2026-11-03T09:00:00Z';
    const patch = (data: object) => request.patch('/api/jobs/demo-alder-bend', { data });
    const bad = await patch({ id: 'x', device: 'd', saidAt, base: 1, edits });
    expect(bad.status()).toBe(400);
    const { error } = (await bad.json()) as Faults;
    expect(error.faults[0]!.path).toBe('property.yearBuilt');
    expect((await patch({ edits })).status()).toBe(400);
    expect(
      (
        await request.patch('/api/jobs/nix', {
          data: { id: 'x', device: 'd', saidAt, base: 1, edits },
        })
      ).status(),
    ).toBe(404);
  });

  test('other methods, other types, other hosts and other sites are refused', async ({
    request,
  }) => {
    expect((await request.delete('/api/jobs')).status()).toBe(405);
    expect(
      (
        await request.post('/api/jobs', { data: 'x', headers: { 'content-type': 'text/plain' } })
      ).status(),
    ).toBe(415);
    expect((await request.get('/api/health', { headers: { host: 'evil.example' } })).status()).toBe(
      421,
    );
    expect(
      (
        await request.post('/api/jobs', {
          data: '{}',
          headers: { ...JSON_TYPE, origin: 'https://evil.example' },
        })
      ).status(),
    ).toBe(403);
  });

  test('pages carry the security headers', async ({ request }) => {
    const headers = (await request.get('/')).headers();
    expect(headers['content-security-policy']).toContain("default-src 'self'");
    expect(headers['content-security-policy']).toContain("frame-ancestors 'none'");
    expect(headers['content-security-policy']).not.toContain('unsafe');
    expect(headers['x-frame-options']).toBe('DENY');
    expect(headers['referrer-policy']).toBe('same-origin');
  });
});

test.describe('what was acknowledged', () => {
  const server = ownServer(OWN_PORT.acknowledged);
  const { base } = server;
  test.beforeEach(server.reset);
  test.afterEach(server.end);

  async function idsAfterRestart(request: APIRequestContext): Promise<string[]> {
    await server.start();
    const file = (await (await request.get(`${base}/api/jobs/demo-quarry-lane/file`)).json()) as {
      runs: { entries: { id: string }[] }[];
    };
    return file.runs[0]!.entries.map(({ id }) => id).filter((id) => id.startsWith('k'));
  }

  test('survives a process killed right after each acknowledgement; sent twice is stored once', async ({
    request,
  }) => {
    await server.start();
    await request.post(`${base}/api/jobs/import`, {
      headers: JSON_TYPE,
      data: readFileSync('demo/quarry-lane.chert.json', 'utf8'),
    });
    const path = `${base}/api/jobs/demo-quarry-lane/runs/R1/entries`;
    for (let round = 1; round <= 4; round += 1) {
      const entries = [note(`k${round}a`), note(`k${round}b`)];
      for (const _ of [1, 2])
        expect((await request.post(path, { headers: JSON_TYPE, data: { entries } })).ok()).toBe(
          true,
        );
      await server.kill();
      const expected = Array.from({ length: round }, (_, index) => [
        `k${index + 1}a`,
        `k${index + 1}b`,
      ]).flat();
      expect(await idsAfterRestart(request)).toEqual(expected);
    }
  });

  test('a request cut off in the middle stores nothing and harms nothing', async ({ request }) => {
    await server.start();
    await request.post(`${base}/api/jobs/import`, {
      headers: JSON_TYPE,
      data: readFileSync('demo/quarry-lane.chert.json', 'utf8'),
    });
    const body = JSON.stringify({ entries: [note('k1')] });
    await new Promise<void>((resolve) => {
      const socket = createConnection(server.port, '127.0.0.1', () => {
        const head = `POST /api/jobs/demo-quarry-lane/runs/R1/entries HTTP/1.1\r\nHost: 127.0.0.1:${server.port}\r\nContent-Type: application/json\r\nContent-Length: ${body.length}\r\n\r\n`;
        socket.write(head + body.slice(0, -10), () => {
          socket.destroy();
          resolve();
        });
      });
    });
    expect((await request.get(`${base}/api/health`)).ok()).toBe(true);
    await server.kill();
    expect(await idsAfterRestart(request)).toEqual([]);
  });
});
