import { useEffect, useState } from 'react';

type Acts = Readonly<Record<string, (...args: never[]) => unknown>>;

function hold<T extends Acts>(acts: T) {
  let now = acts;
  const steady = Object.fromEntries(
    Object.keys(acts).map((name) => [name, (...args: never[]) => now[name]!(...args)]),
  ) as T;
  return {
    steady,
    renew: (next: T) => {
      now = next;
    },
  };
}

/**
 * One object for as long as the screen lives, whose functions do what those given last do: a part that gets it is
 * not drawn anew for it. The names stay those of the first time.
 */
export function useSteady<T extends Acts>(acts: T): T {
  const [held] = useState(() => hold(acts));
  useEffect(() => held.renew(acts));
  return held.steady;
}
