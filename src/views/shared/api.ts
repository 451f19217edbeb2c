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
  | { readonly state: 'unreachable' };

type ErrorBody = { error?: { code?: string; message?: string; faults?: Fault[] } };

/** Posts JSON, or text that already is JSON, to the API. Never throws. */
export async function postJson<T>(path: string, body: unknown): Promise<Sent<T>> {
  try {
    const response = await fetch(path, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: typeof body === 'string' ? body : JSON.stringify(body),
      keepalive: false,
    });
    const answer = (await response.json().catch(() => ({}))) as T & ErrorBody;
    if (response.ok) return { state: 'ok', value: answer };
    if (response.status >= 500 && response.status !== 501) return { state: 'unreachable' };
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
