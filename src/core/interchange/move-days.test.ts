import { readFileSync } from 'node:fs';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { assess } from '../assess';
import { readInspectionFile } from './inspection-file';
import { daysToNow, moveDays } from './move-days';

describe('moving the demo to the present', () => {
  it.each<[string, boolean, string, number]>([
    ['kept this very moment', true, '2026-11-03T09:00:00-08:00', 0],
    ['kept, a week and a day ago', true, '2026-11-11T09:00:00-08:00', 7],
    ['kept, seen from before', true, '2026-11-02T09:00:00-08:00', -7],
    ['waiting, a day ago', false, '2026-11-04T09:00:00-08:00', 7],
    ['waiting, a day ahead', false, '2026-11-02T09:00:00-08:00', 0],
  ])('%s', (_, isKept, now, days) => {
    // "-0" is a day like any other.
    expect(daysToNow('2026-11-03T09:00:00-08:00', isKept, Date.parse(now)) + 0).toBe(days);
  });

  it('puts what was kept in the week behind and what waits in the week ahead, on its weekday', () => {
    fc.assert(
      fc.property(
        fc.date({ min: new Date('2020-01-01'), max: new Date('2040-01-01'), noInvalidDate: true }),
        fc.boolean(),
        (now, isKept) => {
          const days = daysToNow('2026-11-03T09:00:00-08:00', isKept, now.getTime());
          expect(Math.abs(days % 7)).toBe(0);
          const at = moveDays('2026-11-03T09:00:00-08:00', days);
          const aheadDays = (Date.parse(at) - now.getTime()) / 86_400_000;
          expect(isKept ? -aheadDays : aheadDays).toBeGreaterThanOrEqual(0);
          expect(isKept ? -aheadDays : aheadDays).toBeLessThan(7);
        },
      ),
    );
  });

  it('moves days and instants wherever they stand, and nothing else', () => {
    expect(
      moveDays(
        {
          at: '2026-11-30T23:30:00-08:00',
          on: '2026-12-31',
          note: '2026-11-03 or so',
          list: ['2026-02-28', 3, null],
        },
        1,
      ),
    ).toEqual({
      at: '2026-12-01T23:30:00-08:00',
      on: '2027-01-01',
      note: '2026-11-03 or so',
      list: ['2026-03-01', 3, null],
    });
  });

  it('leaves a moved inspection sound, with the same findings', () => {
    const outcome = readInspectionFile(readFileSync('demo/alder-bend.chert.json', 'utf8'));
    if (!outcome.ok) throw new Error('demo');
    const later = moveDays(outcome.value, 371);
    expect(readInspectionFile(JSON.stringify(later)).ok).toBe(true);
    expect(assess(later).findings).toEqual(assess(outcome.value).findings);
  });
});
