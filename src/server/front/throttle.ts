import { RateLimiterMemory, type RateLimiterRes } from 'rate-limiter-flexible';

const MINUTE_S = 60;

/**
 * What only who has its secret opens, by family: guesses at one use up nothing of another. `points`: how often one
 * address may ask in a minute.
 */
const FAMILIES = {
  shared: { path: /^\/r\//, points: 120 },
  join: { path: /^\/join\//, points: 30 },
  calendar: { path: /^\/calendar\//, points: 60 },
  passkeys: { path: /^\/api\/passkeys\/(challenge|sign-in)\/?$/, points: 60 },
  owner: { path: /^\/owner\/?$/, points: 10 },
} as const;
type Family = keyof typeof FAMILIES;

/** A page of a shared report: what it shows is asked for right after it, and counts with it. */
const SHARED_PAGE = /^\/r\/([^/]+)\/?$/;
const SHARED_PART = /^\/r\/([^/]+)\/[^/]+$/;
/** What a page that was let through may fetch: the most stills of a report, some times over. */
const PARTS_OF_A_PAGE = 600;
const PAGE_S = 600;

/** Says for how long an address must wait before it may ask again, seconds; 0: it may. */
export type Throttle = (method: string, path: string, address: string) => Promise<number>;

/** Makes the counts of one front. They live in memory: a server that is started anew begins anew. */
export function createThrottle(): Throttle {
  const limiters = Object.fromEntries(
    Object.entries(FAMILIES).map(([name, { points }]) => [
      name,
      new RateLimiterMemory({ points, duration: MINUTE_S }),
    ]),
  ) as Readonly<Record<Family, RateLimiterMemory>>;
  const parts = new RateLimiterMemory({ points: PARTS_OF_A_PAGE, duration: PAGE_S });
  const waitFor = (limiter: RateLimiterMemory, key: string) =>
    limiter.consume(key).then(
      () => 0,
      (spent: unknown) => Math.ceil((spent as RateLimiterRes).msBeforeNext / 1000),
    );

  return async (method, path, address) => {
    const family = (Object.keys(FAMILIES) as Family[]).find((name) =>
      FAMILIES[name].path.test(path),
    );
    if (!family || (family === 'owner' && method !== 'POST')) return 0;
    const part = SHARED_PART.exec(path)?.[1];
    if (part !== undefined && (await parts.get(`${address} ${part}`)))
      return waitFor(parts, `${address} ${part}`);
    const waitS = await waitFor(limiters[family], address);
    const page = SHARED_PAGE.exec(path)?.[1];
    if (waitS === 0 && page !== undefined) await parts.consume(`${address} ${page}`).catch(() => 0);
    return waitS;
  };
}
