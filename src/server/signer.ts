import type { Database } from 'better-sqlite3';
import type { Firm } from '#core/model/firm/firm';
import type { Job } from '#core/model/job/job';
import { findAccount } from './people/accounts';
import { loadPreferences } from './preferences';

/** What was put together last for somebody: the same firm while nothing of it was changed. */
const last = new Map<string, { readonly of: string; readonly firm: Firm }>();

/** The firm as it signs a job: where it has people, with the license and signature of the one whose job it is. */
export function firmFor(db: Database, { assignedTo }: Job): Firm | undefined {
  const { firm } = loadPreferences(db);
  const account = assignedTo === undefined ? null : findAccount(db, assignedTo);
  if (!account) return firm;
  const { signing } = loadPreferences(db, account);
  const made: Firm = { ...firm, signer: { name: account.name, ...signing } };
  const of = JSON.stringify(made);
  const known = last.get(account.id);
  if (known?.of === of) return known.firm;
  last.set(account.id, { of, firm: made });
  return made;
}
