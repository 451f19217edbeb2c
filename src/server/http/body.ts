import { sayGot } from '#core/base/fault';
import { Refusal } from './answer';
import { BODY_LIMITS, MEGABYTE } from './limits';

/** Reads a request's body, stopping as soon as it grows over the limit. */
export async function readBytes(request: Request, limitBytes: number): Promise<Buffer> {
  const tooLarge = () =>
    new Refusal(
      413,
      'too-large',
      `Expected at most ${limitBytes / MEGABYTE} MB, got more. Nothing was stored; send less at once.`,
    );
  if (Number(request.headers.get('content-length') ?? 0) > limitBytes) throw tooLarge();
  if (!request.body) return Buffer.alloc(0);
  const chunks: Uint8Array[] = [];
  let size = 0;
  for await (const chunk of request.body as unknown as AsyncIterable<Uint8Array>) {
    size += chunk.byteLength;
    if (size > limitBytes) throw tooLarge();
    chunks.push(chunk);
  }
  return Buffer.concat(chunks);
}

/** Reads a request's body as text. */
export const readText = async (request: Request, limitBytes: number): Promise<string> =>
  textOf(await readBytes(request, limitBytes));

function textOf(bytes: Uint8Array): string {
  try {
    return new TextDecoder('utf-8', { fatal: true }).decode(bytes);
  } catch {
    throw new Refusal(400, 'bad-input', 'Expected UTF-8 text. Nothing was stored.');
  }
}

/** Reads a request's body as JSON. */
export async function readJson(request: Request, limitBytes: number): Promise<unknown> {
  const type = request.headers.get('content-type') ?? '';
  refuseOtherType(type);
  return parseJson(await readBytes(request, limitBytes));
}

/** Refuses what does not say that it is JSON. */
export function refuseOtherType(type: string): void {
  if (!/^application\/json\b/i.test(type)) {
    throw new Refusal(
      415,
      'bad-type',
      `Expected content-type application/json, got ${type || 'nothing'}. Nothing was stored.`,
    );
  }
}

/** Reads bytes as JSON. */
export function parseJson(bytes: Uint8Array): unknown {
  const text = textOf(bytes);
  try {
    return JSON.parse(text) as unknown;
  } catch (error) {
    const got = error instanceof Error ? error.message : 'something else';
    throw new Refusal(400, 'bad-json', `Expected JSON, got: ${got}. Nothing was stored.`);
  }
}

/** Reads a request's body as a JSON object. */
export async function readObject(request: Request): Promise<object> {
  const body = await readJson(request, BODY_LIMITS.record);
  if (body !== null && typeof body === 'object' && !Array.isArray(body)) return body;
  throw new Refusal(
    400,
    'bad-input',
    `Expected an object, got ${sayGot(body)}. Nothing was stored.`,
  );
}
