/** Headers on every answer. The content policy itself comes with the page, with its hashes. */
export const SECURITY_HEADERS: Readonly<Record<string, string>> = {
  'x-content-type-options': 'nosniff',
  'x-frame-options': 'DENY',
  'referrer-policy': 'same-origin',
  'cross-origin-opener-policy': 'same-origin',
  'cross-origin-resource-policy': 'same-origin',
  'permissions-policy': 'camera=(self), microphone=(self), geolocation=(self), payment=(), usb=()',
};

const LOOPBACK = new Set(['localhost', '127.0.0.1', '[::1]']);

/** The HTTPS origin that tablets and phones use, from `CHERT_ORIGIN`; `null` when not set. */
export function configuredOrigin(): URL | null {
  const text = process.env['CHERT_ORIGIN'];
  return text ? new URL(text) : null;
}

/**
 * Whether the request names a host that this server answers to: itself on loopback, or the host of
 * `CHERT_ORIGIN`. Another name is a page elsewhere that points its own name here.
 */
export function isKnownHost(request: Request): boolean {
  const host = request.headers.get('host') ?? new URL(request.url).host;
  const name = host.replace(/:\d+$/, '');
  return LOOPBACK.has(name) || configuredOrigin()?.host === host;
}

/** Whether a writing request comes from Chert's own pages. Without an `Origin` it is no browser. */
export function isOwnOrigin(request: Request): boolean {
  if (request.method === 'GET' || request.method === 'HEAD') return true;
  const origin = request.headers.get('origin');
  if (origin === null) return request.headers.get('sec-fetch-site') !== 'cross-site';
  if (origin === configuredOrigin()?.origin) return true;
  const host = request.headers.get('host') ?? new URL(request.url).host;
  return (
    URL.canParse(origin) && new URL(origin).host === host && LOOPBACK.has(host.replace(/:\d+$/, ''))
  );
}
