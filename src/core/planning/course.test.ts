import { describe, expect, it } from 'vitest';
import { assess } from '../assess';
import type { Inspection } from '../model/job/inspection';
import { CLAY, inspectionOf, MAIN_AT_60, runOf, type Said } from '../testing/build';
import { defect } from '../testing/rules';
import { courseOf } from './course';
import { evidenceOfPlan, repairOf } from './repair';

const inside: Said = { kind: 'zone', zone: 'under-house', side: 'near', readingFt: 20 };
const wall: Said = { kind: 'feature', feature: 'wall', readingFt: 20 };
const broken = (readingFt: number | null) => defect('break', { form: 'displaced', readingFt });

/** What is said of the break in a line, once a job has been decided so. */
function courseIn(said: readonly Said[], decide: (one: Inspection) => Inspection = (one) => one) {
  const assessment = assess(decide(inspectionOf([runOf([CLAY, ...said, MAIN_AT_60])])));
  const finding = assessment.findings.find(({ kind }) => kind === 'break')!;
  const { does, says } = courseOf(repairOf(assessment), finding);
  return { does, says: says.map(({ text }) => text).join(' ') };
}

/** The plan that keeps the line running, taken by the inspector. */
function keeping(first: Inspection): Inspection {
  const plan = repairOf(assess(first)).plans.find(({ id }) => id === 'keep-running')!;
  const evidence = evidenceOfPlan(plan);
  const taken = { id: 'D', kind: 'choose-plan', reason: 'r', planId: plan.id, evidence };
  return { ...first, decisions: [taken] };
}

describe('what the plan does nothing for', () => {
  it('is not said to have no way where another plan ends it', () => {
    const { does, says } = courseIn([broken(40)], keeping);
    expect(does).toBe('ask');
    expect(says).toMatch(/leaves it as it is\. It still asks for repair/);
    expect(says).not.toMatch(/no usual way/);
  });

  it('is not called no work because it is out of scope', () => {
    const { does, says } = courseIn([inside, wall, broken(10)]);
    expect(does).toBe('ask');
    expect(says).toMatch(/the plan here does not go so far/);
    expect(says).not.toMatch(/No work now/);
  });

  it('is found first where nobody logged where it lies', () => {
    expect(courseIn([broken(null)]).says).toMatch(/have it found before anyone quotes/);
  });
});

describe('a look at a place over which nothing may be jetted', () => {
  const pipe = (material: string, more: object = {}): Said => ({
    kind: 'material',
    side: 'far',
    material,
    diameterIn: 3,
    readingFt: null,
    ...more,
  });
  // Fiber pipe without length behind clay, and a lip said without a footage: its place reaches over both.
  const { waterAtStart: _unsaid, ...run } = runOf([
    pipe('vitrified-clay', { lipIn: 0.01 }),
    pipe('bituminous-fiber'),
    defect('standing-water', { readingFt: 0.1 }),
    { kind: 'end', reason: 'main', confirmedBy: 'sight', readingFt: 0.2 },
    defect('lip', { readingFt: null, toReadingFt: 0, certainty: 'cannot-tell' }),
  ]);
  const repair = repairOf(assess(inspectionOf([run])));

  it('does not ask for the jet that comes first elsewhere on its line', () => {
    const jetted = repair.plans[0]!.works.map(({ method }) => method);
    expect(jetted).toContain('jet');
    const told = repair.site.assessment.findings.map((finding) => courseOf(repair, finding));
    const barred = told.filter(({ excludes }) => excludes.includes('jet'));
    expect(barred.length).toBeGreaterThan(0);
    for (const { methods, says } of barred) {
      expect(methods).not.toContain('jet');
      expect(says.map(({ text }) => text).join(' ')).not.toMatch(/Have the line cleaned/);
    }
  });
});
