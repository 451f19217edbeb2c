import type { Database } from 'better-sqlite3';
import Joi from 'joi';
import {
  createAccount,
  findByMail,
  hasOwner,
  reopenAccount,
  setPassword,
  setRole,
} from './accounts';
import { hashPassword, passwordTrouble } from './passwords';
import { isSame } from './same-secret';

const mailSchema = Joi.string().email({ tlds: false }).max(200).required();

/** Why a mail address cannot be taken; `null` when it can. */
export const mailTrouble = (mail: string): string | null =>
  mailSchema.validate(mail.trim()).error
    ? 'Expected an email address, such as name@firm.example.'
    : null;

export type OwnerWish = {
  readonly name: string;
  readonly mail: string;
  readonly password: string;
  readonly code: string;
};

/**
 * Makes the first owner.
 *
 * @param code what has to be typed, where others can reach Chert; `undefined` on this machine alone.
 * @returns the account's id, or what stands in the way.
 */
export async function makeOwner(
  db: Database,
  { name, mail, password, code: typed }: OwnerWish,
  code: string | undefined,
): Promise<{ readonly id: string } | { readonly trouble: string }> {
  if (code !== undefined && !isSame(typed.trim().toLowerCase(), code))
    return {
      trouble: 'That is not the code. Look at what was printed when Chert started.',
    };
  if (name.trim() === '') return { trouble: 'Enter your name: it is shown beside what you do.' };
  const trouble = mailTrouble(mail) ?? passwordTrouble(password, mail);
  if (trouble !== null) return { trouble };
  const hash = await hashPassword(password);
  return db
    .transaction(() => {
      // Two that come at the same time: the first is the owner.
      if (hasOwner(db)) return { trouble: 'Someone else has just set up the owner. Sign in.' };
      return { id: ownerOf(db, { name, mail, hash }) };
    })
    .immediate();
}

/** Makes an owner, or makes one of an account that is there; sets the password either way. */
export function ownerOf(
  db: Database,
  { name, mail, hash }: { readonly name: string; readonly mail: string; readonly hash: string },
): string {
  const known = findByMail(db, mail);
  const now = new Date().toISOString();
  const id = known?.id ?? createAccount(db, { name, mail, role: 'owner' }, now).id;
  reopenAccount(db, id);
  setPassword(db, id, hash, now);
  setRole(db, id, 'owner', now);
  return id;
}
