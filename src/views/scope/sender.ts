import { readWaiting, sendWaiting } from './outbox';

/** Waits between tries while the server does not answer, ms. */
const RETRY_MS = [1_000, 2_000, 5_000, 15_000] as const;

export type SaveState = 'saved' | 'sending' | 'unreachable';

export type Sender = {
  /** Sends now what waits; does nothing while a sending is under way, which takes it along. */
  readonly poke: () => void;
  readonly stop: () => void;
};

/** Keeps sending what waits on this device until the server has it all. */
export function startSender(
  jobId: string,
  onState: (state: SaveState) => void,
  onChange: () => void,
): Sender {
  let isSending = false;
  let isStopped = false;
  let timer: number | undefined;
  let tries = 0;

  async function send(): Promise<void> {
    if (isSending || isStopped) return;
    window.clearTimeout(timer);
    isSending = true;
    onState('sending');
    const outcome = await sendWaiting(jobId, onChange);
    isSending = false;
    if (isStopped) return;
    if (outcome === 'unreachable') {
      onState('unreachable');
      timer = window.setTimeout(poke, RETRY_MS[Math.min(tries, RETRY_MS.length - 1)]);
      tries += 1;
      return;
    }
    tries = 0;
    onState('saved');
    // Something may have been logged while the last batch was on its way.
    if (readWaiting(jobId).some(({ refused }) => refused === undefined)) poke();
  }
  function poke() {
    void send();
  }
  return {
    poke,
    stop: () => {
      isStopped = true;
      window.clearTimeout(timer);
    },
  };
}
