import type { Fault, Outcome } from '../base/fault';
import { faultsFromJoi, sayGot } from '../base/fault';
import { VALIDATION } from '../base/joi';
import { periodFault } from './booking';
import { findReferenceFaults } from './references';
import type { Decision, Inspection, Line, Span, Tie } from './inspection';
import { decisionSchema, lineSchema, spanSchema, tieSchema } from './inspection';
import type { Job } from './job';
import { jobSchema } from './job';
import type { Property } from './property';
import { propertySchema } from './property';
import { type Settings, settingsSchema } from './settings';

/**
 * A change of a job's facts: fields laid over the ones there are, `null` takes one out; ties and decisions
 * go by their ids; lines and spans replace theirs whole.
 */
export type FactsChange = {
  readonly job?: Nullable<Partial<Omit<Job, 'id' | 'referenceRunId'>>>;
  readonly property?: Nullable<Partial<Property>>;
  readonly lines?: readonly Line[];
  readonly spans?: readonly Span[];
  readonly ties?: Readonly<Record<string, Tie | null>>;
  readonly decisions?: Readonly<Record<string, Decision | null>>;
  readonly settings?: Nullable<Partial<Settings>>;
};

type Nullable<T> = { readonly [K in keyof T]: T[K] | null };

const OBJECTS = ['job', 'property', 'ties', 'decisions', 'settings'] as const;

/** Facts that belong to the record and not to a form. */
const FIXED = ['id', 'referenceRunId'];

function lay<T extends object>(facts: T, change: object | undefined): T {
  const laid = new Map<string, unknown>(Object.entries(facts));
  for (const [field, value] of Object.entries(change ?? {})) {
    if (FIXED.includes(field)) continue;
    if (value === null) laid.delete(field);
    else laid.set(field, value);
  }
  return Object.fromEntries(laid) as T;
}

/** Puts parts by their ids: over the one with that id, at the end when it is new, out when `null`. */
function layParts<T extends { readonly id: string }>(
  parts: readonly T[],
  change: Readonly<Record<string, T | null>> | undefined,
): readonly T[] {
  if (!change) return parts;
  const laid = new Map<string, T>(parts.map((part) => [part.id, part]));
  for (const [id, part] of Object.entries(change)) {
    if (part === null) laid.delete(id);
    else laid.set(id, part);
  }
  return [...laid.values()];
}

/** Lays a change over an inspection, without checking it. */
export function applyFacts(inspection: Inspection, change: FactsChange): Inspection {
  return {
    ...inspection,
    job: lay(inspection.job, change.job),
    property: lay(inspection.property, change.property),
    ...(change.lines ? { lines: change.lines } : {}),
    ...(change.spans ? { spans: change.spans } : {}),
    ties: layParts(inspection.ties, change.ties),
    decisions: layParts(inspection.decisions, change.decisions),
    settings: lay(inspection.settings, change.settings),
  };
}

/** Checks a change of unknown shape against the job it is for: the facts afterwards must be whole. */
export function checkFacts(inspection: Inspection, value: unknown): Outcome<Inspection> {
  if (value === null || typeof value !== 'object' || Array.isArray(value))
    return { ok: false, faults: [{ path: '', expected: 'facts (an object)', got: sayGot(value) }] };
  const change = value as FactsChange;
  const faults: Fault[] = OBJECTS.flatMap((part) => {
    const said: unknown = change[part];
    return said === undefined || (typeof said === 'object' && said !== null && !Array.isArray(said))
      ? []
      : [{ path: part, expected: 'an object', got: sayGot(said) }];
  });
  if (faults.length > 0) return { ok: false, faults };
  const after = applyFacts(inspection, change);
  const check = (schema: typeof jobSchema, part: unknown, path: (string | number)[]) => {
    const { error } = schema.validate(part, VALIDATION);
    if (error) faults.push(...faultsFromJoi(error, path));
  };
  check(jobSchema, after.job, ['job']);
  check(propertySchema, after.property, ['property']);
  const lists = { lines: lineSchema, spans: spanSchema } as const;
  for (const [name, schema] of Object.entries(lists) as ['lines' | 'spans', typeof lineSchema][]) {
    const list: unknown = change[name];
    if (list === undefined) continue;
    if (!Array.isArray(list)) faults.push({ path: name, expected: 'a list', got: sayGot(list) });
    else list.forEach((item: unknown, index) => check(schema, item, [name, index]));
  }
  check(settingsSchema, after.settings, ['settings']);
  const parts = { ties: tieSchema, decisions: decisionSchema } as const;
  for (const [name, schema] of Object.entries(parts) as [
    'ties' | 'decisions',
    typeof tieSchema,
  ][]) {
    for (const [id, part] of Object.entries(change[name] ?? {})) {
      if (part === null) continue;
      check(schema, part, [name, id]);
      const said: unknown = (part as { id?: unknown }).id;
      if (said !== id) faults.push({ path: `${name}.${id}.id`, expected: id, got: sayGot(said) });
    }
  }
  if (faults.length === 0) {
    faults.push(...findReferenceFaults(after).filter(({ path }) => path.startsWith('ties')));
  }
  const late = faults.length === 0 ? periodFault(after.job) : null;
  if (late) faults.push({ ...late, path: `job.${late.path}` });
  return faults.length > 0 ? { ok: false, faults } : { ok: true, value: after };
}
