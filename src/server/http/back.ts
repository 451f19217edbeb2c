/** A path of this site to go back to: "//elsewhere" would be another host. */
export const backTo = (wanted: unknown): string =>
  typeof wanted === 'string' && /^\/(?![/\\])/.test(wanted) ? wanted : '/';

/** Whose tries are counted: the address of whoever asks; behind a proxy, the one that it names. */
export const addressOf = (request: Request, clientAddress: string): string =>
  (request.headers.get('x-forwarded-for') ?? clientAddress).split(',').at(-1)!.trim();

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
