import { useState } from 'react';

/**
 * A value that shows what was just chosen until the real one has caught up: a screen that is drawn as
 * there is time must not let a tick jump back in between.
 */
export function useHeld<T>(value: T): readonly [shown: T, hold: (next: T) => void] {
  const [held, setHeld] = useState<{ readonly over: T; readonly next: T } | null>(null);
  const shown = held !== null && Object.is(held.over, value) ? held.next : value;
  return [shown, (next) => setHeld({ over: value, next })];
}
