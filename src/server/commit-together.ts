import type { Database } from 'better-sqlite3';

type Waiting = {
  readonly work: () => unknown;
  readonly done: (value: unknown) => void;
  readonly failed: (error: unknown) => void;
};

const queues = new WeakMap<Database, Waiting[]>();

/**
 * Does work that writes in one transaction with all that waits beside it: the disk is asked once for many. Each
 * piece is whole or not at all by itself; what one throws undoes that one alone.
 *
 * @returns what the work returned, when it is on the disk. Rejects with what it threw, or with what the commit
 *   threw: then nothing of the whole was stored.
 */
export function commitTogether<T>(db: Database, work: () => T): Promise<T> {
  return new Promise<T>((resolve, reject) => {
    const waiting = { work, done: resolve as (value: unknown) => void, failed: reject };
    const queue = queues.get(db);
    if (queue) {
      queue.push(waiting);
      return;
    }
    queues.set(db, [waiting]);
    setImmediate(() => flush(db));
  });
}

function flush(db: Database): void {
  const queue = queues.get(db) ?? [];
  queues.delete(db);
  const ends: (() => void)[] = [];
  try {
    const one = db.transaction((work: () => unknown) => work());
    const all = db.transaction(() => {
      for (const { work, done, failed } of queue) {
        try {
          const value = one(work);
          ends.push(() => done(value));
        } catch (error) {
          // A full disk ends the whole transaction, not only this part of it.
          if (!db.inTransaction) throw error;
          ends.push(() => failed(error));
        }
      }
    });
    all.immediate();
  } catch (error) {
    for (const { failed } of queue) failed(error);
    return;
  }
  for (const end of ends) end();
}
