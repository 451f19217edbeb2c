import { useState } from 'react';
import type { ToClear } from '#core/judge/to-clear';

/** What was to clear when this was opened, or since, and is cleared now. */
export function useTicked(items: readonly ToClear[]): readonly ToClear[] {
  const [known, setKnown] = useState<readonly ToClear[]>(items);
  const keys = new Set(known.map(({ key }) => key));
  const fresh = items.filter(({ key }) => !keys.has(key));
  // What comes up later is remembered too, so that it can be ticked in its turn.
  if (fresh.length > 0) setKnown([...known, ...fresh]);
  const open = new Set(items.map(({ key }) => key));
  return known.filter(({ key }) => !open.has(key));
}
