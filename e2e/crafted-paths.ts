/** Addresses that anybody may ask for, with something in them that is not there. */
const OPEN_PREFIXES = [
  '/r/x',
  '/r/x/y',
  '/join/x',
  '/calendar/x',
  '/sign-in',
  '/forgot',
  '/light',
  '/api/health',
  '/api/passkeys/sign-in',
  '/_astro/x',
];

/** Ways to write "one up", and to write nothing at all. */
const DOTS = [
  '..',
  '%2e%2e',
  '%2E%2E',
  '.%2e',
  '%2e.',
  '%252e%252e',
  '%c0%ae%c0%ae',
  '..;',
  '.',
  '%2e',
  '..%00',
  '..%20',
];

/** Ways to write a slash. */
const SEPARATORS = ['/', '//', '\\', '%2f', '%2F', '%5c', '%5C', '%252f', '/./', '/%2e/', '\\/'];

/** Addresses that nobody who is not signed in may have, and what each would give away or change. */
export const CLOSED_ADDRESSES = [
  'outbox',
  'people',
  'people/log',
  'contacts',
  'settings',
  'board',
  'api/jobs',
  'api/preferences',
  'api/invoices.csv',
  'jobs/demo-alder-bend/report',
  'api/jobs/demo-alder-bend/file',
  'api/jobs/demo-alder-bend/history',
];

/** Paths in which an open prefix leads to a closed address, by every way to write the way up. */
export function craftedPaths(): string[] {
  const paths: string[] = [];
  for (const prefix of OPEN_PREFIXES)
    for (const dots of DOTS)
      for (const separator of SEPARATORS)
        for (const closed of CLOSED_ADDRESSES) {
          const ups = prefix.split('/').length - 1;
          const up = Array.from({ length: ups }, () => dots).join(separator);
          paths.push(`${prefix}${separator}${up}${separator}${closed.replaceAll('/', separator)}`);
        }
  return paths;
}

/** Other spellings of a closed address, without any open one before it. */
export function otherSpellings(address: string): string[] {
  const first = address.codePointAt(0)!.toString(16);
  return [
    `//${address}`,
    `/./${address}`,
    `/x/../${address}`,
    `/%2e/${address}`,
    `/%${first}${address.slice(1)}`,
    `/%25${first}${address.slice(1)}`,
    `/${address}/.`,
    `/${address}/..`,
    `/${address}//`,
    `/${address}%2f`,
    `/${address}%00`,
    `/${address}\\`,
    `\\${address}`,
    `http://127.0.0.1/${address}`,
    `http://evil.example/${address}`,
    `//evil.example/${address}`,
  ];
}
