import { addFaults, type Fault, faultsFromJoi, type Outcome, sayGot } from '../base/fault';
import { VALIDATION } from '../base/joi';
import { countJsonValues, FILE_LIMITS, findLimitFaults } from '../base/limits';
import { FORMAT, FORMAT_VERSION, type Inspection } from '../model/job/inspection';
import { inspectionSchema } from '../model/job/inspection.schema';
import { findReferenceFaults } from '../model/job/references';
import { checkEntry } from '../model/log/entry.schema';
import { liftInspection } from '../model/migrations/index';
import { writeCanonical } from './canonical';

/** The most faults that are listed at once; a file with more says how many were left out. */
const MOST_FAULTS = 200;

/**
 * Reads the text of an inspection file.
 *
 * @returns the inspection as it is written today with unknown keys kept, or every fault found, each with its path.
 */
export function readInspectionFile(text: string): Outcome<Inspection> {
  const { values: most } = FILE_LIMITS;
  if (countJsonValues(text) > most)
    return fail([
      { path: '', expected: `at most ${most.toLocaleString('en-US')} values`, got: 'more' },
    ]);
  let value: unknown;
  try {
    value = JSON.parse(text.replace(/^\uFEFF/, ''));
  } catch (error) {
    return fail([
      {
        path: '',
        expected: 'JSON',
        got: error instanceof Error ? error.message : 'something else',
        next: 'export the file again from Chert, or correct the JSON',
      },
    ]);
  }
  return checkInspection(value);
}

/** Checks a parsed inspection of unknown shape; see `readInspectionFile`. */
export function checkInspection(value: unknown): Outcome<Inspection> {
  if (value === null || typeof value !== 'object' || Array.isArray(value)) {
    return fail([{ path: '', expected: 'an inspection (an object)', got: sayGot(value) }]);
  }
  const head = value as { format?: unknown; version?: unknown; runs?: unknown };
  if (head.format === FORMAT && typeof head.version === 'number' && head.version > FORMAT_VERSION) {
    return fail([
      {
        path: 'version',
        expected: String(FORMAT_VERSION),
        got: sayGot(head.version),
        next: 'this file was written by a newer Chert; update this one to read it',
      },
    ]);
  }
  // Before anything is checked: what is checked here is small enough to be.
  const tooLarge = findLimitFaults(value);
  if (tooLarge.length > 0) return fail(tooLarge);
  const tooMany = stillsFault(head.runs);
  if (tooMany) return fail([tooMany]);
  const lifted = liftInspection(value as Record<string, unknown>);
  const faults: Fault[] = [];
  const { error } = inspectionSchema.validate(lifted, VALIDATION);
  if (error) addFaults(faults, faultsFromJoi(error));
  if (Array.isArray(head.runs)) {
    head.runs.forEach((run: unknown, runIndex) => {
      const entries = (run as { entries?: unknown } | null)?.entries;
      if (!Array.isArray(entries)) return;
      entries.forEach((entry: unknown, index) => {
        const outcome = checkEntry(entry, ['runs', runIndex, 'entries', index]);
        if (!outcome.ok) addFaults(faults, outcome.faults);
      });
    });
  }
  if (faults.length > 0) return fail(faults);
  const inspection = lifted as Inspection;
  const dangling = findReferenceFaults(inspection);
  return dangling.length > 0 ? fail(dangling) : { ok: true, value: inspection };
}

/** The most stills of one job; a long day has some hundreds. */
const MOST_STILLS = 5_000;

/** Whether the entries of a file name more stills than a job may have. */
function stillsFault(runs: unknown): Fault | null {
  const lists = Array.isArray(runs)
    ? runs.map((run: { entries?: unknown } | null) => run?.entries)
    : [];
  let count = 0;
  for (const list of lists)
    for (const entry of Array.isArray(list) ? (list as ({ photoIds?: unknown } | null)[]) : [])
      count += Array.isArray(entry?.photoIds) ? entry.photoIds.length : 0;
  if (count <= MOST_STILLS) return null;
  return { path: 'runs', expected: `at most ${MOST_STILLS} stills`, got: String(count) };
}

/** Writes an inspection as the text of its file, in canonical form. */
export function writeInspectionFile(inspection: Inspection): string {
  return writeCanonical(inspection);
}

function fail(faults: readonly Fault[]): Outcome<Inspection> {
  if (faults.length <= MOST_FAULTS) return { ok: false, faults };
  const rest = faults.length - MOST_FAULTS;
  return {
    ok: false,
    faults: [
      ...faults.slice(0, MOST_FAULTS),
      { path: 'file', expected: 'fewer faults', got: `${rest} more than are listed here` },
    ],
  };
}
