import type { Database } from 'better-sqlite3';
import type { Firm } from '#core/model/firm/firm';
import type { Job } from '#core/model/job/job';
import { findAccount, hasOwner } from './people/accounts';
import { loadPreferences } from './preferences';

/** What was put together last for somebody: the same firm while nothing of it was changed. */
const last = new Map<string, { readonly of: string; readonly firm: Firm }>();

function same(key: string, firm: Firm): Firm {
  const of = JSON.stringify(firm);
  const known = last.get(key);
  if (known?.of === of) return known.firm;
  last.set(key, { of, firm });
  return firm;
}

/**
 * The firm as it signs a job: where it has people, with the license and signature of the one whose job it is. While
 * nobody's is, those of the firm stand under the inspector that it names alone: anybody could have typed another.
 */
export function firmFor(db: Database, { assignedTo }: Job): Firm | undefined {
  const { firm } = loadPreferences(db);
  const account = assignedTo === undefined ? null : findAccount(db, assignedTo);
  if (account) {
    const { signing } = loadPreferences(db, account);
    return same(account.id, { ...firm, signer: { name: account.name, ...signing } });
  }
  if (!firm || firm.inspector !== undefined || !hasOwner(db)) return firm;
  const { license: _, signature: __, ...unsigned } = firm;
  return same('', unsigned);
}
