import type { IncomingHttpHeaders } from 'node:http';
import { isLoopback } from './loopback';

/** Headers by which proxies, and whoever plays one, say where a request comes from and for which path it is. */
const SAID_ON_THE_WAY =
  /^(x-forwarded-|x-real-ip$|forwarded$|x-astro-|x-original-|x-rewrite-|x-chert-(caller|address)$)/;

/**
 * The address whose tries are counted. Only a proxy on this machine, or one that is named, is believed: anybody else
 * could name a new address at each try.
 *
 * @param proxies addresses of proxies elsewhere, from `CHERT_PROXIES`.
 */
export function clientAddress(
  remoteAddress: string,
  headers: IncomingHttpHeaders,
  proxies: ReadonlySet<string>,
): string {
  const peer = remoteAddress.replace(/^::ffff:/, '');
  const said = headers['x-forwarded-for'];
  if (said === undefined || !(isLoopback(peer) || proxies.has(peer))) return peer;
  const last = String(said).split(',').at(-1)!.trim();
  return last === '' ? peer : last;
}

/** Drops what was said on the way, once it was looked at: the app goes by what the front says alone. */
export function dropForwarded(headers: IncomingHttpHeaders): void {
  for (const name of Object.keys(headers))
    // eslint-disable-next-line @typescript-eslint/no-dynamic-delete -- headers are an object of Node's
    if (SAID_ON_THE_WAY.test(name)) delete headers[name];
}
