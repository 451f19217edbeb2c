import { useState } from 'react';
import type { Light } from '#ui/TopBar';

/** The light of the page, switched in place and remembered for the next one. */
export function useLight(stored: Light): [Light, (next: Light) => void] {
  const [light, setLight] = useState(stored);
  return [
    light,
    (next) => {
      setLight(next);
      document.documentElement.dataset['light'] = next;
      document.cookie = `light=${next}; path=/; max-age=31536000; samesite=lax`;
    },
  ];
}
