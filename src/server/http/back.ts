/** A path of this site to go back to: "//elsewhere" would be another host. */
export const backTo = (wanted: unknown): string =>
  typeof wanted === 'string' && /^\/(?![/\\])/.test(wanted) ? wanted : '/';

/** Whose tries are counted: the address of whoever asks; behind a proxy, the one that it names. */
export const addressOf = (request: Request, clientAddress: string): string =>
  (request.headers.get('x-forwarded-for') ?? clientAddress).split(',').at(-1)!.trim();

/** Chert as others reach it, for links that are sent; this machine's own address where nobody does. */
export const publicOrigin = (url: URL): string => process.env['CHERT_ORIGIN'] ?? url.origin;

/** The origin of the page that asks: behind a proxy the HTTPS one, though the proxy itself asks by HTTP. */
export function originOf(url: URL): string {
  const said = process.env['CHERT_ORIGIN'];
  return said && new URL(said).host === url.host ? new URL(said).origin : url.origin;
}
