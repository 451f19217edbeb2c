import { useEffect, useState } from 'react';
import { findKeptMedia } from '#client/store';
import type { Frozen } from './useMeasuring';
import type { Video } from './useVideo';

async function aspectOf(url: string): Promise<number> {
  const image = new Image();
  image.src = url;
  await image.decode();
  return image.naturalWidth / image.naturalHeight;
}

/** A picture held still to be measured on: the video's of now, or a still that was kept. */
export function useFrozen(jobId: string, video: Video) {
  const [frozen, setFrozen] = useState<Frozen | null>(null);
  useEffect(
    () => () => {
      if (frozen?.url.startsWith('blob:')) URL.revokeObjectURL(frozen.url);
    },
    [frozen],
  );
  /** @param photoId the still to be measured on; `null` for the video's picture of now. */
  const freeze = async (photoId: string | null) => {
    video.pause();
    if (photoId === null) {
      const blob = await video.still();
      if (!blob) return;
      const url = URL.createObjectURL(blob);
      setFrozen({ url, blob, photoId: null, aspect: await aspectOf(url) });
      return;
    }
    const kept = await findKeptMedia(photoId).catch(() => null);
    const url = kept
      ? URL.createObjectURL(kept)
      : `/api/jobs/${encodeURIComponent(jobId)}/media/${encodeURIComponent(photoId)}`;
    setFrozen({ url, blob: null, photoId, aspect: await aspectOf(url) });
  };
  return { frozen, freeze, thaw: () => setFrozen(null) };
}
