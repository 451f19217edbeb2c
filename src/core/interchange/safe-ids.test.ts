import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { isSafeId } from '../base/safe-id';
import type { Inspection } from '../model/job/inspection';
import { demoInspection } from '../testing/demo-inspections';
import { writeInspectionFile } from './inspection-file';
import { safeIdOf, withFileIds, withSafeIds } from './safe-ids';

const tern = demoInspection('tern-street');
/** The demo with two runs and a tie, its ids made odd. */
function oddly(odd: (id: string) => string): Inspection {
  const text = writeInspectionFile({
    ...tern,
    decisions: [
      { id: 'd', kind: 'override-finding', reason: 'R1', findingId: 'F-R1-e2', runIds: ['R1'] },
    ],
  });
  const names = ['R1', 'R2', 'A', 'B', tern.job.id];
  return JSON.parse(text, (key, value: unknown) => {
    if (typeof value !== 'string' || key === 'reason' || key === 'label') return value;
    if (value.startsWith('F-R1-')) return `F-${odd('R1')}-${value.slice(5)}`;
    return names.includes(value) ? odd(value) : value;
  }) as Inspection;
}

describe('ids of a file', () => {
  it.each(['a:b', 'a/b', 'a#b', '100%', '..', '.', 'a b', 'ü', '', '/', 'x'.repeat(101)])(
    '“%s” are made safe, each its own',
    (id) => {
      expect(isSafeId(id)).toBe(false);
      expect(isSafeId(safeIdOf(id))).toBe(true);
    },
  );

  it('are mapped wherever they are named, and mapped back when the file is written', () => {
    for (const odd of [(id: string) => `${id}/#`, (id: string) => `${id}:ü`]) {
      const file = oddly(odd);
      const { inspection, fileIds } = withSafeIds(file);
      const { job, runs, accessPoints, ties, decisions } = inspection;
      expect(
        [job.id, ...runs.map(({ id }) => id), ...accessPoints.map(({ id }) => id)].every(isSafeId),
      ).toBe(true);
      const runIds = runs.map(({ id }) => id);
      expect(runIds).toContain(job.referenceRunId);
      for (const tie of ties)
        for (const { runId } of tie.sightings) expect(runIds).toContain(runId);
      expect(decisions[0]).toMatchObject({
        reason: 'R1',
        runIds: [runIds[0]],
        findingId: `F-${runIds[0]}-e2`,
      });
      expect(writeInspectionFile(withFileIds(inspection, fileIds))).toBe(writeInspectionFile(file));
    }
  });

  it('that are safe stay as they are', () => {
    expect(withSafeIds(tern).inspection).toBe(tern);
    fc.assert(
      fc.property(fc.string(), fc.string(), (a, b) => {
        expect(safeIdOf(safeIdOf(a))).toBe(safeIdOf(a));
        if (a !== b) expect(safeIdOf(a)).not.toBe(safeIdOf(b));
      }),
    );
  });
});
