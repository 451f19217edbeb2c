import { describe, expect, it } from 'vitest';
import { Refusal } from './answer';
import { readJson, readText } from './body';
import { BODY_LIMITS } from './limits';

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
