import { beforeEach, describe, expect, it } from 'vitest';
import { writeFeed } from '#core/interchange/calendar-feed';
import type { Inspection } from '#core/model/job/inspection';
import { demoInspection } from '#core/testing/demo-inspections';
import { readDue, settleDue } from './due';
import { storeInspection } from './inspections';
import { writeInvoices } from './invoices';
import { createAccount } from './people/accounts';
import { ownerOf } from './people/make-owner';
import { bookedBetween, listCrews } from './schedule';
import { offerSlots } from './slots';
import { freshDatabase } from './testing/fresh-database';

const its = freshDatabase();
const NOW = '2026-11-01T09:00:00.000Z';
const alder = demoInspection('alder-bend');
const JOB = alder.job.id;
const put = (job: Partial<Inspection['job']>, more: Partial<Inspection> = {}) =>
  storeInspection(its.db, { ...alder, ...more, job: { ...alder.job, ...job } }, NOW);
const bare = { runs: [], ties: [], decisions: [] };

describe('what is booked', () => {
  it('is read by day where the house is, with its length, roof and place', () => {
    put({});
    put(
      { id: 'late', scheduledFor: '2026-11-03T23:30:00-08:00', lengthMin: 30 },
      {
        ...bare,
        property: { ...alder.property, address: '2 X', position: { lat: 45, lon: -122 } },
      },
    );
    const [one, late] = bookedBetween(its.db, '2026-11-03', '2026-11-03');
    expect(one).toMatchObject({
      id: JOB,
      personId: alder.job.inspector,
      beginMin: 540,
      offsetMin: -480,
      isDone: true,
      place: null,
    });
    expect(late).toMatchObject({ beginMin: 1410, lengthMin: 30, isDone: false });
    expect(late!.place).toEqual({ lat: 45, lon: -122 });
    expect(bookedBetween(its.db, '2026-11-04', '2026-11-09')).toEqual([]);
  });
  it('takes as long as last time, by half', () => {
    put({ scheduledFor: '2025-11-03T09:00:00-08:00', id: 'before' });
    put({ id: 'again' }, { ...bare, accessPoints: [] });
    const [again] = bookedBetween(its.db, '2026-11-03', '2026-11-03');
    const ms = alder.runs.flatMap(({ entries }) => entries.map(({ at }) => Date.parse(at)));
    const last = Math.round((Math.max(...ms) - Math.min(...ms)) / 60_000);
    // Nobody knows where to go in: 75 min.
    const wanted = Math.max(45, Math.ceil((75 + last) / 2 / 15) * 15);
    expect(again!.lengthMin).toBe(wanted);
  });
  it('is of whoever the job names; in a firm, of whoever it was given to', () => {
    put({});
    expect(listCrews(its.db, 'Z. Ortiz').map(({ name }) => name)).toEqual([
      alder.job.inspector,
      'Z. Ortiz',
    ]);
    ownerOf(its.db, { name: 'Olive', mail: 'o@x.example', hash: 'h' });
    const { id } = createAccount(
      its.db,
      { name: 'Ann', mail: 'a@x.example', role: 'inspector' },
      NOW,
    );
    createAccount(its.db, { name: 'Rae', mail: 'r@x.example', role: 'reader' }, NOW);
    put({ id: 'hers', assignedTo: id });
    expect(listCrews(its.db).map(({ name }) => name)).toEqual(['Ann', 'Olive']);
    expect(
      bookedBetween(its.db, '2026-11-03', '2026-11-03').map(({ personId }) => personId),
    ).toEqual(['', id]);
  });
  it('leaves free times between', () => {
    put({ lengthMin: 120 });
    const wish = { from: '2026-11-03', days: 2, lengthMin: 75, place: null, periodEndsOn: null };
    const found = offerSlots(its.db, wish).map(({ day, beginMin, name }) => [day, beginMin, name]);
    // 9 to 11, 25 min of way where nobody knows the places.
    expect(found).toEqual([
      ['2026-11-03', 690, alder.job.inspector],
      ['2026-11-04', 480, alder.job.inspector],
    ]);
  });
});

describe('what is due', () => {
  beforeEach(() => put({ inspectionPeriodEndsOn: '2026-11-12' }));
  it('is read across jobs, and is off the list once it is done', () => {
    const keys = () => readDue(its.db, '2026-11-09').map(({ key }) => key);
    expect(keys()).toEqual(['issue', 'period']);
    settleDue(its.db, { jobId: JOB, key: 'issue', isDone: true }, null, NOW);
    expect(keys()).toEqual(['period']);
    settleDue(its.db, { jobId: JOB, key: 'issue', isDone: false }, null, NOW);
    expect(keys()).toEqual(['issue', 'period']);
  });
  it('goes with the looks into somebody’s calendar', () => {
    const text = writeFeed({
      name: 'Ann',
      appointments: bookedBetween(its.db, '2026-11-03', '2026-11-03'),
      due: readDue(its.db, '2026-11-09'),
      origin: 'https://scope.example',
      nowMs: Date.parse(NOW),
    }).replace(/\r\n /g, '');
    // 9:00 at −08:00.
    expect(text).toContain('DTSTART:20261103T170000Z');
    expect(text).toContain('SUMMARY:Sewer scope\\, 14 Alder Bend');
    expect(text).toContain('DTSTART;VALUE=DATE:20261112');
    expect(text).toContain(`https://scope.example/jobs/${JOB}/site`);
    expect(writeFeed({ name: 'x', appointments: [], due: [], origin: '', nowMs: 0 })).toContain(
      'BEGIN:VCALENDAR',
    );
  });
});

describe('fees and invoices', () => {
  it('go out as CSV, with nothing that a spreadsheet would work out', () => {
    put({ fee: '$275', invoice: '=1+1', title: '14 Alder Bend, "rear"' });
    put({ id: 'later', scheduledFor: '2027-01-03T09:00:00-08:00' });
    const text = writeInvoices(its.db, '2026-01-01', '2026-12-31');
    expect(text.split('\r\n')).toEqual([
      'Day,Property,Client,Inspector,Fee,Invoice,Issued',
      `2026-11-03,"14 Alder Bend, ""rear""",${alder.job.client},${alder.job.inspector},$275,'=1+1,`,
    ]);
  });
});
