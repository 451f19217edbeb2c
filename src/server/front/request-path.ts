/** A request's target as it is judged and served. */
export type RequestTarget = {
  /** The path, without its query. */
  readonly path: string;
  /** The query with its `?`; empty where there is none. */
  readonly search: string;
};

/** Any origin: only what it makes of a path is looked at. */
const BASE = 'http://chert.invalid';
/** What has no place in a decoded path: a percent sign, a backslash, or a control character. */
// eslint-disable-next-line no-control-regex -- control characters are what it looks for
const FORBIDDEN = /[%\\\u0000-\u001f\u007f-\u009f]/;
/** A dot segment, also with what some servers drop from behind it: blanks, or parameters. */
const DOT_SEGMENT = /^\s*\.{1,2}\s*(;.*)?$/;
/** Characters that need no escape (RFC 3986, 2.3), and the slash: escaped, they spell a path a second way. */
const NEEDLESS_ESCAPE = /[A-Za-z0-9._~/-]/;

function decodeOnce(path: string): string | null {
  try {
    return decodeURIComponent(path);
  } catch {
    return null;
  }
}

const hasNeedlessEscape = (path: string) =>
  [...path.matchAll(/%([0-9A-Fa-f]{2})/g)].some(([, hex]) => {
    const code = Number.parseInt(hex!, 16);
    return code < 0x80 && NEEDLESS_ESCAPE.test(String.fromCharCode(code));
  });

/** Whether a path is its own canonical form: there is one way to write each address, and this is it. */
export function isCanonicalPath(path: string): boolean {
  const decoded = decodeOnce(path);
  if (decoded === null || !path.startsWith('/')) return false;
  if (FORBIDDEN.test(decoded) || decoded.includes('//')) return false;
  if (decoded.split('/').some((segment) => DOT_SEGMENT.test(segment))) return false;
  return !hasNeedlessEscape(path) && new URL(path, BASE).href === `${BASE}${path}`;
}

/**
 * Reads the target of a request line.
 *
 * @returns `null` where its path is not its own canonical form: absolute form, dot segments, backslashes, doubled
 *   slashes, escapes of escapes and needless escapes are nobody's address.
 */
export function readTarget(url: string): RequestTarget | null {
  const [path = '', ...rest] = url.split('?');
  if (url.includes('#') || !isCanonicalPath(path)) return null;
  return { path, search: rest.length > 0 ? `?${rest.join('?')}` : '' };
}
