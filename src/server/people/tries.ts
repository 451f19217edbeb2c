import { type IRateLimiterOptions, RateLimiterMemory } from 'rate-limiter-flexible';

const HOUR_S = 3600;

/**
 * How often a sign-in may fail: for one account from one address, from one address for any account, and for one account
 * from anywhere. The last is wide, so that a stranger shuts nobody out at once; passkeys are not counted, as nobody guesses one.
 */
const LIMITS = {
  pair: { points: 5, duration: HOUR_S / 4, blockDuration: HOUR_S / 4 },
  address: { points: 40, duration: HOUR_S, blockDuration: HOUR_S },
  account: { points: 30, duration: HOUR_S, blockDuration: HOUR_S },
} satisfies Record<string, IRateLimiterOptions>;

const limiters = {
  pair: new RateLimiterMemory(LIMITS.pair),
  address: new RateLimiterMemory(LIMITS.address),
  account: new RateLimiterMemory(LIMITS.account),
};

const keysOf = (mail: string, address: string) => {
  const account = mail.trim().toLowerCase();
  return [
    [limiters.pair, `${account} ${address}`],
    [limiters.address, address],
    [limiters.account, account],
  ] as const;
};

/** How long nobody may try again, whole minutes; 0 where they may. Counts on the thread that takes connections alone. */
export async function waitMin(mail: string, address: string): Promise<number> {
  const states = await Promise.all(
    keysOf(mail, address).map(async ([limiter, key]) => ({
      state: await limiter.get(key),
      most: limiter.points,
    })),
  );
  const waits = states.map(({ state, most }) =>
    state && state.consumedPoints >= most ? state.msBeforeNext : 0,
  );
  return Math.ceil(Math.max(...waits) / 60_000);
}

/** Notes that a sign-in failed. */
export async function noteFailed(mail: string, address: string): Promise<void> {
  // A limiter that is spent says so by throwing what it knows.
  await Promise.allSettled(keysOf(mail, address).map(([limiter, key]) => limiter.consume(key)));
}

/** Notes that somebody got in: their own failed tries from there no longer count. */
export async function noteGood(mail: string, address: string): Promise<void> {
  const [[pair, key]] = keysOf(mail, address);
  await pair.delete(key);
}

/** How often one address may ask for a link to set a password: in an hour. */
const forgotten = new RateLimiterMemory({ points: 5, duration: HOUR_S });

export const mayAskForLink = (address: string): Promise<boolean> =>
  forgotten.consume(address).then(
    () => true,
    () => false,
  );
