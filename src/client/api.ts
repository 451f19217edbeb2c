import type { Fault } from '#core/base/fault';
import { noteServerTime } from './clock';

/** Who answered, and the time there. */
export type Stamp = { readonly installation: string; readonly era: string; readonly at: string };

/** What became of a request: an answer of Chert's, a refusal that will not change, or no way through. */
export type Sent<T> =
  | { readonly state: 'ok'; readonly value: T; readonly stamp: Stamp }
  | {
      readonly state: 'refused';
      readonly code: string;
      readonly message: string;
      readonly faults: readonly Fault[];
    }
  /** Chert answered, but not with what was asked: it is tried again. `why` says what stands in the way. */
  | { readonly state: 'later'; readonly code: string; readonly why: string }
  /** Another Chert answers at this address than the one that was meant. */
  | { readonly state: 'elsewhere' }
  /** Nothing answered, or something that is not Chert: a login page of a network on the way. */
  | { readonly state: 'unreachable'; readonly why?: string };

type ErrorBody = { readonly code: string; readonly message: string; readonly faults: Fault[] };
type Body = { readonly chert?: Partial<Stamp> | null; readonly error?: Partial<ErrorBody> };

/** The answers that are final: sent again as it is, the same thing would be refused again. */
const FINAL = new Set([400, 409, 413, 415]);
/** The code by which a server says that it is not the one that was meant. */
const OTHER_INSTALLATION = 'other-installation';
/** How long an answer may take before the way through counts as shut, ms: printing takes longest. */
const PATIENCE_MS = 150_000;
/** The same for what a device keeps and sends again: a request that hangs must not hold up the others. */
const SENDING_PATIENCE_MS = 20_000;

const LOGIN_PAGE =
  'Something other than Chert answers here, such as the login page of a Wi-Fi. Open any web page to log in to it, or use another network.';

async function read(response: Response): Promise<Body | null> {
  const body: unknown = await response.json().catch(() => null);
  return body !== null && typeof body === 'object' && !Array.isArray(body) ? body : null;
}

/** Reads the answer to a request: only Chert's own shape counts. */
function judge<T>(response: Response, body: Body | null, meant: string | undefined): Sent<T> {
  const { installation, era, at } = body?.chert ?? {};
  const error = body?.error;
  const isOurs =
    typeof installation === 'string' && typeof era === 'string' && typeof at === 'string';
  if (!isOurs) {
    // A server whose database is gone cannot say who it is; what it says is told all the same.
    const why = error && typeof error.message === 'string' ? error.message : LOGIN_PAGE;
    return { state: 'unreachable', why };
  }
  if (error?.code === OTHER_INSTALLATION || (meant !== undefined && installation !== meant))
    return { state: 'elsewhere' };
  if (response.ok && !error)
    return { state: 'ok', value: body as T, stamp: { installation, era, at } };
  const {
    code = '',
    message = `The server answered ${response.status}.`,
    faults = [],
  } = error ?? {};
  return error && FINAL.has(response.status)
    ? { state: 'refused', code, message, faults }
    : { state: 'later', code, why: message };
}

/** What this device holds that was not sent, as each contact reports it; `null` before it was looked at. */
let heldReport: string | null = null;

/** Has each contact from now on report how much this device holds, and since when. */
export function reportHeld(count: number, since: string | null): void {
  heldReport = count > 0 && since !== null ? `${count} ${since}` : String(count);
}

/** A device that was signed out from elsewhere goes where it hands over what it holds, and forgets the rest. */
const DEVICE_ENDED = 'device-ended';

async function send<T>(
  path: string,
  init: RequestInit,
  meant?: string,
  by?: string,
): Promise<Sent<T>> {
  const headers = new Headers(init.headers);
  if (meant !== undefined) headers.set('x-chert-installation', meant);
  if (by !== undefined) headers.set('x-chert-person', by);
  if (heldReport !== null) headers.set('x-chert-held', heldReport);
  try {
    const signal = AbortSignal.timeout(meant === undefined ? PATIENCE_MS : SENDING_PATIENCE_MS);
    const askedMs = Date.now();
    const response = await fetch(path, { ...init, headers, signal, redirect: 'manual' });
    const heardMs = Date.now();
    const sent = judge<T>(response, await read(response), meant);
    if (sent.state === 'ok') noteServerTime(sent.stamp.at, askedMs, heardMs);
    if (sent.state === 'later' && sent.code === DEVICE_ENDED)
      globalThis.location.assign('/sign-in');
    return sent;
  } catch {
    return { state: 'unreachable' };
  }
}

const JSON_TYPE = { 'content-type': 'application/json' };

/**
 * Sends JSON, or text that already is JSON, to the API. Never throws.
 *
 * @param meant the installation that it is meant for; another one does not take it.
 * @param by the account under which alone it is taken.
 */
export function sendJson<T>(
  method: 'POST' | 'PUT' | 'PATCH' | 'DELETE',
  path: string,
  body: unknown = {},
  meant?: string,
  by?: string,
): Promise<Sent<T>> {
  const text = typeof body === 'string' ? body : JSON.stringify(body);
  return send<T>(path, { method, headers: JSON_TYPE, body: text }, meant, by);
}

export const postJson = <T>(path: string, body: unknown) => sendJson<T>('POST', path, body);

/** Asks the API for something. Never throws. */
export const getJson = <T>(path: string, meant?: string) => send<T>(path, {}, meant);

/** Sends a file as it is. */
export function putBytes(
  path: string,
  blob: Blob,
  meant?: string,
  by?: string,
): Promise<Sent<unknown>> {
  const type = blob.type || 'application/octet-stream';
  return send(path, { method: 'PUT', headers: { 'content-type': type }, body: blob }, meant, by);
}

/** Sends a zip. */
export const postZip = <T>(path: string, file: Blob) =>
  send<T>(path, { method: 'POST', headers: { 'content-type': 'application/zip' }, body: file });

/** What to tell when something was not done, in one sentence or two. */
export function sayNotDone(sent: Exclude<Sent<unknown>, { state: 'ok' }>): string {
  switch (sent.state) {
    case 'refused': {
      const [fault] = sent.faults;
      return fault ? `${fault.path}: expected ${fault.expected}, got ${fault.got}` : sent.message;
    }
    case 'later':
      return sent.why;
    case 'elsewhere':
      return 'Another Chert answers at this address than the one this page came from. Nothing was stored there. Load the page again.';
    case 'unreachable':
      return sent.why ?? 'The server does not answer. Nothing was stored; try again.';
  }
}
