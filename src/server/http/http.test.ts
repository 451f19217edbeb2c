import { afterEach, describe, expect, it } from 'vitest';
import { Refusal } from './answer';
import { BODY_LIMITS, readJson, readText } from './body';
import { isKnownHost, isOwnOrigin } from './guard';

const request = (headers: Record<string, string>, method = 'POST') =>
  new Request('http://127.0.0.1:4870/api/jobs', { method, headers });
const posted = (body: string | ReadableStream<Uint8Array>, type = 'application/json') =>
  new Request('http://127.0.0.1/', {
    method: 'POST',
    body,
    headers: { 'content-type': type },
    duplex: 'half',
  } as RequestInit);
const refusal = async (reading: Promise<unknown>) => {
  const error: unknown = await reading.then(
    () => null,
    (thrown: unknown) => thrown,
  );
  expect(error).toBeInstanceOf(Refusal);
  return error as Refusal;
};

afterEach(() => {
  delete process.env['CHERT_ORIGIN'];
});

describe('who may ask', () => {
  it.each<[string, string, boolean]>([
    ['127.0.0.1:4870', '', true],
    ['localhost:4870', '', true],
    ['[::1]:4870', '', true],
    ['evil.example:4870', '', false],
    ['scope.example', 'https://scope.example', true],
    ['other.example', 'https://scope.example', false],
  ])('host %s with CHERT_ORIGIN "%s": %s', (host, origin, known) => {
    if (origin) process.env['CHERT_ORIGIN'] = origin;
    expect(isKnownHost(request({ host }))).toBe(known);
  });

  it.each<[Record<string, string>, boolean]>([
    [{ host: '127.0.0.1:4870', origin: 'http://127.0.0.1:4870' }, true],
    [{ host: '127.0.0.1:4870', origin: 'http://127.0.0.1:9999' }, false],
    [{ host: '127.0.0.1:4870', origin: 'https://evil.example' }, false],
    [{ host: '127.0.0.1:4870', origin: 'null' }, false],
    [{ host: '127.0.0.1:4870' }, true],
    [{ host: '127.0.0.1:4870', 'sec-fetch-site': 'cross-site' }, false],
  ])('writing with %j: %s', (headers, own) => {
    expect(isOwnOrigin(request(headers))).toBe(own);
    expect(isOwnOrigin(request(headers, 'GET'))).toBe(true);
  });
});

describe('bodies', () => {
  it('stops reading a body that grows over its limit, whatever length it claims', async () => {
    let sent = 0;
    const endless = new ReadableStream<Uint8Array>({
      pull(controller) {
        sent += 65_536;
        controller.enqueue(new Uint8Array(65_536));
      },
    });
    expect((await refusal(readText(posted(endless), BODY_LIMITS.record))).status).toBe(413);
    expect(sent).toBeLessThan(BODY_LIMITS.record + 500_000);
  });

  it.each<[string, string, number]>([
    ['{"a":', 'application/json', 400],
    ['{}', 'text/plain', 415],
  ])('refuses %s as %s with %i and stores nothing', async (body, type, status) => {
    const error = await refusal(readJson(posted(body, type), BODY_LIMITS.record));
    expect(error.status).toBe(status);
    expect(error.message).toContain('Nothing was stored');
  });

  it('reads what is right', async () => {
    expect(await readJson(posted('{"a":1}'), BODY_LIMITS.record)).toEqual({ a: 1 });
  });
});
