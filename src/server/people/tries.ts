import {
  type IRateLimiterOptions,
  RateLimiterMemory,
  type RateLimiterRes,
} from 'rate-limiter-flexible';

const HOUR_S = 3600;

/**
 * How often a sign-in may fail. From a device on which somebody has signed in before, for that account: nothing that
 * happens elsewhere uses it up. From anywhere else: for one account from one address, from one address for any account,
 * and for one account from anywhere. Passkeys are not counted, as nobody guesses one.
 */
const LIMITS = {
  device: { points: 10, duration: HOUR_S / 4, blockDuration: HOUR_S / 4 },
  pair: { points: 5, duration: HOUR_S / 4, blockDuration: HOUR_S / 4 },
  address: { points: 40, duration: HOUR_S, blockDuration: HOUR_S },
  account: { points: 30, duration: HOUR_S, blockDuration: HOUR_S },
} satisfies Record<string, IRateLimiterOptions>;

const limiters = {
  device: new RateLimiterMemory(LIMITS.device),
  pair: new RateLimiterMemory(LIMITS.pair),
  address: new RateLimiterMemory(LIMITS.address),
  account: new RateLimiterMemory(LIMITS.account),
};

/** A try to sign in, as it is counted. */
export type Try = {
  readonly mail: string;
  readonly address: string;
  /** The device, where somebody has signed in as this account on it before. */
  readonly knownDevice: string | null;
};

type Counted = readonly [limiter: RateLimiterMemory, key: string];

function countsOf({ mail, address, knownDevice }: Try): readonly Counted[] {
  const account = mail.trim().toLowerCase();
  if (knownDevice !== null) return [[limiters.device, `${account} ${knownDevice}`]];
  return [
    [limiters.pair, `${account} ${address}`],
    [limiters.address, address],
    [limiters.account, account],
  ];
}

const minutesOf = (states: readonly RateLimiterRes[]) =>
  Math.ceil(Math.max(0, ...states.map(({ msBeforeNext }) => msBeforeNext)) / 60_000);

/**
 * Takes a try, counted as failed until `noteGoodTry`: of many that come at once only so many are let to the password.
 * Counts on the thread that takes connections alone.
 *
 * @returns 0 where they may try; else how long nobody may, whole minutes.
 */
export async function takeTry(one: Try): Promise<number> {
  const counts = countsOf(one);
  // Who must wait uses up nothing more of what others from there may try.
  const known = await Promise.all(counts.map(([limiter, key]) => limiter.get(key)));
  const spent = known.flatMap((state) => (state && state.remainingPoints <= 0 ? [state] : []));
  if (spent.length > 0) return minutesOf(spent);
  const taken = await Promise.allSettled(counts.map(([limiter, key]) => limiter.consume(key)));
  // A limiter that is spent says so by throwing what it knows.
  return minutesOf(
    taken.flatMap((state) => (state.status === 'rejected' ? [state.reason as RateLimiterRes] : [])),
  );
}

/** Notes that somebody got in: that try counts nowhere, nor do their failed ones from there. */
export async function noteGoodTry(one: Try): Promise<void> {
  const [[own, key], ...others] = countsOf(one) as [Counted, ...Counted[]];
  await own.delete(key);
  await Promise.all(others.map(([limiter, of]) => limiter.reward(of)));
}

/** How often one address may ask for a link to set a password, and how often one is sent to one account, in an hour. */
const asking = new RateLimiterMemory({ points: 5, duration: HOUR_S });
const mailing = new RateLimiterMemory({ points: 3, duration: HOUR_S });

const take = (limiter: RateLimiterMemory, key: string): Promise<boolean> =>
  limiter.consume(key).then(
    () => true,
    () => false,
  );

/** Whether an address may ask for a link to set a password once more. */
export const mayAskForLink = (address: string): Promise<boolean> => take(asking, address);

/** Whether one more link is sent to an account: nobody's mailbox is filled by a stranger. */
export const mayMailLink = (accountId: string): Promise<boolean> => take(mailing, accountId);
