import type { Database } from 'better-sqlite3';
import { sayGot } from '#core/base/fault';
import { isSafeId, SAFE_ID_WORDS } from '#core/base/safe-id';
import { type Edit, sameJson, valueAt } from '#core/model/job/edits';
import type { Inspection } from '#core/model/job/inspection';
import { rightToSet } from '#core/office/roles';
import { refuseFaults } from './http/answer';
import { canScope } from './people/accounts';
import {
  type Caller,
  callerHasJobRight,
  callerHasRight,
  personOf,
  refusalTo,
} from './security/caller';

/** Edits, and who sends them. */
type CalledEdits = { readonly caller: Caller | null; readonly edits: readonly Edit[] };

/** @throws a refusal of a change that sets nothing. */
export function refuseEmpty({ edits }: { readonly edits: readonly Edit[] }): void {
  if (edits.length === 0)
    throw refuseFaults([{ path: 'edits', expected: 'at least one edit', got: 'none' }]);
}

/** @throws a refusal of new runs and access points whose ids cannot stand in an address. */
export function refuseOddIds(before: Inspection, edits: readonly Edit[]): void {
  const faults = edits.flatMap(({ path: [section, id, ...rest] }) => {
    if ((section !== 'runs' && section !== 'accessPoints') || rest.length > 0) return [];
    const isKnown = before[section].some((one) => one.id === id);
    if (id === undefined || isKnown || isSafeId(id)) return [];
    return [{ path: `${section}.${id}.id`, expected: SAFE_ID_WORDS, got: sayGot(id) }];
  });
  if (faults.length > 0) throw refuseFaults(faults);
}

/** @throws a refusal of edits that are not kept as they were laid: they say what an edit cannot set. */
export function refuseLost(laid: Inspection, kept: Inspection, edits: readonly Edit[]): void {
  const faults = edits.flatMap(({ path, value }) =>
    sameJson(valueAt(kept, path), valueAt(laid, path))
      ? []
      : [{ path: path.join('.'), expected: 'a field that an edit can set', got: sayGot(value) }],
  );
  if (faults.length > 0) throw refuseFaults(faults);
}

/**
 * @throws what is said of a job that is not there, where somebody may not set one of the fields. Whose job it is,
 *   the office says alone.
 */
export function refuseOthers(
  db: Database,
  { job }: Inspection,
  { caller, edits }: CalledEdits,
): void {
  const person = personOf(caller);
  const may = ({ path }: Edit) =>
    path.join(' ') === 'job assignedTo'
      ? callerHasRight(db, caller, 'agree', false)
      : callerHasJobRight(db, caller, rightToSet(path), job.id);
  if (!edits.every(may)) throw refusalTo(caller, 'job');
  if (!person) return;
  for (const { path, value } of edits)
    if (path.join(' ') === 'job assignedTo' && value !== undefined) refuseNobody(db, value);
}

/** @throws a refusal when a job would be given to somebody who cannot scope it. */
export function refuseNobody(db: Database, id: unknown): void {
  if (typeof id === 'string' && canScope(db, id)) return;
  const expected = 'the id of an inspector’s or an owner’s account that is open';
  throw refuseFaults([{ path: 'job.assignedTo', expected, got: sayGot(id) }]);
}
