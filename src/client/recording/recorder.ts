/** A piece of a recording is handed over this often, ms: what a crash can take. */
export const PIECE_MS = 3000;
/** Pictures of a pipe move little: this holds every joint, bits a second. */
const VIDEO_BITS = 2_500_000;
const AUDIO_BITS = 64_000;
/** A picture that needs none before it comes this often, ms: to such a one a player goes, and a clip begins with one. */
const KEY_EVERY_MS = 2000;
/** Containers and codecs that browsers record, the best known first. */
const TYPES = [
  'video/webm;codecs=vp9,opus',
  'video/webm;codecs=vp8,opus',
  'video/webm',
  'video/mp4',
] as const;

export type Recorder = {
  readonly startedAtMs: number;
  /** Ends the recording; resolves when its last piece is kept. */
  readonly stop: () => Promise<void>;
};

/** What this browser records; `null` when it records nothing. */
export const recordedType = (): string | null =>
  'MediaRecorder' in globalThis
    ? (TYPES.find((type) => MediaRecorder.isTypeSupported(type)) ?? null)
    : null;

/**
 * Records a picture, with its sound where it has any, in pieces that are kept as they come, one after the other.
 *
 * @param keep keeps a piece; the next is kept when it is done.
 * @param onEnd told once, when the recording has ended, by a press or because the camera went away.
 */
export function startRecorder(
  stream: MediaStream,
  keep: (number: number, piece: Blob) => Promise<void>,
  onEnd: () => void,
): Recorder {
  const mimeType = recordedType();
  // Not every browser, and not every list of types, knows the last of these.
  const options: MediaRecorderOptions & { readonly videoKeyFrameIntervalDuration: number } = {
    ...(mimeType === null ? {} : { mimeType }),
    videoBitsPerSecond: VIDEO_BITS,
    audioBitsPerSecond: AUDIO_BITS,
    videoKeyFrameIntervalDuration: KEY_EVERY_MS,
  };
  const recorder = new MediaRecorder(stream, options);
  let number = 0;
  let keeping = Promise.resolve();
  recorder.ondataavailable = ({ data }) => {
    if (data.size === 0) return;
    const at = number;
    number += 1;
    // A piece that cannot be kept is told by whoever keeps it; those behind it are still wanted.
    keeping = keeping.then(() => keep(at, data)).catch(() => undefined);
  };
  const ended = new Promise<void>((resolve) => {
    recorder.onstop = () => {
      void keeping.then(() => {
        onEnd();
        resolve();
      });
    };
  });
  recorder.start(PIECE_MS);
  return {
    startedAtMs: Date.now(),
    stop: () => {
      if (recorder.state !== 'inactive') recorder.stop();
      return ended;
    },
  };
}

/** How much this device still takes, bytes; `null` where the browser does not say. */
export async function freeBytes(): Promise<number | null> {
  const { quota, usage } = await navigator.storage.estimate();
  return quota === undefined || usage === undefined ? null : quota - usage;
}
/** Below this a recording ends by itself, bytes: the log needs room more than the picture does. */
export const LEAST_FREE_BYTES = 150 * 1024 * 1024;

/** Minutes of recording that fit. */
export const minutesIn = (bytes: number): number =>
  Math.floor(((bytes - LEAST_FREE_BYTES) * 8) / (VIDEO_BITS + AUDIO_BITS) / 60);
