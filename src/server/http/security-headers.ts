/** Headers on every answer. The content policy itself comes with the page, with its hashes. */
export const SECURITY_HEADERS: Readonly<Record<string, string>> = {
  'x-content-type-options': 'nosniff',
  'x-frame-options': 'DENY',
  'referrer-policy': 'same-origin',
  'cross-origin-opener-policy': 'same-origin',
  'cross-origin-resource-policy': 'same-origin',
  'permissions-policy': 'camera=(self), microphone=(self), geolocation=(self), payment=(), usb=()',
  // Jobs are private: only the device's own store keeps them.
  'cache-control': 'no-store',
};

/** The content policy of what is no page: it needs to load nothing. */
export const LOADS_NOTHING = "default-src 'none'; frame-ancestors 'none'";
