import { beforeEach, describe, expect, it } from 'vitest';
import { demoInspection } from '#core/testing/demo-inspections';
import { listOverwritten, storeEdits } from './edits';
import { loadFacts, storeInspection } from './inspections';
import { freshDatabase } from './testing/fresh-database';
import { CHERT } from './testing/people';

const its = freshDatabase();
const NOW = '2026-11-03T09:00:00.000Z';
const JOB = 'demo-alder-bend';
beforeEach(() => void storeInspection(its.db, demoInspection('alder-bend'), NOW));

describe('of two changes of one field', () => {
  const set = (device: string, value: number, saidAt: string, base: number, aheadMs = 0) =>
    storeEdits(
      its.db,
      JOB,
      {
        id: `${device} ${value}`,
        device,
        saidAt,
        base,
        aheadMs,
        caller: CHERT,
        edits: [{ path: ['property', 'yearBuilt'], value }],
      },
      NOW,
    );
  const year = () => loadFacts(its.db, JOB)!.inspection.property.yearBuilt;
  it('the one made later stands, whichever comes first, and both are told', () => {
    const { rev } = loadFacts(its.db, JOB)!;
    expect(set('office', 1950, '2026-11-03T08:50:00Z', rev).isOtherwise).toBe(false);
    // Made before, heard after.
    expect(set('tablet', 1931, '2026-11-03T08:10:00Z', rev).isOtherwise).toBe(true);
    expect(year()).toBe(1950);
    const told = listOverwritten(its.db, JOB);
    expect(told).toMatchObject([
      { value: 1950, device: 'office', over: { value: 1931, device: 'tablet' } },
    ]);
    expect(set('phone', 1962, '2026-11-03T08:55:00Z', rev).isOtherwise).toBe(false);
    expect(year()).toBe(1962);
  });
  it('a clock that is ahead wins nothing, and one that is known to be off is set right', () => {
    const { rev } = loadFacts(its.db, JOB)!;
    // Two hours ahead, and nobody knows: never later than the server's own time.
    set('fast', 1950, '2026-11-03T11:00:00Z', rev);
    expect(set('right', 1962, NOW, rev).isOtherwise).toBe(false);
    expect(year()).toBe(1962);
    // Two hours ahead, which it knows: made at 8:10.
    expect(set('knows', 1970, '2026-11-03T10:10:00Z', rev, 7_200_000).isOtherwise).toBe(true);
    expect(year()).toBe(1962);
  });
  it('a change id that is used for something else is refused', () => {
    const { rev } = loadFacts(its.db, JOB)!;
    const sent = (value: number) => ({
      id: 'one',
      device: 'tablet',
      saidAt: NOW,
      base: rev,
      caller: CHERT,
      edits: [{ path: ['property', 'yearBuilt'], value }],
    });
    expect(storeEdits(its.db, JOB, sent(1950), NOW).outcome).toBe('stored');
    expect(storeEdits(its.db, JOB, sent(1950), NOW).outcome).toBe('known');
    expect(() => storeEdits(its.db, JOB, sent(1951), NOW)).toThrow(
      expect.objectContaining({ status: 409 }) as never,
    );
    expect(() => storeEdits(its.db, JOB, { ...sent(1950), id: 'none', edits: [] }, NOW)).toThrow(
      expect.objectContaining({ status: 400 }) as never,
    );
  });
});
