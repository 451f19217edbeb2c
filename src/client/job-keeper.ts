import { ulid } from 'ulid';
import type { Overwritten, StoredJob } from '#core/model/job/history';
import {
  ackAfterRestore,
  afterRestore,
  type Base,
  type Change,
  forgettable,
  type Kept,
  latestBase,
  newlyShown,
  superseded,
} from './change';
import { adopt } from './job-on-device';
import { fetchBase } from './send';
import { type SaveState, startSender } from './sender';
import { deviceId, findBase, forget, keepBase, listAtRest, mark, watchKept } from './store';

/** What is told of a job on this device whenever it changes. */
export type Listener = {
  readonly onBase: (base: Base) => void;
  readonly onTold: (told: readonly Overwritten[]) => void;
  readonly onKept: (kept: readonly Kept[]) => void;
  readonly onSave: (state: SaveState) => void;
  readonly onTrouble: (error: unknown) => void;
};

export type JobKeeper = {
  /** Sends what was refused again, mended or as it is; `null` takes it out. */
  readonly settle: (refused: Kept, mended: Change | null) => Promise<void>;
  /** Takes changes meant for another Chert as meant for this one. */
  readonly takeOver: (foreign: readonly Kept[]) => Promise<void>;
  /** Asks the server whether there is something newer. */
  readonly ask: () => Promise<void>;
  readonly stop: () => void;
};

/** So many acknowledged changes are folded into a fresh state of the server. */
const MOST_LAID = 300;

/**
 * Keeps a job on this device: its changes through their lives, what the server showed of it last, and the
 * sending between. Knows no screen.
 */
export function openJob(stored: StoredJob, listener: Listener): JobKeeper {
  const jobId = stored.inspection.job.id;
  const { installation } = stored;
  const { told: _told, ...shownByPage } = stored;
  let base: Base = { ...shownByPage, jobId };
  // The last revision up to which this device knows all that the server has.
  let knownRev = base.rev;
  let isBehind = false;
  let isStopped = false;
  let checkedEra = '';
  // Whether this device's store holds the state that is shown: only then is a change in it done with.
  let isHeld = false;
  let list: readonly Kept[] = [];

  function show(next: Base): void {
    const latest = latestBase(base, next);
    knownRev = latest.era === base.era ? Math.max(knownRev, latest.rev) : latest.rev;
    if (latest === base || isStopped) return;
    base = latest;
    listener.onBase(latest);
  }

  /** Takes every change as far as it has come by now. */
  async function advance(): Promise<void> {
    await adopt(base, list);
    if (isHeld) await mark(jobId, newlyShown(base, list), { state: 'shown' });
    await mark(jobId, superseded(list), { state: 'superseded' });
    if (checkedEra === base.era) return;
    checkedEra = base.era;
    const { again, there } = afterRestore(base, [...list, ...(await listAtRest(jobId))]);
    for (const { kept, change } of again) await mark(jobId, [kept], { state: 'kept', change });
    for (const one of there)
      await mark(jobId, [one], { state: 'shown', ack: ackAfterRestore(one, base) });
    if (again.length > 0) sender.poke();
  }

  /** Holds a state of the server on this device; without room for it the page still shows it. */
  async function hold(next: Base): Promise<void> {
    isHeld = await keepBase(next).then(
      () => true,
      () => false,
    );
  }

  async function refresh(since: number | null): Promise<void> {
    const fetched = await fetchBase(jobId, installation, since);
    if (!fetched || isStopped) return;
    isBehind = false;
    const { told, ...next } = fetched;
    listener.onTold(told);
    await hold(next);
    show(next);
    await advance();
  }

  const sender = startSender(
    jobId,
    () => deviceId(ulid).catch(() => 'no-store'),
    (state) => {
      listener.onSave(state);
      if (state.kind === 'saved' && isBehind) void refresh(null);
    },
    ({ before, rev, isOtherwise }) => {
      if (before > knownRev || isOtherwise) isBehind = true;
      else knownRev = Math.max(knownRev, rev);
    },
  );
  let waitingBefore = -1;
  let inTurn = Promise.resolve();
  const unwatch = watchKept(
    jobId,
    (next) => {
      inTurn = inTurn.then(() => take(next)).catch(listener.onTrouble);
    },
    listener.onTrouble,
  );

  /** Takes up what this device holds now. */
  async function take(next: readonly Kept[]): Promise<void> {
    const ids = new Set(next.map(({ id }) => id));
    // What another tab is done with is in the state that it holds: that is shown first.
    const isGone = list.some(({ id, state }) => state !== 'refused' && !ids.has(id));
    const held = isGone ? await findBase(jobId) : null;
    if (isStopped) return;
    if (held) show(held);
    list = next;
    listener.onKept(next);
    // Another tab may have done it: whoever comes first sends it.
    const waiting = next.filter(({ state }) => state === 'kept').length;
    if (waiting > waitingBefore) sender.poke();
    waitingBefore = waiting;
    if (next.length - waiting > MOST_LAID) isBehind = true;
    await advance();
  }
  void findBase(jobId)
    .then(async (held) => {
      const latest = latestBase(held, base);
      if (latest === held) isHeld = true;
      else await hold(latest);
      show(latest);
      await advance();
      await forget(jobId, forgettable(await listAtRest(jobId), Date.now()));
    })
    .catch(listener.onTrouble);

  return {
    settle: async (refused, mended) => {
      if (mended === null) return mark(jobId, [refused], { state: 'superseded' });
      await mark(jobId, [refused], { state: 'kept', change: mended });
      sender.poke();
    },
    takeOver: async (foreign) => {
      await mark(jobId, foreign, { state: 'kept', installation });
      sender.poke();
    },
    ask: () => {
      sender.poke();
      return refresh(knownRev);
    },
    stop: () => {
      isStopped = true;
      unwatch();
      sender.stop();
    },
  };
}
