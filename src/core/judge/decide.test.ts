import { describe, expect, it } from 'vitest';
import { assess } from '../assess';
import type { Decision, Inspection } from '../model/job/inspection';
import { CLAY, inspectionOf, MAIN_AT_60, minute, runOf, type Said } from '../testing/build';
import { evidenceOf } from './decide';

const CRACK: Said = { kind: 'defect', defect: 'crack', form: 'open', readingFt: 30 };
const job = (said: readonly Said[], decisions: readonly Decision[] = []): Inspection => ({
  ...inspectionOf([runOf([CLAY, ...said, MAIN_AT_60])]),
  decisions,
});
const first = (inspection: Inspection) => assess(inspection).findings[0]!;
/** A decision over the first finding as it stands. */
function over(inspection: Inspection, more: Partial<Decision> & { kind: string }): Decision {
  const finding = first(inspection);
  return {
    id: `D-${more.kind}`,
    reason: 'the bedding has gone',
    findingId: finding.id,
    entries: finding.entryIds.map((entryId) => ({ runId: 'R1', entryId })),
    evidence: evidenceOf(finding),
    ...more,
  };
}
const bad = { kind: 'override-finding', severity: 'major', action: 'repair' } as const;

describe('an override', () => {
  it('stands in place of Chert’s word, with its reason, and Chert’s beside it', () => {
    const plain = job([CRACK]);
    const finding = first({ ...plain, decisions: [over(plain, bad)] });
    expect(finding).toMatchObject({
      severity: 'major',
      action: 'repair',
      computed: { severity: 'moderate', action: 'monitor' },
      stale: [],
    });
    expect(finding.because.at(-1)!.text).toContain('the bedding has gone');
    expect(finding.advice[0]!.text).toBe('Have a licensed drain contractor repair it.');
    expect(assess({ ...plain, decisions: [over(plain, bad)] }).overall).toBe('repair-needed');
  });

  it('may be of the wording alone', () => {
    const plain = job([CRACK]);
    const wording = 'The pipe wall is cracked along the top.';
    const finding = first({
      ...plain,
      decisions: [over(plain, { kind: 'override-finding', wording })],
    });
    expect(finding.ruling!.wording).toBe(wording);
    expect(finding.severity).toBe('moderate');
  });

  it('is stale, and not in force, once its evidence has changed', () => {
    const plain = job([CRACK]);
    const decisions = [over(plain, bad)];
    const worse = { ...CRACK, form: 'hairline', replaces: 'e2', at: minute(90) };
    const after = assess({ ...job([CRACK, worse]), decisions });
    expect(after.findings[0]).toMatchObject({
      severity: 'slight',
      action: 'monitor',
      ruling: null,
    });
    expect(after.findings[0]!.stale[0]).toMatchObject({
      said: 'major, repair',
      changed: expect.arrayContaining(['was form: open', 'now form: hairline']) as unknown,
    });
    expect(after.checks.map(({ code }) => code)).toContain('override-stale');
  });

  it('follows its finding through a correction that changes no evidence', () => {
    const plain = job([CRACK]);
    const noted = { ...CRACK, note: 'seen again', replaces: 'e2', at: minute(90) };
    const finding = first({ ...job([CRACK, noted]), decisions: [over(plain, bad)] });
    expect(finding).toMatchObject({ severity: 'major', stale: [] });
  });

  it('is an orphan once its finding is gone', () => {
    const plain = job([CRACK]);
    const gone = { kind: 'retract', retracts: 'e2', at: minute(90) } as Said;
    const { orphans, checks } = assess({ ...job([CRACK, gone]), decisions: [over(plain, bad)] });
    expect(orphans).toHaveLength(1);
    expect(checks.find(({ code }) => code === 'override-stale')!.message).toContain('is gone');
  });

  it('on what a rule made of the whole never passes to a logged finding that shares its entries', () => {
    const pools = [5, 20, 40].map((readingFt): Said => ({
      kind: 'defect',
      defect: 'standing-water',
      fillRatio: 0.2,
      readingFt,
      toReadingFt: readingFt + 4,
    }));
    const made = assess(job(pools)).findings.find(({ kind }) => kind === 'layout')!;
    const decision: Decision = {
      id: 'D',
      kind: 'override-finding',
      reason: 'flat',
      findingId: made.id,
      entries: made.entryIds.map((entryId) => ({ runId: 'R1', entryId })),
      evidence: evidenceOf(made),
      severity: 'failed',
    };
    expect(assess(job(pools, [decision])).findings.find(({ id }) => id === made.id)!.severity).toBe(
      'failed',
    );
    const fewer = assess(
      job([...pools, { kind: 'retract', retracts: 'e4', at: minute(90) }], [decision]),
    );
    expect(fewer.orphans).toHaveLength(1);
    expect(fewer.findings.flatMap(({ stale }) => stale)).toEqual([]);
  });

  it('without a reason is asked about', () => {
    const plain = job([CRACK]);
    const { checks } = assess({ ...plain, decisions: [over(plain, { ...bad, reason: ' ' })] });
    expect(checks.map(({ code }) => code)).toContain('no-advice');
  });

  it('of another shape is left alone', () => {
    const plain = job([CRACK]);
    const odd = [
      over(plain, { ...bad, severity: 'awful' }),
      { id: 'x', kind: 'chosen-plan', reason: '' },
    ];
    expect(assess({ ...plain, decisions: odd })).toMatchObject({ orphans: [] });
    expect(first({ ...plain, decisions: odd }).severity).toBe('moderate');
  });
});

describe('a review', () => {
  it('confirms, or dismisses with a reason: then nothing is to be done', () => {
    const plain = job([{ ...CRACK, form: 'several' }]);
    const confirmed = over(plain, { kind: 'review-finding', verdict: 'confirmed', reason: '' });
    expect(first({ ...plain, decisions: [confirmed] })).toMatchObject({
      action: 'repair',
      review: { verdict: 'confirmed' },
    });
    const dismissed = over(plain, {
      kind: 'review-finding',
      verdict: 'dismissed',
      reason: 'a seam of the mold',
    });
    const assessment = assess({ ...plain, decisions: [dismissed] });
    expect(assessment.findings[0]).toMatchObject({
      action: 'none',
      review: { verdict: 'dismissed' },
    });
    expect(assessment.findings[0]!.advice[0]!.text).toMatch(
      /^No action, because .*seam of the mold/,
    );
    expect(assessment.overall).toBe('serviceable');
  });

  it('the latest of two counts', () => {
    const plain = job([CRACK]);
    const said = (verdict: string, id: string) =>
      over(plain, { kind: 'review-finding', verdict, id });
    expect(
      first({ ...plain, decisions: [said('dismissed', 'a'), said('confirmed', 'b')] }).review!
        .verdict,
    ).toBe('confirmed');
  });
});
