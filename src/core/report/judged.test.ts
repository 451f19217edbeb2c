import { describe, expect, it } from 'vitest';
import { assess } from '../assess';
import { evidenceOf } from '../judge/decide';
import type { Decision, Inspection } from '../model/job/inspection';
import { CLAY, type Said } from '../testing/build';
import { defect, line, lineIn, pool } from '../testing/rules';
import { composeReport } from './compose';

const textOf = (inspection: Inspection) => JSON.stringify(composeReport(assess(inspection)).blocks);
const gap = defect('gap', { gapIn: 2 });
const withDecision = (inspection: Inspection, more: Partial<Decision> & { kind: string }) => {
  const finding = assess(inspection).findings[0]!;
  const decision = {
    id: 'D',
    reason: 'seen on the big screen',
    findingId: finding.id,
    entries: [],
    evidence: evidenceOf(finding),
    ...more,
  };
  return { ...inspection, decisions: [decision] };
};

describe('the report of what was judged', () => {
  it('tells what rules make of the whole as findings, in the buyer’s words', () => {
    const text = textOf(lineIn('bituminous-fiber', 4, [], { property: { yearBuilt: 1955 } }));
    expect(text).toContain('What the pipe is made of (material)');
    expect(text).toContain('Plan for replacing it. Age alone is no failure.');
    expect(text).toContain('No action, because it says what to plan for');
    const narrow = textOf(line([{ ...CLAY, diameterIn: 4, readingFt: 30 }]));
    expect(narrow).toContain('The pipe narrows from 6 to 4 in in the direction of flow.');
  });

  it('uses the inspector’s wording, grade and action where they stand', () => {
    const word = {
      kind: 'override-finding',
      severity: 'moderate',
      action: 'monitor',
      wording: 'The joint is open, and clean.',
    };
    const text = textOf(withDecision(line([gap]), word));
    expect(text).toContain('The joint is open, and clean.');
    expect(text).toContain('Moderate · watch it');
    expect(text).not.toContain('A joint stands open by 2 inches.');
  });

  it('says why a dismissed finding calls for nothing, and no longer asks to repair it', () => {
    const dismissed = withDecision(line([gap]), { kind: 'review-finding', verdict: 'dismissed' });
    const { headline } = composeReport(assess(dismissed));
    expect(headline).toContain('No work is needed now.');
    expect(textOf(dismissed)).toContain('the inspector dismissed it: seen on the big screen');
  });

  it('names both causes of a pool before anyone digs', () => {
    const lip: Said = { ...CLAY, material: 'pvc', joint: 'lip', lipIn: 0.5, readingFt: 36 };
    const text = textOf(line([pool({ depthIn: 3, fillRatio: undefined }), lip]));
    expect(text).toContain('or something farther down may hold the water');
    expect(text).toContain('look again before anyone digs');
    expect(text).not.toContain('The pipe has sunk here');
  });

  it('carries what is provisional to the buyer, and drops it once it is settled', () => {
    const suspected: Said = { ...CLAY, certainty: 'suspected', readingFt: 5 };
    const roots = defect('roots', { extentRatio: 0.3 });
    expect(textOf(line([suspected, roots]))).toContain(
      'This may change: the pipe here is not certain',
    );
    expect(textOf(line([{ ...CLAY, readingFt: 5 }, roots]))).not.toContain(
      'the pipe here is not certain',
    );
  });

  it('states the reason for leaving as a limit, while something is still open', () => {
    const left: Decision = {
      id: 'L',
      kind: 'left-site',
      reason: 'dusk fell',
      at: '2026-11-03T16:00:00-08:00',
      open: [],
    };
    const open = { ...line([{ kind: 'flag', readingFt: 20 }]), decisions: [left] };
    expect(composeReport(assess(open)).limits.join(' ')).toContain('The reason given: dusk fell.');
    expect(
      composeReport(assess({ ...line([]), decisions: [left] })).limits.join(' '),
    ).not.toContain('dusk');
  });

  it('tells old pipe from renewed, and what the rules advise on the whole', () => {
    const inspection = line([{ ...CLAY, material: 'pvc', readingFt: 40 }], {
      property: { yearBuilt: 1948 },
    });
    const text = textOf(inspection);
    expect(text).toContain('Perhaps as old as the house (1948): 40 feet of clay.');
    expect(text).toContain('Renewed since: 20 feet of PVC plastic.');
  });
});
