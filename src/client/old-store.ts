import type { Transaction } from 'dexie';
import { type Edit, spanKey } from '#core/model/job/edits';
import type { Span } from '#core/model/job/inspection';
import type { Change, Kept } from './change';

/** What the first version of the device store kept: changes of whole records, known by a key. */
type OldChange =
  | Extract<Change, { what: 'entry' | 'media' }>
  | { readonly what: 'run'; readonly setup: { readonly id: string } }
  | { readonly what: 'access'; readonly access: { readonly id: string } }
  | { readonly what: 'facts'; readonly facts: Readonly<Record<string, unknown>> };
type OldRow = {
  seq: number;
  jobId: string;
  key?: string;
  change: OldChange;
  state: 'waiting' | 'sent' | 'refused';
  refused?: string;
};

/** An installation that is not known yet: the first page that shows the job says which it is. */
export const UNKNOWN_INSTALLATION = '';

function editsOfOld(change: Exclude<OldChange, { what: 'entry' | 'media' }>): Edit[] {
  if (change.what === 'run') return [{ path: ['runs', change.setup.id], value: change.setup }];
  if (change.what === 'access')
    return [{ path: ['accessPoints', change.access.id], value: change.access }];
  return Object.entries(change.facts).flatMap(([section, part]) => {
    const fields = Array.isArray(part)
      ? part.map((one: Span & { id?: string }) => [one.id ?? spanKey(one), one] as const)
      : Object.entries((part ?? {}) as Record<string, unknown>);
    return fields.map(([key, value]): Edit => {
      const path = [section, key];
      return value === null ? { path } : { path, value };
    });
  });
}

/**
 * Lifts one row of the first version. What the server had taken is not laid again: only entries and stills,
 * which never change, go on being kept.
 */
export function liftOldRow({ key: _key, ...row }: OldRow): Omit<Kept, 'seq'> | null {
  const { change, jobId } = row;
  const isFixed = change.what === 'entry' || change.what === 'media';
  if (row.state === 'sent' && !isFixed) return null;
  const id =
    change.what === 'entry'
      ? change.entry.id
      : change.what === 'media'
        ? change.mediaId
        : `old-${row.seq}`;
  const saidAt = new Date(0).toISOString();
  return {
    jobId,
    id,
    installation: UNKNOWN_INSTALLATION,
    base: 0,
    saidAt,
    change: isFixed ? change : { what: 'edits', edits: editsOfOld(change) },
    state: row.state === 'refused' ? 'refused' : 'kept',
    ...(row.refused === undefined ? {} : { refused: row.refused }),
  };
}

/** Lifts what a device of the first version still held. */
export async function upgradeOldChanges(transaction: Transaction): Promise<void> {
  const table = transaction.table<OldRow, number>('changes');
  const rows = await table.toArray();
  for (const row of rows) {
    const lifted = liftOldRow(row);
    if (lifted) await table.put({ ...lifted, seq: row.seq } as unknown as OldRow);
    else await table.delete(row.seq);
  }
}
