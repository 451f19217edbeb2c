import { describe, expect, it } from 'vitest';
import { composeDue, type DueJob, groupDue } from './due';

const TODAY = '2026-11-09';
const job = (changes: Partial<DueJob> = {}): DueJob => ({
  id: 'J',
  title: '1 Test Way',
  client: 'C',
  personId: 'ann',
  scopedOn: '2026-11-06',
  periodEndsOn: '2026-11-16',
  entryCount: 9,
  issuedNumber: null,
  days: [],
  settled: [],
  ...changes,
});
const due = (changes: Partial<DueJob> = {}) =>
  composeDue([job(changes)], TODAY).map(({ key, on, inDays }) => `${key} ${on} ${inDays}`);

describe('what is due', () => {
  it('is the report, so that three working days are left for quotes, and the period', () => {
    // Veterans Day, 11 November, is no working day: 16 ← 13, 12, 10.
    expect(due()).toEqual(['issue 2026-11-10 1', 'period 2026-11-16 7']);
  });
  it('is owed two days after the look where there is no period, and never before the look', () => {
    expect(due({ periodEndsOn: null })).toEqual(['issue 2026-11-08 -1']);
    expect(due({ scopedOn: '2026-11-13' })).toEqual(['issue 2026-11-13 4', 'period 2026-11-16 7']);
  });
  it('is a look that was not had', () => {
    expect(due({ entryCount: 0 })).toEqual(['scope 2026-11-06 -3', 'period 2026-11-16 7']);
  });
  it('is what an issued report dates', () => {
    const days = [
      { key: 'scope-again', on: '2026-11-20', title: 'Scope the sewer again, to prove the repair' },
      { key: 'upkeep-F1', on: '2027-11-16', title: 'Sewer upkeep' },
      { key: 'step-1', on: '2026-11-08', title: 'Ask for quotes' },
    ];
    const list = { issuedNumber: 1, periodEndsOn: null, days };
    expect(due(list)).toEqual(['scope-again 2026-11-20 11']);
    expect(due({ ...list, settled: ['scope-again'] })).toEqual([]);
    const [again] = composeDue([job(list)], TODAY);
    expect(again!.press).toEqual({ label: 'Book the scope', href: '/?again=J#new-job' });
    expect(again!.says).toBe('Scope the sewer again, to prove the repair.');
  });
  it('forgets what was long ago', () => {
    expect(due({ entryCount: 0, periodEndsOn: null, scopedOn: '2026-06-01' })).toEqual([]);
    expect(due({ issuedNumber: 1, periodEndsOn: '2026-11-08' })).toEqual([]);
  });
  it('is told by urgency, what is late first', () => {
    const items = composeDue(
      [
        job({ id: 'A' }),
        job({ id: 'B', entryCount: 0, scopedOn: TODAY, periodEndsOn: null }),
        job({ id: 'C', periodEndsOn: null }),
        job({ id: 'D', issuedNumber: 1, periodEndsOn: '2026-12-24' }),
      ],
      TODAY,
    );
    expect(
      groupDue(items).map(({ name, items: some }) => [name, some.map(({ jobId }) => jobId)]),
    ).toEqual([
      ['Late', ['C']],
      ['Today', ['B']],
      ['The next seven days', ['A', 'A']],
      ['Later', ['D']],
    ]);
    expect(groupDue([])).toEqual([]);
  });
  it('names the year where it is another', () => {
    const [item] = composeDue([job({ issuedNumber: 1, periodEndsOn: '2027-01-04' })], TODAY);
    expect(item!.when).toBe('Mon 4 Jan 2027');
  });
});
