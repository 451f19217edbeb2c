import { getJson, putBytes, sayNotDone } from '#client/api';
import { PIECE_BYTES, pieceId } from '#core/interchange/recording-piece';

/** What of a file the server has. */
export type Stored =
  | { readonly state: 'stored' }
  /** `at` bytes are there: going on from there loses nothing. */
  | { readonly state: 'stopped'; readonly at: number; readonly why: string };

/** Waits between tries while the server does not answer, ms. */
const RETRY_MS = [1_000, 2_000, 5_000, 10_000] as const;

const pause = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));

/**
 * Stores a video file with a job, piece by piece from where the server has it: no more than one piece of it is
 * in memory. What a server has of it already is not sent again.
 *
 * @param onProgress told how many bytes are stored.
 */
export async function storeFile(
  jobId: string,
  recordingId: string,
  file: File,
  installation: string,
  onProgress: (bytes: number) => void,
): Promise<Stored> {
  const path = `/api/jobs/${encodeURIComponent(jobId)}`;
  const about = await getJson<{ bytes: number; pieces: number }>(
    `${path}/recordings/${encodeURIComponent(recordingId)}?about`,
    installation,
  );
  let number = about.state === 'ok' ? about.value.pieces : 0;
  let tries = 0;
  while (number * PIECE_BYTES < file.size) {
    const at = number * PIECE_BYTES;
    onProgress(at);
    const piece = file.slice(at, at + PIECE_BYTES);
    const id = encodeURIComponent(pieceId(recordingId, number));
    const sent = await putBytes(`${path}/media/${id}`, piece, installation);
    if (sent.state === 'ok') {
      number += 1;
      tries = 0;
      continue;
    }
    if (sent.state === 'refused' || sent.state === 'elsewhere' || tries >= RETRY_MS.length)
      return { state: 'stopped', at, why: sayNotDone(sent) };
    await pause(RETRY_MS[tries]!);
    tries += 1;
  }
  onProgress(file.size);
  return { state: 'stored' };
}
