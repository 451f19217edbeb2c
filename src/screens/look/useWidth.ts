import { type RefObject, useEffect, useState } from 'react';

/** The width of an element as it is laid out, pixels; `before` until that is known. */
export function useWidth(ref: RefObject<HTMLElement | null>, before: number): number {
  const [width, setWidth] = useState(before);
  useEffect(() => {
    const element = ref.current;
    if (!element) return;
    const observer = new ResizeObserver(([entry]) => {
      const next = Math.round(entry!.contentRect.width);
      if (next > 0) setWidth(next);
    });
    observer.observe(element);
    return () => observer.disconnect();
  }, [ref]);
  return width;
}
