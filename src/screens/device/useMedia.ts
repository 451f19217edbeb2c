import { useEffect, useState } from 'react';
import { findKeptMedia } from '#client/store';

/** Where a still or a voice note can be shown from: this device while it holds it, else the server. */
export function useMedia(jobId: string, id: string | null): string | null {
  const [url, setUrl] = useState<string | null>(null);
  useEffect(() => {
    setUrl(null);
    if (id === null) return;
    let made: string | null = null;
    let isOver = false;
    const path = `/api/jobs/${encodeURIComponent(jobId)}/media/${encodeURIComponent(id)}`;
    findKeptMedia(id)
      .then((blob) => {
        if (isOver) return;
        if (blob) made = URL.createObjectURL(blob);
        setUrl(made ?? path);
      })
      .catch(() => setUrl(path));
    return () => {
      isOver = true;
      if (made) URL.revokeObjectURL(made);
    };
  }, [jobId, id]);
  return url;
}
