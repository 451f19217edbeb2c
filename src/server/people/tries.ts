import {
  type IRateLimiterOptions,
  RateLimiterMemory,
  type RateLimiterRes,
} from 'rate-limiter-flexible';

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

const minutesOf = (states: readonly RateLimiterRes[]) =>
  Math.ceil(Math.max(0, ...states.map(({ msBeforeNext }) => msBeforeNext)) / 60_000);

/**
 * Takes a try, counted as failed until `noteGood`: of many that come at once only so many are let to the password.
 * Counts on the thread that takes connections alone.
 *
 * @returns 0 where they may try; else how long nobody may, whole minutes.
 */
export async function takeTry(mail: string, address: string): Promise<number> {
  const keys = keysOf(mail, address);
  // Who must wait uses up nothing more of what others from there may try.
  const known = await Promise.all(keys.map(([limiter, key]) => limiter.get(key)));
  const spent = known.flatMap((state) => (state && state.remainingPoints <= 0 ? [state] : []));
  if (spent.length > 0) return minutesOf(spent);
  const taken = await Promise.allSettled(keys.map(([limiter, key]) => limiter.consume(key)));
  // A limiter that is spent says so by throwing what it knows.
  return minutesOf(
    taken.flatMap((one) => (one.status === 'rejected' ? [one.reason as RateLimiterRes] : [])),
  );
}

/** Notes that somebody got in: that try counts nowhere, nor do their failed ones from there. */
export async function noteGood(mail: string, address: string): Promise<void> {
  const [[pair, key], ...others] = keysOf(mail, address);
  await pair.delete(key);
  await Promise.all(others.map(([limiter, of]) => limiter.reward(of)));
}

/** How often one address may ask for a link to set a password: in an hour. */
const forgotten = new RateLimiterMemory({ points: 5, duration: HOUR_S });

export const mayAskForLink = (address: string): Promise<boolean> =>
  forgotten.consume(address).then(
    () => true,
    () => false,
  );
