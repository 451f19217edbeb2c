import { hash, verify } from '@node-rs/argon2';
import { dictionary } from '@zxcvbn-ts/language-common';

/** Long enough that guessing is hopeless, without rules that make people write it down. */
export const LEAST_PASSWORD = 10;
export const MOST_PASSWORD = 200;

/** Argon2id as OWASP's password storage cheat sheet has it: 19 MiB, two passes, one lane. */
const COST = { memoryCost: 19_456, timeCost: 2, parallelism: 1 } as const;

/** The passwords that people use most, in lower case; read when the first is looked up. */
let usual: ReadonlySet<string> | null = null;
const isUsual = (password: string) => {
  usual ??= new Set(dictionary['passwords-common'].map((one) => one.toLowerCase()));
  return usual.has(password.toLowerCase());
};

/** Whether a password is a mail address, or the name in it. */
function isMail(password: string, mail: string): boolean {
  const [said, address] = [password.trim().toLowerCase(), mail.trim().toLowerCase()];
  return said !== '' && (said === address || said === address.split('@')[0]);
}

/**
 * Says why a password cannot be taken; `null` when it can.
 *
 * @param mail the address of whoever sets it.
 */
export function passwordTrouble(password: string, mail: string): string | null {
  if (password.length < LEAST_PASSWORD)
    return `A password has at least ${LEAST_PASSWORD} characters. Three words are better than one with signs in it.`;
  if (password.length > MOST_PASSWORD) return `A password has at most ${MOST_PASSWORD} characters.`;
  if (new Set(password.toLowerCase()).size === 1)
    return 'A password of one character repeated is the first that is guessed. Use three unrelated words.';
  if (isMail(password, mail))
    return 'A password other than your email address, please: everybody knows that. Use three unrelated words.';
  return isUsual(password)
    ? 'This password is on the lists that are guessed first. Use three unrelated words.'
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
