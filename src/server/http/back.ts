/** Any origin: a path of this server stays on it, whatever it is resolved against. */
const HERE = 'http://chert.invalid';
/** What browsers take out of an address, or turn into something else. */
// eslint-disable-next-line no-control-regex -- control characters are what it looks for
const ODD = /[\\\u0000-\u0020\u007f-\u009f]/;

/** A path of this server to go back to; `/` for whatever leads elsewhere, or is not plainly a path. */
export function backTo(wanted: unknown): string {
  if (typeof wanted !== 'string' || !wanted.startsWith('/') || ODD.test(wanted)) return '/';
  const url = URL.canParse(wanted, HERE) ? new URL(wanted, HERE) : null;
  if (url?.origin !== HERE || url.pathname.startsWith('//')) return '/';
  return `${url.pathname}${url.search}${url.hash}`;
}

/** The origin of the page that asks: behind a proxy the HTTPS one, though the proxy itself asks by HTTP. */
export function originOf(request: Request): string {
  // The front has looked at it: it is this machine's or that of `CHERT_ORIGIN`.
  const host = request.headers.get('host') ?? 'localhost';
  const said = process.env['CHERT_ORIGIN'];
  return said && new URL(said).host === host ? new URL(said).origin : `http://${host}`;
}

/** Chert as others reach it, for links that are sent; as this machine does where nobody else can. */
export function publicOrigin(request: Request): string {
  const said = process.env['CHERT_ORIGIN'];
  return said ? new URL(said).origin : originOf(request);
}
