/** Longest side of a still that is taken from a video, pixels. */
const MOST_PIXELS = 1920;

/** A picture that was asked for a moment ago may take so long to come, ms. */
const PATIENCE_MS = 5000;

const isShown = (video: HTMLVideoElement) =>
  !video.seeking && video.readyState >= HTMLMediaElement.HAVE_CURRENT_DATA && video.videoWidth > 0;

/** Waits until a video shows the moment that it was told to go to; whether it does. */
async function shown(video: HTMLVideoElement): Promise<boolean> {
  if (isShown(video)) return true;
  await Promise.race([
    new Promise((come) =>
      ['seeked', 'loadeddata'].forEach((on) => video.addEventListener(on, come)),
    ),
    new Promise((late) => setTimeout(late, PATIENCE_MS)),
  ]);
  return isShown(video);
}

/** The picture that a video shows now, as JPEG; `null` where it shows none. */
export async function stillOf(video: HTMLVideoElement | null): Promise<Blob | null> {
  if (!video || !(await shown(video))) return null;
  const scale = Math.min(1, MOST_PIXELS / Math.max(video.videoWidth, video.videoHeight));
  const canvas = document.createElement('canvas');
  canvas.width = Math.round(video.videoWidth * scale);
  canvas.height = Math.round(video.videoHeight * scale);
  canvas.getContext('2d')?.drawImage(video, 0, 0, canvas.width, canvas.height);
  return new Promise((resolve) => canvas.toBlob(resolve, 'image/jpeg', 0.9));
}
