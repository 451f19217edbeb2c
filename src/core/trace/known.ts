/** Steps to which numbers are rounded when they are said. */
export const MIN_TENTH = [0.1, 0.25, 0.5, 0.01] as const;

/** Numbers compare as they are printed: to the hundredth. */
export function isKnown(known: ReadonlySet<number>, said: number): boolean {
  if (known.has(said)) return true;
  for (const value of known) if (Math.abs(value - said) < 0.0051) return true;
  return false;
}
