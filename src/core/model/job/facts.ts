import type Joi from 'joi';
import type { Fault, Outcome } from '../../base/fault';
import { faultsFromJoi, sayGot } from '../../base/fault';
import { VALIDATION } from '../../base/joi';
import { accessPointSchema } from './access-point.schema';
import { periodFault } from './booking';
import {
  applyEdits,
  type Edit,
  editsOf,
  isListSection,
  keyOf,
  LIST_SECTIONS,
  OBJECT_SECTIONS,
  valueAt,
} from './edits';
import type { Decision, Inspection, Line, Span, Tie } from './inspection';
import { decisionSchema, lineSchema, spanSchema, tieSchema } from './inspection.schema';
import type { Job } from './job';
import { jobSchema } from './job.schema';
import type { Property } from './property';
import { propertySchema } from './property.schema';
import { findReferenceFaults } from './references';
import { runSetupSchema } from './run.schema';
import { type Settings } from './settings';
import { settingsSchema } from './settings.schema';

/**
 * A change of a job's facts as a screen makes it: fields laid over the ones there are, `null` takes one
 * out; ties and decisions go by their ids; lines and spans are given as they are to be.
 */
export type FactsChange = {
  readonly job?: Nullable<Partial<Omit<Job, 'id'>>>;
  readonly property?: Nullable<Partial<Property>>;
  readonly lines?: readonly Line[];
  readonly spans?: readonly Span[];
  readonly ties?: Readonly<Record<string, Tie | null>>;
  readonly decisions?: Readonly<Record<string, Decision | null>>;
  readonly settings?: Nullable<Partial<Settings>>;
};

type Nullable<T> = { readonly [K in keyof T]: T[K] | null };

const SCHEMAS: Readonly<Record<string, Joi.Schema>> = {
  job: jobSchema,
  property: propertySchema,
  settings: settingsSchema,
  accessPoints: accessPointSchema,
  runs: runSetupSchema,
  lines: lineSchema,
  ties: tieSchema,
  spans: spanSchema,
  decisions: decisionSchema,
};

/** The most fields that one change may set, the most steps of a path, and the longest step. */
const MOST_EDITS = 1_000;
const MOST_STEPS = 12;
const MOST_STEP_LENGTH = 420;

/** Lays a change over an inspection, without checking it. */
export function applyFacts(inspection: Inspection, facts: FactsChange): Inspection {
  return applyEdits(inspection, editsOf(inspection, { what: 'facts', facts }));
}

/** Checks a screen's change against the job it is for: the facts afterwards must be whole. */
export function checkFacts(inspection: Inspection, facts: FactsChange): Outcome<Inspection> {
  return checkEdits(inspection, editsOf(inspection, { what: 'facts', facts }));
}

/** A part of a list is set as an object; runs and access points, which a log hangs on, stay. */
function partFaults({ path: [section, key], value }: Edit, index: number): Fault[] {
  if (!isListSection(section)) return [];
  const isObject = value !== null && typeof value === 'object' && !Array.isArray(value);
  const mayGo = section !== 'runs' && section !== 'accessPoints';
  if (value === undefined && mayGo) return [];
  if (isObject) {
    const known: unknown = keyOf(section, value);
    if (known === key) return [];
    return [{ path: `${section}.${key}.id`, expected: key!, got: sayGot(known) }];
  }
  const expected = mayGo ? 'an object, or nothing to take it out' : 'an object';
  const next = mayGo ? {} : { next: `${section} ${key} stays in the record` };
  return [{ path: `edits[${index}].value`, expected, got: sayGot(value), ...next }];
}

function shapeFaults(edits: unknown): Fault[] {
  if (!Array.isArray(edits) || edits.length > MOST_EDITS) {
    const got = sayGot(edits);
    return [{ path: 'edits', expected: `a list of at most ${MOST_EDITS} edits`, got }];
  }
  const known = new Set<unknown>([...OBJECT_SECTIONS, ...LIST_SECTIONS]);
  return edits.flatMap((edit: unknown, index) => {
    const path: unknown = (edit as { path?: unknown } | null)?.path;
    const isPath =
      Array.isArray(path) &&
      path.length >= 2 &&
      path.length <= MOST_STEPS &&
      known.has(path[0]) &&
      path.every((step) => typeof step === 'string' && step.length <= MOST_STEP_LENGTH);
    if (isPath) return path.length === 2 ? partFaults(edit as Edit, index) : [];
    const expected = `a path of 2 to ${MOST_STEPS} keys that begins with one of ${[...known].join(', ')}`;
    return [{ path: `edits[${index}].path`, expected, got: sayGot(path) }];
  });
}

/**
 * Checks edits of unknown shape against the job they are for. Every section or part that they touch must
 * be whole afterwards.
 *
 * @returns the inspection with the edits laid over it, or every fault.
 */
export function checkEdits(inspection: Inspection, edits: unknown): Outcome<Inspection> {
  const faults = shapeFaults(edits);
  if (faults.length > 0) return { ok: false, faults };
  const known = edits as readonly Edit[];
  const after = applyEdits(inspection, known);
  const touched = new Map(
    known.map(({ path }) => {
      const place = isListSection(path[0]) ? path.slice(0, 2) : path.slice(0, 1);
      return [JSON.stringify(place), place];
    }),
  );
  for (const place of touched.values()) {
    const part = valueAt(after, place);
    // Taken out.
    if (part === undefined) continue;
    const { error } = SCHEMAS[place[0]!]!.validate(part, VALIDATION);
    if (error) faults.push(...faultsFromJoi(error, place));
  }
  if (faults.length === 0) {
    const touches = (section: string) => known.some(({ path }) => path[0] === section);
    const about = ['ties', 'runs', 'spans', 'job'].filter(touches);
    faults.push(
      ...findReferenceFaults(after).filter(({ path }) =>
        about.some((section) => path.startsWith(section) && !path.includes('.entries[')),
      ),
    );
  }
  const late = faults.length === 0 ? periodFault(after.job) : null;
  if (late) faults.push({ ...late, path: `job.${late.path}` });
  return faults.length > 0 ? { ok: false, faults } : { ok: true, value: after };
}
