import type { AccessPoint } from './access-point';
import type { FactsChange } from './facts';
import type { Inspection, Line, Span } from './inspection';
import type { Run } from './run';

/**
 * One field of a job that somebody set. Edits of different fields never meet, whoever makes them and in
 * whatever order they arrive; of two edits of one field the later stands.
 */
export type Edit = {
  /**
   * Where the field is: `job yearBuilt` style keys, a list's part by its id. `["property","yearBuilt"]`,
   * `["runs","R1","zero","dropFt"]`; `["runs","R1"]` is the whole part, as when it is added.
   */
  readonly path: readonly string[];
  /** What it is now; absent takes it out. */
  readonly value?: unknown;
};

/** What a screen changes. Only the fields that differ from what it showed become edits. */
export type Deed =
  | { readonly what: 'run'; readonly setup: Omit<Run, 'entries'> }
  | { readonly what: 'access'; readonly access: AccessPoint }
  | { readonly what: 'facts'; readonly facts: FactsChange };

type Plain = Readonly<Record<string, unknown>>;

/** Sections that are one object, field by field. */
export const OBJECT_SECTIONS = ['job', 'property', 'settings'] as const;
/** Sections that are lists of parts, each known by a key. */
export const LIST_SECTIONS = [
  'accessPoints',
  'runs',
  'lines',
  'ties',
  'spans',
  'decisions',
] as const;
export type ListSection = (typeof LIST_SECTIONS)[number];

/** Facts that belong to the record and not to a form. */
const FIXED = new Set(['job id']);
/** What parts of a list are known by: such a field never changes by itself. */
const KEY_FIELDS = new Set(['id', 'fromAccessPointId', 'toAccessPointId']);

/** What a span is known by. */
export const spanKey = ({ fromAccessPointId, toAccessPointId }: Span) =>
  `${fromAccessPointId} to ${toAccessPointId}`;

/** What a part of a list is known by. */
export function keyOf(section: ListSection, part: unknown): string {
  return section === 'spans' ? spanKey(part as Span) : (part as { id: string }).id;
}

function isPlain(value: unknown): value is Plain {
  return value !== null && typeof value === 'object' && !Array.isArray(value);
}

/** Whether two JSON values say the same, whatever the order of their keys. */
export function sameJson(a: unknown, b: unknown): boolean {
  if (Object.is(a, b)) return true;
  if (typeof a !== 'object' || typeof b !== 'object' || a === null || b === null) return false;
  if (Array.isArray(a) !== Array.isArray(b)) return false;
  const keys = Object.keys(a);
  return (
    keys.length === Object.keys(b).length &&
    keys.every((key) => Object.hasOwn(b, key) && sameJson((a as Plain)[key], (b as Plain)[key]))
  );
}

type Part = Plain & { readonly id: string };

/** The step to one part of a list inside a section: `@` and the part's id. */
const PART = '@';
const partStep = (id: string) => `${PART}${id}`;

/** Whether a list holds parts that are known by ids of their own, so that each may change by itself. */
function isPartList(value: unknown): value is readonly Part[] {
  if (!Array.isArray(value)) return false;
  const ids = new Set(value.map((one: unknown) => (isPlain(one) ? one['id'] : undefined)));
  return ids.size === value.length && [...ids].every((id) => typeof id === 'string');
}

/** A list with one part set, or taken out; a field of a part that is gone has nowhere to go. */
function setInList(list: readonly unknown[], id: string, rest: readonly string[], value: unknown) {
  const at = list.findIndex((one) => isPlain(one) && one['id'] === id);
  if (at < 0) return rest.length > 0 || value === undefined ? list : [...list, value];
  if (rest.length === 0 && value === undefined) return list.filter((_, index) => index !== at);
  const part = rest.length > 0 ? setIn(list[at], rest, value) : value;
  return list.map((one, index) => (index === at ? part : one));
}

/** A value with one field inside it set or, where `value` is absent, taken out. Makes own keys only. */
function setIn(within: unknown, [key, ...rest]: readonly string[], value: unknown): unknown {
  if (key!.startsWith(PART))
    return setInList(Array.isArray(within) ? within : [], key!.slice(PART.length), rest, value);
  const fields = new Map<string, unknown>(isPlain(within) ? Object.entries(within) : []);
  const inner = fields.get(key!);
  const laid = rest.length > 0 ? setIn(inner, rest, value) : value;
  const isNothing = isPlain(laid) && Object.keys(laid).length === 0 && inner === undefined;
  if (laid === undefined || (rest.length > 0 && isNothing)) fields.delete(key!);
  else fields.set(key!, laid);
  return Object.fromEntries(fields);
}

/** What stands at a path; `undefined` where nothing does. A run is read without its log. */
export function valueAt(inspection: Inspection, [section, ...keys]: readonly string[]): unknown {
  let value: unknown = inspection[section as keyof Inspection];
  if (isListSection(section)) {
    const [id, ...rest] = keys;
    const part = ((value ?? []) as readonly unknown[]).find((one) => keyOf(section, one) === id);
    value = section === 'runs' && part ? setupOf(part as Run) : part;
    keys = rest;
  }
  for (const key of keys) {
    if (key.startsWith(PART) && isPartList(value))
      value = value.find(({ id }) => id === key.slice(PART.length));
    else if (isPlain(value) && Object.hasOwn(value, key)) value = value[key];
    else return undefined;
  }
  return value;
}

export const isListSection = (section: string | undefined): section is ListSection =>
  (LIST_SECTIONS as readonly (string | undefined)[]).includes(section);

/** A run without its log. */
export function setupOf({ entries: _entries, ...setup }: Run): Omit<Run, 'entries'> {
  return setup;
}

function editList(
  inspection: Inspection,
  section: ListSection,
  path: readonly string[],
  value: unknown,
): Inspection {
  const list = (inspection[section] ?? []) as readonly unknown[];
  const [id, ...rest] = path;
  const at = list.findIndex((one) => keyOf(section, one) === id);
  const known = at < 0 ? undefined : (list[at] as Plain);
  // A field of a part that is not there (taken out meanwhile) has nowhere to go.
  if (rest.length > 0 && !known) return inspection;
  if (rest.length === 1 && KEY_FIELDS.has(rest[0]!)) return inspection;
  let part = (rest.length > 0 ? setIn(known, rest, value) : value) as Plain | undefined;
  if (section === 'runs' && part) part = { ...part, entries: known?.['entries'] ?? [] };
  const next =
    part === undefined
      ? list.filter((_, index) => index !== at)
      : at < 0
        ? [...list, part]
        : list.map((one, index) => (index === at ? part : one));
  return { ...inspection, [section]: next };
}

/** Lays edits over an inspection, in order, without checking them. */
export function applyEdits(inspection: Inspection, edits: readonly Edit[]): Inspection {
  return edits.reduce((after, { path, value }) => {
    const [section, ...keys] = path;
    if (keys.length === 0 || FIXED.has(path.join(' '))) return after;
    if (isListSection(section)) return editList(after, section, keys, value);
    return { ...after, [section!]: setIn(after[section as 'job'], keys, value) };
  }, inspection);
}

/** An object whose fields can be named by steps of a path. */
const isFielded = (value: unknown): value is Plain =>
  isPlain(value) && !Object.keys(value).some((key) => key.startsWith(PART));

/** The parts in which two lists differ; `null` where only their order does, or where they have no parts. */
function partDifferences(path: readonly string[], before: unknown, after: unknown): Edit[] | null {
  if (!isPartList(before) || !isPartList(after)) return null;
  const next = new Map(after.map((part) => [part.id, part]));
  const gone = before.filter(({ id }) => !next.has(id));
  const edits = [
    ...gone.map(({ id }): Edit => ({ path: [...path, partStep(id)] })),
    ...after.flatMap((part) => {
      const known = before.find(({ id }) => id === part.id);
      return differences([...path, partStep(part.id)], known, part);
    }),
  ];
  return edits.length > 0 ? edits : null;
}

/** The fields in which two values differ, as edits under a path. A list without parts is one field. */
function differences(path: readonly string[], before: unknown, after: unknown): Edit[] {
  if (sameJson(before, after)) return [];
  const parts = partDifferences(path, before ?? [], after);
  if (parts) return parts;
  // An object that is new, or that loses its last field, is set whole: an empty one cannot be told by fields.
  const isWhole = !isFielded(before) || !isFielded(after) || Object.keys(after).length === 0;
  if (isWhole) return after === undefined ? [{ path }] : [{ path, value: after }];
  const keys = new Set([...Object.keys(before), ...Object.keys(after)]);
  return [...keys].flatMap((key) => differences([...path, key], before[key], after[key]));
}

function replaceList(
  inspection: Inspection,
  section: 'lines' | 'spans',
  next: readonly (Line | Span)[],
) {
  const before = (inspection[section] ?? []) as readonly (Line | Span)[];
  const keys = new Set(next.map((part) => keyOf(section, part)));
  const gone = before.map((part) => keyOf(section, part)).filter((key) => !keys.has(key));
  return [
    ...gone.map((key): Edit => ({ path: [section, key] })),
    ...next.flatMap((part) => {
      const path = [section, keyOf(section, part)];
      return differences(path, valueAt(inspection, path), part);
    }),
  ];
}

function editsOfFacts(inspection: Inspection, facts: FactsChange): Edit[] {
  const edits: Edit[] = [];
  for (const section of OBJECT_SECTIONS)
    for (const [field, value] of Object.entries(facts[section] ?? {})) {
      if (FIXED.has(`${section} ${field}`)) continue;
      const path = [section, field];
      edits.push(...differences(path, valueAt(inspection, path), value ?? undefined));
    }
  for (const section of ['lines', 'spans'] as const) {
    const next = facts[section];
    if (next) edits.push(...replaceList(inspection, section, next));
  }
  // A tie or a decision is one word said at once: it is set whole.
  for (const section of ['ties', 'decisions'] as const)
    for (const [id, part] of Object.entries(facts[section] ?? {})) {
      const path = [section, id];
      if (!sameJson(valueAt(inspection, path), part ?? undefined))
        edits.push(part === null ? { path } : { path, value: part });
    }
  return edits;
}

/** The fields that a screen's change sets, over the inspection that the screen showed. */
export function editsOf(inspection: Inspection, deed: Deed): Edit[] {
  if (deed.what === 'facts') return editsOfFacts(inspection, deed.facts);
  const [section, part] =
    deed.what === 'run'
      ? (['runs', deed.setup] as const)
      : (['accessPoints', deed.access] as const);
  const path = [section, part.id];
  return differences(path, valueAt(inspection, path), part);
}

/** Whether two edits meet: the same field, or one a part of the other. */
export function doMeet(a: readonly string[], b: readonly string[]): boolean {
  const shorter = Math.min(a.length, b.length);
  return a.slice(0, shorter).every((key, index) => key === b[index]);
}
