import { hash, verify } from '@node-rs/argon2';

/** Long enough that guessing is hopeless, without rules that make people write it down. */
export const LEAST_PASSWORD = 10;
export const MOST_PASSWORD = 200;

/** Argon2id as OWASP's password storage cheat sheet has it: 19 MiB, two passes, one lane. */
const COST = { memoryCost: 19_456, timeCost: 2, parallelism: 1 } as const;

/** Why a password cannot be taken; `null` when it can. */
export function passwordTrouble(password: string): string | null {
  if (password.length < LEAST_PASSWORD)
    return `A password has at least ${LEAST_PASSWORD} characters. Three words are better than one with signs in it.`;
  return password.length > MOST_PASSWORD
    ? `A password has at most ${MOST_PASSWORD} characters.`
    : null;
}

export const hashPassword = (password: string): Promise<string> => hash(password, COST);

/** Made once: what is compared with where nobody has the account, so that it takes as long. */
let nobody: Promise<string> | null = null;

/**
 * Whether a password is the one of a hash. Without one it takes as long and is not.
 *
 * @param kept the hash; `null` where there is no such account, or no password yet.
 */
export async function isPassword(password: string, kept: string | null): Promise<boolean> {
  nobody ??= hashPassword('nobody has this one');
  const fits = await verify(kept ?? (await nobody), password.slice(0, MOST_PASSWORD));
  return fits && kept !== null;
}
