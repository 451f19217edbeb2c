import type { Database } from 'better-sqlite3';
import type { Right } from '#core/office/roles';
import type { MediaStores } from '../media/store';
import type { RequestSource } from '../security/access-log';
import { type Caller, requireRight } from '../security/caller';

/** A call of a service: who calls, what it works on, and when. */
export type ServiceCall = {
  readonly caller: Caller | null;
  readonly db: Database;
  readonly stores: MediaStores;
  readonly nowMs: number;
  /** Where the call comes from, for the access log. */
  readonly source: RequestSource;
};

/** A function that pages and addresses may call: it asks for its right before it does anything. */
export type Service<Args extends unknown[], Result> = {
  (call: ServiceCall, ...args: Args): Result;
  /** The right it asks for; `open` for what a secret or nobody at all may ask. */
  readonly right: Right;
};

/** Makes a service that asks in a way of its own; `ask` throws where the caller may not. */
export function guardedService<Args extends unknown[], Result>(
  right: Right,
  ask: (call: ServiceCall, ...args: Args) => void,
  run: (call: ServiceCall, ...args: Args) => Result,
): Service<Args, Result> {
  const guarded = (call: ServiceCall, ...args: Args): Result => {
    ask(call, ...args);
    return run(call, ...args);
  };
  return Object.assign(guarded, { right });
}

/**
 * Makes a service of what belongs to no job.
 *
 * @param right what it asks for, on what is the caller's own.
 */
export const service = <Args extends unknown[], Result>(
  right: Right,
  run: (call: ServiceCall, ...args: Args) => Result,
): Service<Args, Result> =>
  guardedService(right, ({ db, caller }, ..._args: Args) => requireRight(db, caller, right), run);

/**
 * Makes a service of one job, whose id is its first argument.
 *
 * @param right what it asks for, on that job.
 */
export const jobService = <Args extends unknown[], Result>(
  right: Right,
  run: (call: ServiceCall, jobId: string, ...args: Args) => Result,
): Service<[jobId: string, ...Args], Result> =>
  guardedService(
    right,
    ({ db, caller }, jobId: string, ..._args: Args) => requireRight(db, caller, right, jobId),
    run,
  );
