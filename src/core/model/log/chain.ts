/**
 * Answers by id that rest on the answers for other ids: worked out once each and without recursion, however
 * long a chain is and in whatever order it stands in the log.
 *
 * @param restsOn the ids whose answers are needed first.
 * @param answer works out one answer from those.
 * @param atLoop what counts for an id whose own answer is being worked out: a chain that bites its tail.
 */
export function answersInChain<T>(
  restsOn: (id: string) => readonly string[],
  answer: (id: string, of: (id: string) => T) => T,
  atLoop: (id: string) => T,
): (id: string) => T {
  const known = new Map<string, T>();
  const open = new Set<string>();
  const of = (id: string): T => (known.has(id) ? known.get(id)! : atLoop(id));
  return (wanted) => {
    const stack = known.has(wanted) ? [] : [wanted];
    for (let id = stack.at(-1); id !== undefined; id = stack.at(-1)) {
      const isNew = !known.has(id) && !open.has(id);
      const missing = isNew ? restsOn(id).filter((one) => !known.has(one) && !open.has(one)) : [];
      if (missing.length > 0) {
        open.add(id);
        for (const one of missing) stack.push(one);
        continue;
      }
      stack.pop();
      open.delete(id);
      if (!known.has(id)) known.set(id, answer(id, of));
    }
    return of(wanted);
  };
}
