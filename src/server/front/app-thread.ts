import { pathToFileURL } from 'node:url';
import inject from 'light-my-request';
import type { Done, Task } from './pool';
import { smaller } from './smaller';

/** The built app's own entry; the thread that takes connections says where it is. */
const { handler } = (await import(pathToFileURL(process.env['CHERT_ENTRY']!).href)) as {
  readonly handler: Parameters<typeof inject>[0];
};

/** Answers one request by the app, whole. */
export async function answerTask({ method, url, headers, body }: Task): Promise<Done> {
  const response = await inject(handler, {
    method: method as 'GET',
    url,
    headers: { ...headers },
    ...(body ? { payload: Buffer.from(body.buffer, body.byteOffset, body.byteLength) } : {}),
  });
  const done: Done = {
    status: response.statusCode,
    headers: plainHeaders(response.headers),
    body: new Uint8Array(response.rawPayload),
  };
  return smaller(done, headers['accept-encoding'] ?? '');
}

function plainHeaders(headers: object): Done['headers'] {
  return Object.fromEntries(
    Object.entries(headers)
      .filter(([, value]) => value !== undefined)
      .map(([name, value]) => [name, Array.isArray(value) ? value.map(String) : String(value)]),
  );
}
