import { type Listener, type Outcome, sendWaiting } from './send';
import { listWaiting } from './store';

/** Waits between tries while the server does not answer, ms. */
const RETRY_MS = [1_000, 2_000, 3_000, 5_000] as const;

export type SaveState = {
  readonly kind: 'saved' | 'sending' | 'unreachable' | 'elsewhere';
  readonly why?: string;
};

export type Sender = {
  /** Sends now what waits; does nothing while a sending is under way, which takes it along. */
  readonly poke: () => void;
  readonly stop: () => void;
};

/** Only one tab of this device sends a job's changes at a time, so that they arrive in order. */
async function alone<T>(jobId: string, act: () => Promise<T>): Promise<T> {
  if (!('locks' in navigator)) return act();
  return await navigator.locks.request(`chert-send-${jobId}`, act);
}

/**
 * Keeps sending what waits on this device until the server has it all.
 *
 * @param device what this device is known by.
 */
export function startSender(
  jobId: string,
  device: () => Promise<string>,
  onState: (state: SaveState) => void,
  onTaken: Listener,
): Sender {
  let isSending = false;
  let isStopped = false;
  let timer: ReturnType<typeof setTimeout> | undefined;
  let tries = 0;

  async function send(): Promise<void> {
    if (isSending || isStopped) return;
    clearTimeout(timer);
    isSending = true;
    onState({ kind: 'sending' });
    const outcome = await device()
      .then((id) => alone(jobId, () => sendWaiting(jobId, id, onTaken)))
      .catch((error: unknown): Outcome => ({ state: 'unreachable', why: String(error) }));
    isSending = false;
    // eslint-disable-next-line @typescript-eslint/no-unnecessary-condition -- it may have been stopped while this waited
    if (isStopped) return;
    if (outcome.state !== 'sent') {
      const why = outcome.state === 'unreachable' && outcome.why ? { why: outcome.why } : {};
      onState({ kind: outcome.state, ...why });
      timer = setTimeout(poke, RETRY_MS[Math.min(tries, RETRY_MS.length - 1)]);
      tries += 1;
      return;
    }
    tries = 0;
    onState({ kind: 'saved' });
    // Something may have been kept while the last batch was on its way.
    if ((await listWaiting(jobId)).length > 0) poke();
  }
  function poke() {
    void send();
  }
  return {
    poke,
    stop: () => {
      isStopped = true;
      clearTimeout(timer);
    },
  };
}
