import { UNSENT_FORMAT, type UnsentMedia, type UnsentWork } from '#core/interchange/unsent-work';
import { sendWaiting } from './send';
import { countHeld, deviceId, findKeptMedia, jobsWithUnsent, listUnsent } from './store';

/** What became of what waited on this device. */
export type HandedOver = { readonly sent: number; readonly left: number; readonly why?: string };

/**
 * Sends what waits on this device of every job, whoever made it and whatever has become of the job since: the server
 * takes it under its maker's name.
 *
 * @param make makes an id for a device that has none.
 */
export async function handOverAll(make: () => string): Promise<HandedOver> {
  const before = await countHeld();
  if (before === 0) return { sent: 0, left: 0 };
  const device = await deviceId(make);
  let why: string | undefined;
  for (const jobId of await jobsWithUnsent()) {
    const outcome = await sendWaiting(jobId, device, () => undefined);
    if (outcome.state === 'unreachable' && outcome.why) why ??= outcome.why;
  }
  const left = await countHeld();
  return { sent: before - left, left, ...(why === undefined ? {} : { why }) };
}

async function base64Of(blob: Blob): Promise<string> {
  const bytes = new Uint8Array(await blob.arrayBuffer());
  let text = '';
  // In parts: a call takes only so many arguments.
  for (let at = 0; at < bytes.length; at += 8192)
    text += String.fromCharCode(...bytes.subarray(at, at + 8192));
  return btoa(text);
}

/**
 * Writes what this device has not sent as a file, to be read in elsewhere; it stays on the device all the same.
 *
 * @returns `null` when there is nothing.
 */
export async function writeUnsent(make: () => string, now: Date): Promise<string | null> {
  const held = await listUnsent();
  const [first] = held;
  if (!first) return null;
  const media: UnsentMedia[] = [];
  for (const { change, jobId } of held) {
    if (change.what !== 'media') continue;
    const blob = await findKeptMedia(change.mediaId);
    if (blob) media.push({ jobId, id: change.mediaId, bytes: await base64Of(blob) });
  }
  const work: UnsentWork = {
    format: UNSENT_FORMAT,
    version: 1,
    installation: first.installation,
    device: await deviceId(make),
    savedAt: now.toISOString(),
    changes: held
      .filter(({ installation }) => installation === first.installation)
      .map(({ jobId, id, by, saidAt, base, change }) => ({
        jobId,
        id,
        ...(by === undefined ? {} : { by }),
        saidAt,
        base,
        change,
      })),
    media,
  };
  return JSON.stringify(work);
}
