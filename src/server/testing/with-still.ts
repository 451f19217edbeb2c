import type { Inspection } from '#core/model/job/inspection';
import { demoInspection } from '#core/testing/demo-inspections';

/** The least that is told to be a PNG. */
export const PNG = Buffer.from([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a, 1, 2, 3, 4]);

const alder = demoInspection('alder-bend');

/** A demo job each of whose defects has the still "p1". */
export const withStill: Inspection = {
  ...alder,
  runs: alder.runs.map((run) => ({
    ...run,
    entries: run.entries.map((entry) =>
      entry.kind === 'defect' ? { ...entry, photoIds: ['p1'] } : entry,
    ),
  })),
};
