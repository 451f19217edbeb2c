import { describe, expect, it } from 'vitest';
import type { Doing, JobOnDevice } from '#client/job-on-device';
import { assess } from '#core/assess';
import { applyFacts } from '#core/model/job/facts';
import type { Inspection } from '#core/model/job/inspection';
import { composeReport } from '#core/report/compose';
import { demoInspection } from '#core/testing/demo-inspections';
import { repairActions } from './repairs';
import { reportActions } from './report';

/** A job that takes changes of its facts as the device does. */
function jobOf(inspection: Inspection) {
  let now = inspection;
  const change = (one: Doing) => {
    if (one.what !== 'facts') throw new Error(one.what);
    now = applyFacts(now, one.facts);
  };
  return {
    now: () => now,
    report: () => reportActions({ change, inspection: now } as unknown as JobOnDevice),
    repair: () => repairActions(change, now),
    text: (key: string) => composeReport(assess(now)).texts.find((one) => one.key === key)!,
  };
}

describe('what is done on Report', () => {
  it('keeps other words beside Chert’s, in the place of the old ones, and lets them go', () => {
    const job = jobOf(demoInspection('alder-bend'));
    job.report().word(job.text('lead'), ' Plain words. ', 'plainer');
    expect(job.text('lead')).toMatchObject({ text: 'Plain words.', stale: null });
    job.report().word(job.text('lead'), 'Plainer words.', '');
    expect(job.now().decisions).toHaveLength(1);
    expect(job.text('lead').computed).toMatch(/^We saw all 92 feet/);
    // Chert's own words, typed back, are no wording; nor is nothing.
    job.report().word(job.text('lead'), job.text('lead').computed, '');
    expect(job.now().decisions).toEqual([]);
    job.report().word(job.text('lead'), '  ', '');
    expect(job.now().decisions).toEqual([]);
  });

  it('keeps only what is not as usual', () => {
    const job = jobOf(demoInspection('alder-bend'));
    job.report().set('prices', false);
    job.report().set('paper', 'a4');
    expect(job.now().settings.report).toEqual({ prices: false, paper: 'a4' });
    job.report().set('prices', true);
    job.report().set('paper', 'letter');
    expect(job.now().settings).toEqual({});
    job.report().setHolidays({ added: ['2026-11-10'], removed: [] });
    expect(job.now().settings.holidays).toEqual({ added: ['2026-11-10'], removed: [] });
    job.report().setHolidays({ added: [], removed: [] });
    expect(job.now().settings).toEqual({});
  });

  it('chooses stills, and goes back to all of them', () => {
    const job = jobOf(demoInspection('alder-bend'));
    job.report().chooseStills(['b', 'a'], null);
    const [decision] = job.now().decisions;
    expect(decision).toMatchObject({ kind: 'report-stills', photoIds: ['b', 'a'] });
    job.report().chooseStills(null, decision!.id);
    expect(job.now().decisions).toEqual([]);
  });
});

describe('what is done on Repairs', () => {
  it('keeps one plan of one’s own, changed in place', () => {
    const job = jobOf(demoInspection('alder-bend'));
    const work = { method: 'dig', lineId: 'main-line', fromFt: 40, toFt: 59 } as const;
    job.repair().keepOwn([work]);
    job.repair().keepOwn([{ ...work, toFt: 58 }]);
    expect(job.now().decisions).toMatchObject([{ kind: 'own-plan', works: [{ toFt: 58 }] }]);
    job.repair().dropOwn();
    expect(job.now().decisions).toEqual([]);
  });

  it('sets the horizon and the profile, and goes back to what is usual', () => {
    const job = jobOf(demoInspection('alder-bend'));
    job.repair().set('horizonYears', 20);
    job.repair().setProfile('renew-first');
    expect([job.now().settings, job.now().job.profile]).toEqual([
      { horizonYears: 20 },
      'renew-first',
    ]);
    job.repair().set('horizonYears', null);
    expect(job.now().settings).toEqual({});
  });
});
