/** Names of this machine in addresses of pages. */
export const LOOPBACK_NAMES: ReadonlySet<string> = new Set(['localhost', '127.0.0.1', '[::1]']);
const LOOPBACK_ADDRESS = /^(::1|(::ffff:)?127\.\d+\.\d+\.\d+)$/;

/** Whether a host that a server listens on, or an address that asks, is this machine's own alone. */
export const isLoopback = (host: string): boolean =>
  LOOPBACK_NAMES.has(host) || LOOPBACK_ADDRESS.test(host);
