import { describe, expect, it } from 'vitest';
import { assess } from '../assess';
import { sayFault } from '../base/fault';
import { checkInspection } from '../interchange/inspection-file';
import { type Booking, startInspection } from '../model/job/booking';
import { checkBooking } from '../model/job/booking.schema';
import { assessmentOf, inspectionOf } from '../testing/build';
import { composeCard, composeRow, type JobSummary, whoseIs } from './desk';
import { sayBackup } from './say-backup';

const job: JobSummary = {
  id: 'J',
  title: '1 Test Way',
  client: 'C',
  scheduledFor: '2026-11-03T14:00:00-08:00',
  periodEndsOn: '2026-11-12',
  runCount: 1,
  entryCount: 9,
  issuedNumber: null,
  issuedAt: null,
  assignedTo: null,
};
const waits = (changes: Partial<JobSummary>, assessment = assessmentOf([])) =>
  composeCard({ ...job, ...changes }, assessment, '2026-11-03').waits;

describe('the Desk', () => {
  it('says what each job waits for', () => {
    expect(waits({ runCount: 0, entryCount: 0 }, assess(inspectionOf([])))).toBe(
      'Waits to be scoped',
    );
    expect(waits({ entryCount: 0 })).toBe('A run is set up, nothing is logged yet');
    expect(waits({ issuedNumber: 2, issuedAt: '2026-11-06T14:05:30-08:00' })).toBe(
      'Issued Fri 6 Nov, 2:05 pm, version 2',
    );
    expect(waits({}, assessmentOf([{ kind: 'flag', readingFt: 3 }]))).toBe(
      '1 thing to clear before the report',
    );
    expect(
      waits({}, assessmentOf([{ kind: 'unseen', cause: 'murky', readingFt: 3, toReadingFt: 5 }])),
    ).toBe('Report ready; part of the line was not seen');
    expect(waits({})).toBe('Report ready to read through');
  });

  it('counts the working days left and knows today', () => {
    expect(composeCard(job, assessmentOf([]), '2026-11-03')).toMatchObject({
      isToday: true,
      daysLeft: 6,
      when: 'Tue 3 Nov, 2:00 pm',
      periodEnds: 'Thu 12 Nov',
      verdict: 'Works',
    });
    expect(
      composeCard({ ...job, periodEndsOn: null }, assessmentOf([]), '2026-11-04'),
    ).toMatchObject({ isToday: false, daysLeft: null, periodEnds: null });
  });

  it('says whose a job is in a firm, and to whom it is shown to take off the list', () => {
    const names = new Map([['a', 'Ann']]);
    const ann = { id: 'a', name: 'Ann', role: 'inspector' } as const;
    const office = { id: 'o', name: 'Cleo', role: 'office' } as const;
    const anns = { ...job, assignedTo: 'a' };
    expect(whoseIs(anns, null, names)).toEqual({ whose: null, mayRemove: true });
    expect(whoseIs(anns, ann, names)).toEqual({ whose: 'yours', mayRemove: true });
    expect(whoseIs(anns, office, names)).toEqual({ whose: 'Ann', mayRemove: true });
    expect(whoseIs(job, ann, names)).toEqual({ whose: 'unassigned', mayRemove: false });
  });

  it('lists any job in a line', () => {
    expect(composeRow({ ...job, periodEndsOn: null })).toMatchObject({
      log: '1 run, 9 entries',
      periodEnds: 'not given',
    });
    expect(composeRow({ ...job, runCount: 0 }).log).toBe('not scoped');
  });
});

describe('booking', () => {
  const booking: Booking = {
    id: 'J',
    address: '1 Test Way',
    client: 'C',
    inspector: '',
    scheduledFor: '2026-11-03T14:00:00-08:00',
    scope: 'lateral',
    responsibility: 'to-main',
  };
  const faults = (changes: Record<string, unknown>) => {
    const outcome = checkBooking({ ...booking, ...changes });
    return outcome.ok ? [] : outcome.faults.map(sayFault);
  };

  it('starts an inspection that its own file format takes', () => {
    const inspection = startInspection({ ...booking, inspectionPeriodEndsOn: '2026-11-12' });
    expect(checkInspection(inspection)).toEqual({ ok: true, value: inspection });
    expect(assess(inspection).overall).toBe('inconclusive');
  });

  it.each<[string, Record<string, unknown>, string]>([
    ['no address', { address: '' }, 'address: expected text that is not empty'],
    ['a blank client', { client: '  ' }, 'client: expected text that is not blank'],
    [
      'a period that ends before the scope',
      { inspectionPeriodEndsOn: '2026-11-02' },
      'inspectionPeriodEndsOn: expected a day on or after the scope (2026-11-03), got 2026-11-02',
    ],
    ['another scope', { scope: 'all' }, 'scope: expected one of "lateral"'],
    ['a field that it does not have', { price: 5 }, 'price: expected no such field, got 5'],
  ])('refuses %s', (_, changes, expected) => {
    expect(faults(changes)).toHaveLength(1);
    expect(faults(changes)[0]).toContain(expected);
  });

  it('takes a period that ends on the day of the scope', () => {
    expect(faults({ inspectionPeriodEndsOn: '2026-11-03' })).toEqual([]);
  });
});

describe('the last backup', () => {
  const now = Date.parse('2026-11-10T12:00:00Z');
  it.each<[string | null, string | null, string, boolean]>([
    [null, null, 'Nothing has been backed up yet.', false],
    ['2026-11-10T11:30:00Z', null, 'Backed up less than an hour ago.', false],
    ['2026-11-10T03:00:00Z', null, 'Backed up 9 hours ago.', false],
    ['2026-11-08T11:00:00Z', null, 'Backed up 2 days ago.', true],
    [
      '2026-11-09T03:00:00Z',
      'the disk is full',
      'Backed up 33 hours ago. The last try failed: the disk is full',
      true,
    ],
    // A clock that was set back since.
    ['2026-11-11T03:00:00Z', null, 'Backed up less than an hour ago.', false],
  ])('%s, %s: “%s”', (at, trouble, text, isTrouble) => {
    expect(sayBackup({ at, trouble }, now)).toEqual({ text, isTrouble });
  });
});
