import type { Fault } from '#core/base/fault';

/** What became of a request: an answer, a refusal that will not change, or no way through. */
export type Sent<T> =
  | { readonly state: 'ok'; readonly value: T }
  | {
      readonly state: 'refused';
      readonly code: string;
      readonly message: string;
      readonly faults: readonly Fault[];
    }
  /** `why` when the server itself said that it cannot store just now. */
  | { readonly state: 'unreachable'; readonly why?: string };

type ErrorBody = { error?: { code?: string; message?: string; faults?: Fault[] } };

/** Sends a request and reads its answer. Never throws. */
async function send<T>(path: string, init: RequestInit): Promise<Sent<T>> {
  try {
    const response = await fetch(path, init);
    const answer = (await response.json().catch(() => ({}))) as T & ErrorBody;
    if (response.ok) return { state: 'ok', value: answer };
    if (response.status >= 500 && response.status !== 501) {
      const why = response.status === 507 ? answer.error?.message : undefined;
      return { state: 'unreachable', ...(why ? { why } : {}) };
    }
    return {
      state: 'refused',
      code: answer.error?.code ?? String(response.status),
      message: answer.error?.message ?? `The server answered ${response.status}.`,
      faults: answer.error?.faults ?? [],
    };
  } catch {
    return { state: 'unreachable' };
  }
}

/** Sends JSON, or text that already is JSON, to the API. */
export function sendJson<T>(
  method: 'POST' | 'PUT' | 'DELETE',
  path: string,
  body: unknown = {},
): Promise<Sent<T>> {
  return send<T>(path, {
    method,
    headers: { 'content-type': 'application/json' },
    body: typeof body === 'string' ? body : JSON.stringify(body),
  });
}

export const postJson = <T>(path: string, body: unknown) => sendJson<T>('POST', path, body);

/** Sends a file as it is. */
export function putBytes(path: string, blob: Blob): Promise<Sent<unknown>> {
  const type = blob.type || 'application/octet-stream';
  return send(path, { method: 'PUT', headers: { 'content-type': type }, body: blob });
}

/** Sends a zip. */
export const postZip = <T>(path: string, file: Blob) =>
  send<T>(path, { method: 'POST', headers: { 'content-type': 'application/zip' }, body: file });
