import { availableParallelism } from 'node:os';
import { Piscina } from 'piscina';
import type { Lane } from './lanes';

/** A request as a thread takes it, whole. */
export type Task = {
  readonly method: string;
  readonly url: string;
  readonly headers: Readonly<Record<string, string>>;
  readonly body: Uint8Array | null;
};

/** An answer as a thread gives it, whole. */
export type Done = {
  readonly status: number;
  readonly headers: Readonly<Record<string, string | readonly string[]>>;
  readonly body: Uint8Array;
};

type Limits = {
  readonly threads: number;
  /** The most that wait; one more is told to come back. */
  readonly queue: number;
  /** The longest that one may take, ms. */
  readonly timeMs: number;
  /** The most memory of one thread's script, MB. */
  readonly memoryMb: number;
};

/** One thread less than there are cores stays for who takes connections; two are enough for pages. */
const THREADS = Math.max(1, Math.min(2, availableParallelism() - 1));

type Pooled = Exclude<Lane, 'log' | 'here'>;

const LIMITS: Readonly<Record<Pooled, Limits>> = {
  pages: { threads: THREADS, queue: 200, timeMs: 30_000, memoryMb: 256 },
  heavy: { threads: 1, queue: 40, timeMs: 120_000, memoryMb: 320 },
};

/** How long an answer may lie unread in the young memory of a thread, MB; printing makes much of it. */
const YOUNG_MB = 16;

/** Why a task was not done. */
export class NotDone extends Error {
  constructor(readonly why: 'busy' | 'too-long' | 'too-large') {
    super(why);
  }
}

export type Pool = {
  readonly run: (task: Task) => Promise<Done>;
  readonly close: () => Promise<void>;
};

/**
 * Threads of one lane, each with the whole app in it and its own connection to the database. What takes
 * too long or too much memory ends with its thread, which is started anew; nobody else notices.
 *
 * @param filename the thread's own script.
 */
export function openPool(lane: Pooled, filename: string): Pool {
  const { threads, queue, timeMs, memoryMb } = LIMITS[lane];
  const pool = new Piscina<Task, Done>({
    filename,
    name: 'answerTask',
    minThreads: 1,
    maxThreads: threads,
    maxQueue: queue,
    idleTimeout: 60_000,
    concurrentTasksPerWorker: 1,
    resourceLimits: { maxOldGenerationSizeMb: memoryMb, maxYoungGenerationSizeMb: YOUNG_MB },
  });
  pool.on('error', (error: unknown) => console.error(`A thread for ${lane} died:`, error));
  return {
    run: async (task) => {
      const signal = AbortSignal.timeout(timeMs);
      try {
        const transferList = task.body ? [task.body.buffer as ArrayBuffer] : [];
        return await pool.run(task, { signal, transferList });
      } catch (error) {
        throw reasonOf(error, signal.aborted);
      }
    },
    close: () => pool.close(),
  };
}

function reasonOf(error: unknown, isOver: boolean): unknown {
  const { code, message } = error as { readonly code?: string; readonly message?: string };
  if (isOver) return new NotDone('too-long');
  if (code === 'ERR_WORKER_OUT_OF_MEMORY') return new NotDone('too-large');
  return message === 'Task queue is at limit' ? new NotDone('busy') : error;
}
