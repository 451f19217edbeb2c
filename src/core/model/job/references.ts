import { addFaults, type Fault, sayGot } from '../../base/fault';
import type { Entry } from '../log/entry';
import type { Inspection } from './inspection';
import type { Run } from './run';

/** Faults of ids: named twice, or naming something that is not in the file. */
export function findReferenceFaults(inspection: Inspection): Fault[] {
  const faults: Fault[] = [];
  const accessIds = uniqueIds(inspection.accessPoints, 'accessPoints', faults);
  const runIds = uniqueIds(inspection.runs, 'runs', faults);
  const lineIds = uniqueIds(inspection.lines ?? [], 'lines', faults);
  uniqueIds(inspection.ties, 'ties', faults);

  const expect = (path: string, known: ReadonlySet<string>, what: string, got: string) => {
    if (!known.has(got)) {
      faults.push({ path, expected: `the id of ${what} in this file`, got: sayGot(got) });
    }
  };

  // Absent or empty: chosen from the runs.
  const { referenceRunId } = inspection.job;
  if (referenceRunId && inspection.runs.length > 0) {
    expect('job.referenceRunId', runIds, 'a run', referenceRunId);
  }
  (inspection.lines ?? []).forEach((line, index) => {
    if (line.joins !== undefined) expect(`lines[${index}].joins`, lineIds, 'a line', line.joins);
  });
  inspection.runs.forEach((run, index) => {
    expect(`runs[${index}].accessPointId`, accessIds, 'an access point', run.accessPointId);
    if (run.lineId !== undefined && inspection.lines) {
      expect(`runs[${index}].lineId`, lineIds, 'a line', run.lineId);
    }
    addFaults(faults, entryReferenceFaults(run, `runs[${index}]`));
  });
  const entryIds = new Map(
    inspection.runs.map((run) => [run.id, new Set(run.entries.map((entry) => entry.id))]),
  );
  inspection.ties.forEach((tie, index) => {
    tie.sightings.forEach((sighting, at) => {
      const path = `ties[${index}].sightings[${at}]`;
      expect(`${path}.runId`, runIds, 'a run', sighting.runId);
      const known = entryIds.get(sighting.runId);
      if (known) expect(`${path}.entryId`, known, 'an entry of that run', sighting.entryId);
    });
  });
  (inspection.spans ?? []).forEach((span, index) => {
    const path = `spans[${index}]`;
    expect(`${path}.fromAccessPointId`, accessIds, 'an access point', span.fromAccessPointId);
    expect(`${path}.toAccessPointId`, accessIds, 'an access point', span.toAccessPointId);
  });
  return faults;
}

function entryReferenceFaults(run: Run, under: string): Fault[] {
  const faults: Fault[] = [];
  const known = new Map<string, string>();
  run.entries.forEach((entry, index) => {
    const text = JSON.stringify(entry);
    const before = known.get(entry.id);
    // The same entry sent twice is one entry; the same id on two different entries is a fault.
    if (before !== undefined && before !== text) {
      faults.push({
        path: `${under}.entries[${index}].id`,
        expected: 'an id that no other entry of this run has',
        got: sayGot(entry.id),
      });
    }
    known.set(entry.id, text);
  });
  const ids = new Set(run.entries.map((entry) => entry.id));
  return [...faults, ...findDanglingEntries(run.entries, ids, `${under}.entries`)];
}

/** The entries that one corrects, takes back or closes, by the field that names them. */
export function targetsOf(entry: Entry): [field: string, id: string][] {
  const targets: [string, string | undefined][] = [
    ['replaces', entry.replaces],
    ['retracts', entry.kind === 'retract' ? entry.retracts : undefined],
    ['closes', entry.kind === 'close' ? entry.closes : undefined],
    ['confirms', entry.kind === 'locate' ? entry.confirms : undefined],
  ];
  return targets.flatMap(([key, target]) => (target === undefined ? [] : [[key, target]]));
}

/**
 * Faults of entries that correct, close or take back something that is not in their run's log.
 *
 * @param known ids of the whole log.
 * @param under path of the list that holds the entries.
 */
export function findDanglingEntries(
  entries: readonly Entry[],
  known: ReadonlySet<string>,
  under: string,
): Fault[] {
  return entries.flatMap((entry, index) => {
    return targetsOf(entry).flatMap(([key, target]) =>
      known.has(target) && target !== entry.id
        ? []
        : [
            {
              path: `${under}[${index}].${key}`,
              expected: 'the id of another entry of this run',
              got: sayGot(target),
            },
          ],
    );
  });
}

function uniqueIds(
  items: readonly { readonly id: string }[],
  under: string,
  faults: Fault[],
): Set<string> {
  const seen = new Set<string>();
  items.forEach((item, index) => {
    if (seen.has(item.id)) {
      faults.push({
        path: `${under}[${index}].id`,
        expected: 'an id that nothing else in the list has',
        got: sayGot(item.id),
      });
    }
    seen.add(item.id);
  });
  return seen;
}
