import { describe, expect, it } from 'vitest';
import { applyChanges } from '#client/change';
import { changesOf } from '#client/job-on-device';
import type { Doing, JobOnDevice } from '#client/job-on-device';
import { assess } from '#core/assess';
import type { Inspection } from '#core/model/job/inspection';
import { CLAY, inspectionOf, MAIN_AT_60, runOf, type Said } from '#core/testing/build';
import { pipeOf, rulingActions } from './findings';

/** A job as a screen has it, kept in memory: what is done to it is laid over it at once. */
function jobOf(said: readonly Said[]) {
  let inspection: Inspection = inspectionOf([runOf([CLAY, ...said, MAIN_AT_60])]);
  const change = (...doing: readonly Doing[]) => {
    inspection = applyChanges(inspection, changesOf(inspection, doing));
  };
  let nth = 0;
  const append: JobOnDevice['append'] = (runId, drafts) =>
    drafts.map((draft) => {
      nth += 1;
      const entry = { id: `new${nth}`, at: `2026-11-03T12:0${nth}:00-08:00`, ...draft } as never;
      change({ what: 'entry', runId, entry });
      return entry;
    });
  return {
    now: () => assess(inspection),
    act: () => {
      const job = { inspection, change, append } as unknown as JobOnDevice;
      return rulingActions(job, assess(inspection).logs);
    },
  };
}
const CRACK: Said = { kind: 'defect', defect: 'crack', form: 'open', readingFt: 30 };
const word = { severity: 'major', reason: 'it has moved' } as const;

describe('what is done to findings', () => {
  it('an override stands, is said again over new evidence, and is taken back', () => {
    const job = jobOf([CRACK]);
    const first = () => job.now().findings[0]!;
    job.act().override(first(), word);
    expect(first()).toMatchObject({ severity: 'major', computed: { severity: 'moderate' } });

    job.act().correctPipe(pipeOf(job.now(), first())!, { material: 'concrete', diameterIn: 6 });
    expect(first()).toMatchObject({ severity: 'moderate', material: 'concrete' });
    const [stale] = first().stale;
    expect(stale!.changed).toContain('now material: concrete');
    job.act().sayAgain(first(), stale!.decisionId);
    expect(first()).toMatchObject({ severity: 'major', stale: [] });

    job.act().takeBack(first(), 'override-finding');
    expect(first()).toMatchObject({ severity: 'moderate', ruling: null });
    expect(job.now().inspection.decisions).toEqual([]);
  });

  it('a correction replaces what called the pipe so, and leaves the log whole', () => {
    const job = jobOf([CRACK, { ...CLAY, side: 'near', readingFt: 50 }]);
    const { findings } = job.now();
    job.act().correctPipe(pipeOf(job.now(), findings[0]!)!, { material: 'pvc', diameterIn: 4 });
    const { entries } = job.now().inspection.runs[0]!;
    expect(entries).toHaveLength(6);
    expect(job.now().findings[0]!).toMatchObject({ material: 'pvc', facts: { boreIn: 4 } });
    expect(job.now().checks.map(({ code }) => code)).not.toContain('material-conflict');
  });

  it('what was suspected is made certain by a second look', () => {
    const job = jobOf([{ ...CRACK, certainty: 'suspected' }]);
    expect(job.now().findings[0]!.provisional).toBe(true);
    job.act().makeCertain(job.now().findings[0]!);
    expect(job.now().findings[0]!).toMatchObject({ provisional: false, certainty: 'confirmed' });
  });

  it('two findings are joined, and one made of two sightings is parted', () => {
    const job = jobOf([CRACK, { ...CRACK, readingFt: 36, pass: 'back' }]);
    const [a, b] = job.now().findings;
    job.act().join(a!, b!, 'one crack');
    expect(job.now().findings).toHaveLength(1);
    const same = jobOf([CRACK, { ...CRACK, readingFt: 31, pass: 'back' }]);
    expect(same.now().findings).toHaveLength(1);
    same.act().split(same.now().findings[0]!, 'two cracks');
    expect(same.now().findings).toHaveLength(2);
  });

  it('a finding is dismissed, confirmed instead, and the profile changed', () => {
    const job = jobOf([CRACK]);
    const first = () => job.now().findings[0]!;
    job.act().review(first(), 'dismissed', 'a seam');
    expect(first().action).toBe('none');
    job.act().review(first(), 'confirmed', '');
    expect(first()).toMatchObject({ action: 'monitor', review: { verdict: 'confirmed' } });
    job.act().setProfile('renew-first');
    expect(first()).toMatchObject({ action: 'repair', review: null });
    expect(first().stale).toHaveLength(1);
  });
});
