import { timingSafeEqual } from 'node:crypto';
import type { IncomingMessage } from 'node:http';
import { parseCookie } from 'cookie';

/** What is known of a request before anything is done with it. */
export type Asked = {
  readonly method: string;
  /** The path, without its query. */
  readonly path: string;
  readonly headers: IncomingMessage['headers'];
  readonly remoteAddress: string | undefined;
};

/** What the server was told about the world. */
export type World = {
  /** The HTTPS origin that tablets and phones use, from `CHERT_ORIGIN`; `null` when not set. */
  readonly origin: URL | null;
  /** What browsers elsewhere, and scripts, are asked for. */
  readonly token: string;
};

/** Whether a request may be answered; if not, why not. */
export type Verdict = 'welcome' | 'wrong-host' | 'wrong-origin' | 'no-token' | 'wrong-method';

/** The cookie by which a browser that has given the token once is known. */
export const ACCESS_COOKIE = 'chert-access';
/** Where the token is given. */
export const ACCESS_PATH = '/access';

const LOOPBACK_NAMES = new Set(['localhost', '127.0.0.1', '[::1]']);
const LOOPBACK_ADDRESS = /^(::1|(::ffff:)?127\.\d+\.\d+\.\d+)$/;
const READING = new Set(['GET', 'HEAD']);
const WRITING = new Set(['POST', 'PUT', 'PATCH', 'DELETE']);
/** What a link to an issued report needs, and nothing else, is open to who has no token. */
const OPEN = /^\/(r\/|_astro\/|favicon\.svg$)/;

/** Whether a request came over this machine's own loopback, and not through a proxy on it. */
function isFromHere({ remoteAddress = '', headers }: Asked): boolean {
  const isForwarded = headers['x-forwarded-for'] !== undefined || headers.forwarded !== undefined;
  return LOOPBACK_ADDRESS.test(remoteAddress) && !isForwarded;
}

/** Compares in a time that tells nothing of where two texts differ. */
function isSame(a: string, b: string): boolean {
  const [bytesA, bytesB] = [Buffer.from(a), Buffer.from(b)];
  return bytesA.length === bytesB.length && timingSafeEqual(bytesA, bytesB);
}

/** Whether a request brings the token: in the cookie of a browser that gave it, or as a script's bearer. */
function hasToken({ headers }: Asked, { token }: World): boolean {
  const bearer = /^Bearer (\S+)$/.exec(headers.authorization ?? '')?.[1];
  const cookie = parseCookie(headers.cookie ?? '')[ACCESS_COOKIE];
  return [bearer, cookie].some((given) => given !== undefined && isSame(given, token));
}

/**
 * Decides whether a request is answered. Loopback names are honoured only from loopback; the host of
 * `CHERT_ORIGIN` only with the token; and nothing is changed for a request that does not say, by its
 * `Origin`, that it comes from Chert's own pages, unless it brings the token.
 */
export function judgeAccess(asked: Asked, world: World): Verdict {
  const { method, path, headers } = asked;
  if (!READING.has(method) && !WRITING.has(method)) return 'wrong-method';
  const host = headers.host ?? '';
  const isLocal = isFromHere(asked) && LOOPBACK_NAMES.has(host.replace(/:\d+$/, ''));
  const isPublic = world.origin !== null && host === world.origin.host;
  if (!isLocal && !isPublic) return 'wrong-host';
  const isTrusted = hasToken(asked, world);
  if (WRITING.has(method)) {
    const own = isLocal ? `http://${host}` : world.origin!.origin;
    const mayWrite = headers.origin === undefined ? isTrusted : headers.origin === own;
    if (!mayWrite) return 'wrong-origin';
  }
  if (isLocal || isTrusted || OPEN.test(path) || path === ACCESS_PATH) return 'welcome';
  return 'no-token';
}

/** Whether a given token is the right one. */
export const isToken = (given: string, { token }: World): boolean =>
  isSame(given.trim().toLowerCase(), token);
