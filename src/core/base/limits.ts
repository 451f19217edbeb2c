import { type Fault, sayPath } from './fault';

/** How large a value may be before anything looks at what it says. */
export type Limits = {
  /** Lists and objects in one another. */
  readonly depth: number;
  /** Things in a list, by the field that holds it. */
  readonly lists: Readonly<Record<string, number>>;
  /** Things in any other list. */
  readonly list: number;
  /** Fields of one object, and characters of a field's name. */
  readonly fields: number;
  readonly name: number;
  /** Characters of one text. */
  readonly text: number;
  /** Values in all. */
  readonly values: number;
};

/** Limits of an inspection file. A day's log of 5,000 entries is a fortieth of what fits. */
export const FILE_LIMITS: Limits = {
  depth: 24,
  lists: {
    entries: 100_000,
    runs: 500,
    accessPoints: 500,
    lines: 500,
    spans: 2_000,
    ties: 10_000,
    decisions: 10_000,
    photoIds: 200,
    history: 500,
    surroundings: 500,
    sightings: 100,
    swings: 50,
    candidates: 50,
    bendsDeg: 20,
    localRules: 200,
  },
  list: 10_000,
  fields: 20_000,
  name: 500,
  text: 100_000,
  values: 1_500_000,
};

/** So many faults are told; a value with more is not looked at any further. */
const MOST_FAULTS = 20;

const count = (value: number) => value.toLocaleString('en-US');

/** Where a value is: what it is in, and the step to it from there. Millions of paths would be too many. */
type Place = {
  readonly within: Place | null;
  readonly step: string | number;
  readonly depth: number;
};
type Seen = { readonly value: unknown; readonly place: Place | null; readonly limit: number };

function pathOf(place: Place | null): (string | number)[] {
  const steps: (string | number)[] = [];
  for (let at = place; at; at = at.within) steps.push(at.step);
  return steps.reverse();
}

/**
 * Finds where a parsed value is larger than it may be, or holds text that is no text (half a surrogate
 * pair). Looks at each value once and goes into nothing that is too large, so that its own work is bounded.
 */
export function findLimitFaults(root: unknown, limits: Limits = FILE_LIMITS): Fault[] {
  const faults: Fault[] = [];
  const say = (place: Place | null, expected: string, got: string) =>
    faults.push({ path: sayPath(pathOf(place)), expected, got });
  const stack: Seen[] = [{ value: root, place: null, limit: limits.list }];
  let values = 0;
  for (let seen = stack.pop(); seen && faults.length < MOST_FAULTS; seen = stack.pop()) {
    const { value, place, limit } = seen;
    const depth = (place?.depth ?? 0) + 1;
    const inside = (step: string | number): Place => ({ within: place, step, depth });
    values += 1;
    if (values > limits.values) {
      say(null, `at most ${count(limits.values)} values`, 'more');
      break;
    }
    if (typeof value === 'string') {
      if (value.length > limits.text)
        say(place, `text of at most ${count(limits.text)} characters`, count(value.length));
      else if (!value.isWellFormed()) say(place, 'text of whole characters', 'half of a character');
    }
    if (typeof value !== 'object' || value === null) continue;
    if (depth > limits.depth) {
      say(place, `at most ${limits.depth} lists and objects in one another`, 'more');
    } else if (Array.isArray(value)) {
      if (value.length > limit)
        say(place, `a list of at most ${count(limit)}`, count(value.length));
      else
        pushAll(stack, value, (one: unknown, index) => {
          return { value: one, place: inside(index), limit: limits.list };
        });
    } else {
      const fields = Object.entries(value);
      const bad = fields.find(([name]) => name.length > limits.name || !name.isWellFormed());
      if (fields.length > limits.fields)
        say(place, `an object of at most ${count(limits.fields)} fields`, count(fields.length));
      else if (bad)
        say(place, `names of at most ${limits.name} whole characters`, `one of ${bad[0].length}`);
      else
        pushAll(stack, fields, ([name, one]: [string, unknown]) => {
          const limit = Object.hasOwn(limits.lists, name) ? limits.lists[name]! : limits.list;
          return { value: one, place: inside(name), limit };
        });
    }
  }
  return faults;
}

/**
 * Counts the values of a JSON text without reading it: brackets, braces and commas outside of its strings.
 * What would be far too much is refused before memory is spent on it.
 *
 * @returns a count that is never less than the values in it.
 */
export function countJsonValues(text: string): number {
  let values = 1;
  let isInString = false;
  for (let at = 0; at < text.length; at += 1) {
    const sign = text.charCodeAt(at);
    if (isInString) {
      if (sign === BACKSLASH) at += 1;
      else if (sign === QUOTE) isInString = false;
    } else if (sign === QUOTE) isInString = true;
    else if (sign === COMMA || sign === BRACKET || sign === BRACE) values += 1;
  }
  return values;
}

const [QUOTE, BACKSLASH, COMMA, BRACKET, BRACE] = Array.from('"\\,[{', (sign) =>
  sign.charCodeAt(0),
);

/** Puts things on a stack so that the first comes off first. */
function pushAll<T>(
  stack: Seen[],
  things: readonly T[],
  seenOf: (thing: T, index: number) => Seen,
): void {
  for (let index = things.length - 1; index >= 0; index -= 1)
    stack.push(seenOf(things[index]!, index));
}
