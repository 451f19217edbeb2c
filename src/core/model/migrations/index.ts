import { accessAlongLine } from './access-along-line';
import type { Lift, StoredRecord } from './lift';

/** In the order in which they came. */
const LIFTS: readonly Lift[] = [accessAlongLine];

const isObject = (value: unknown): value is Readonly<Record<string, unknown>> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** A stored record as it is written today; the very same where nothing of it is old, or where it is none. */
export function liftRecord(kind: StoredRecord, record: unknown): unknown {
  if (!isObject(record)) return record;
  return LIFTS.reduce(
    (now, { record: of, isOld, lift }) => (of === kind && isOld(now) ? lift(now) : now),
    record,
  );
}

/** Lifts every record of an inspection of unknown shape: it is checked afterwards. */
export function liftInspection(file: Readonly<Record<string, unknown>>): unknown {
  const listOf = (kind: StoredRecord, value: unknown): unknown => {
    if (!Array.isArray(value)) return value;
    const list: readonly unknown[] = value;
    const lifted = list.map((one) => liftRecord(kind, one));
    return lifted.every((one, at) => one === list[at]) ? list : lifted;
  };
  const runOf = (run: unknown): unknown => {
    const setup = liftRecord('run', run);
    if (!isObject(setup) || !('entries' in setup)) return setup;
    const entries = listOf('entry', setup['entries']);
    return entries === setup['entries'] ? setup : { ...setup, entries };
  };
  const accessPoints = listOf('access-point', file['accessPoints']);
  const given: unknown = file['runs'];
  const runs: unknown = Array.isArray(given) ? given.map(runOf) : given;
  const isSame =
    accessPoints === file['accessPoints'] &&
    (!Array.isArray(given) || given.every((run, at) => run === (runs as unknown[])[at]));
  return isSame ? file : { ...file, accessPoints, ...(runs === undefined ? {} : { runs }) };
}
