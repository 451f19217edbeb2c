/**
 * Remembers what was computed of an object for as long as the object lives. For pure functions of
 * frozen data only: the answer is the same, it is only not worked out twice.
 */
export function memoOf<K extends object, T>(compute: (key: K) => T): (key: K) => T {
  const known = new WeakMap<K, { readonly value: T }>();
  return (key) => {
    const found = known.get(key);
    if (found) return found.value;
    const value = compute(key);
    known.set(key, { value });
    return value;
  };
}

/** The same, of two objects together. */
export function memoOfBoth<A extends object, B extends object, T>(
  compute: (a: A, b: B) => T,
): (a: A, b: B) => T {
  const of = memoOf((a: A) => memoOf((b: B) => compute(a, b)));
  return (a, b) => of(a)(b);
}

/**
 * Index of the last item whose `startOf` is at or below `at`, in a list sorted by it; −1 when none.
 */
export function lastAtOrBelow<T>(
  sorted: readonly T[],
  at: number,
  startOf: (item: T) => number,
): number {
  let low = 0;
  let high = sorted.length;
  while (low < high) {
    const middle = (low + high) >>> 1;
    if (startOf(sorted[middle]!) <= at) low = middle + 1;
    else high = middle;
  }
  return low - 1;
}
