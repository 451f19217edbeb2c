import type Joi from 'joi';

/** One thing wrong with what was given: where, what was expected, what came, what to do next. */
export type Fault = {
  readonly path: string;
  readonly expected: string;
  readonly got: string;
  readonly next?: string;
};

/** A value or every fault that kept it from being one. */
export type Outcome<T> =
  | { readonly ok: true; readonly value: T }
  | { readonly ok: false; readonly faults: readonly Fault[] };

/** The fault on one line: `runs[0].entries[3].readingFt: expected …, got …`. */
export function sayFault(fault: Fault): string {
  const next = fault.next ? ` (${fault.next})` : '';
  return `${fault.path || 'file'}: expected ${fault.expected}, got ${fault.got}${next}`;
}

/** Adds faults to a list, however many there are. */
export function addFaults(to: Fault[], more: readonly Fault[]): void {
  for (const fault of more) to.push(fault);
}

/** A path of keys and indexes as people write it: `runs[0].entries[3].readingFt`. */
export function sayPath(path: readonly (string | number)[]): string {
  return path.reduce<string>((text, step) => {
    if (typeof step === 'number') return `${text}[${step}]`;
    return text ? `${text}.${step}` : step;
  }, '');
}

/** What was given, short enough to print. `undefined` reads "nothing". */
export function sayGot(value: unknown): string {
  if (value === undefined) return 'nothing';
  if (typeof value === 'number') return String(value);
  if (Array.isArray(value)) return `a list of ${value.length}`;
  if (value !== null && typeof value === 'object') return 'an object';
  if (typeof value === 'function' || typeof value === 'symbol') return `a ${typeof value}`;
  const text = JSON.stringify(value);
  return text.length > 80 ? `${text.slice(0, 77)}…"` : text;
}

type Context = {
  limit?: unknown;
  valids?: unknown[];
  multiple?: number;
  value?: unknown;
  label?: string;
};

const EXPECTED: Record<string, (context: Context) => string> = {
  'any.required': () => 'a value here',
  'any.only': ({ valids }) => `one of ${(valids ?? []).map((v) => JSON.stringify(v)).join(', ')}`,
  'number.base': () => 'a number',
  'number.infinity': () => 'a finite number',
  'number.unsafe': () => 'a number within the safe range',
  'number.integer': () => 'a whole number',
  'number.min': ({ limit }) => `a number of ${String(limit)} or more`,
  'number.max': ({ limit }) => `a number of ${String(limit)} or less`,
  'number.greater': ({ limit }) => `a number above ${String(limit)}`,
  'number.multiple': ({ multiple }) => `a multiple of ${multiple}`,
  'string.base': () => 'text',
  'string.empty': () => 'text that is not empty',
  'string.min': ({ limit }) => `text of ${String(limit)} characters or more`,
  'string.max': ({ limit }) => `text of ${String(limit)} characters or fewer`,
  'string.pattern.name': ({ label }) => String(label),
  'boolean.base': () => 'true or false',
  'array.base': () => 'a list',
  'array.min': ({ limit }) => `a list of ${String(limit)} or more`,
  'array.max': ({ limit }) => `a list of ${String(limit)} or fewer`,
  'object.base': () => 'an object',
  'object.unknown': () => 'no such field',
  'chert.instant': () => 'a time in ISO 8601 with its offset, such as 2026-11-03T09:00:00-08:00',
  'chert.day': () => 'a day of the calendar as YYYY-MM-DD',
  'chert.ladder': ({ limit }) => `bounds in order: ${String(limit)}`,
  'chert.price': ({ limit }) => `a price that can be right (this has ${String(limit)})`,
  'chert.picture': () => 'a small PNG or JPEG as a data URL',
  'chert.hour': () => 'a time of day as HH:MM',
};

/** Turns what Joi found into faults, with `under` put before each path. */
export function faultsFromJoi(
  error: Joi.ValidationError,
  under: readonly (string | number)[] = [],
): Fault[] {
  // One value may break several rules at once; its first fault says what it should be.
  const said = new Set<string>();
  return error.details.flatMap((detail) => {
    const context = (detail.context ?? {}) as Context;
    const say = EXPECTED[detail.type];
    const path = sayPath([...under, ...detail.path]);
    if (said.has(path)) return [];
    said.add(path);
    return [{ path, expected: say ? say(context) : detail.type, got: sayGot(context.value) }];
  });
}
